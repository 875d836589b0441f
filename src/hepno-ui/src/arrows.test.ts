import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { expect, test } from 'vitest'

/** Folders from what knows nothing of the others upwards; each may know those before it. Areas may know one another, not in a circle. */
const order = ['sending', 'theme', 'api', 'words', 'state', 'kit', 'shell', 'areas', '.']

const folderOf = (file: string) => (file.includes('/') ? file.slice(0, file.indexOf('/')) : '.')
const areaOf = (file: string) => file.split('/')[1] ?? ''

const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((f) => /\.(ts|vue)$/.test(f))

/** Every import of one file of ours by another, as [from, to]. */
const arrows = files
  .filter((f) => !f.endsWith('.test.ts'))
  .flatMap((from) =>
    [...readFileSync(join('src', from), 'utf8').matchAll(/(?:from|import\(|import) ?'(\.[^']+)'/g)].map((found) => ({
      from,
      to: normalize(join(dirname(from), found[1] ?? '')),
    })),
  )
  .filter(({ to }) => !to.startsWith('..'))

test('every folder is in the order', () => {
  expect(new Set(files.map(folderOf))).toEqual(new Set(order))
})

test('no folder knows one that stands over it', () => {
  const back = arrows.filter(({ from, to }) => order.indexOf(folderOf(from)) < order.indexOf(folderOf(to)))
  expect(back).toEqual([])
})

test('areas do not know one another in a circle', () => {
  const knows = new Map<string, Set<string>>()
  for (const { from, to } of arrows.filter((a) => folderOf(a.from) === 'areas' && folderOf(a.to) === 'areas')) {
    if (areaOf(from) !== areaOf(to)) knows.set(areaOf(from), (knows.get(areaOf(from)) ?? new Set()).add(areaOf(to)))
  }
  const reaches = (at: string, seen: string[]): string[] =>
    seen.includes(at) ? seen.concat(at) : [...(knows.get(at) ?? [])].flatMap((next) => reaches(next, [...seen, at]))
  expect([...knows.keys()].flatMap((area) => reaches(area, []))).toEqual([])
})
