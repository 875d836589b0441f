import createClient from 'openapi-fetch'
import { link } from '../sending/link'
import { send } from '../sending/sending'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Problem = Schemas['Problem']

/** A refusal as the server says it: sentences for the owner, never an exception text. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly problems: Problem[],
    readonly more: Record<string, unknown>,
  ) {
    super(problems[0]?.sentence ?? 'Hepno did not answer.')
  }
}

/** An id made on this device; the tablet's page is no secure context, so not randomUUID. */
export function makeId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, '0')).join('')
}

function deviceId(): string {
  const kept = localStorage.getItem('hepno-device') ?? makeId()
  localStorage.setItem('hepno-device', kept)
  return kept
}

export const device = deviceId()

const client = createClient<paths>({ baseUrl: '/', fetch: send })
client.use({
  onRequest({ request }) {
    request.headers.set('Hepno-Device', device)
    return request
  },
  onError() {
    return new Refusal(
      0,
      [
        {
          code: 'no-answer',
          sentence: 'Hepno does not answer.',
          where: '',
          remedy: 'Nothing was done. Do it again when the program runs.',
        },
      ],
      {},
    )
  },
  onResponse({ response, schemaPath }) {
    if (response.status === 401 && schemaPath !== '/api/devices/pair') link.shutOut = true
  },
})

export const api = client

/** The answer's data, or its refusal thrown. */
export async function ask<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call
  if (error !== undefined || data === undefined) {
    const body = (error ?? {}) as { problems?: Problem[]; title?: string; detail?: string } & Record<string, unknown>
    const problems = body.problems ?? [
      {
        code: `status-${response.status}`,
        sentence: body.title ?? 'This was refused.',
        where: '',
        remedy: body.detail ?? '',
      },
    ]
    throw new Refusal(response.status, problems, body)
  }
  return data
}

/** The header that says which version a change was made from. */
export function seen(version: number): { headers: Record<string, string> } {
  return version > 0 ? { headers: { 'If-Match': `"${version}"` } } : { headers: {} }
}
