import { describe, expect, test } from 'vitest'
import { Refusal } from '../../api/client'
import { neverCounts } from './outbox'

const refused = (status: number, code: string) =>
  new Refusal(status, [{ code, sentence: 'No.', where: '', remedy: 'Again.' }], {})

describe('a verdict leaves the device only when it can never count', () => {
  test.each([
    [400, 'unknown-piece'],
    [400, 'range'],
    [404, 'unknown'],
  ])('%i %s drops it', (status, code) => expect(neverCounts(refused(status, code))).toBe(true))
  test.each([
    [0, 'no-answer'],
    [401, 'not-let-in'],
    [403, 'press-only'],
    [404, 'status-404'],
    [409, 'not-begun'],
    [413, 'too-large'],
    [428, 'no-version'],
    [429, 'status-429'],
    [500, 'fault'],
    [507, 'disk-full'],
  ])('%i %s keeps it', (status, code) => expect(neverCounts(refused(status, code))).toBe(false))
})
