/**
 * Whether a change changed what Hepno answers: every GET of the API about the demo shop, its clock held, against a recording. Usage: node bench/answers.mjs DLL CONTENT-ROOT FOLDER
 * A folder that is not there is recorded; another is compared with, and every answer that differs is named with where.
 */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { constants, inflateSync } from 'node:zlib'
import { start } from './program.mjs'

const folder = process.argv[4]
const document = JSON.parse(readFileSync(new URL('../src/hepno-ui/src/api/openapi.json', import.meta.url), 'utf8'))
// what has no end, what a clock that is held does not hold, and what names this machine
const left = /\/(changes|archive|copies|devices|pairing|shelf\/feed)|\.qr|layout-searches/
const most = 20

/** What stands on the pages of a PDF: its typefaces and dates are made anew each time. */
const pages = (text) =>
  [...text.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .map(([, packed]) => {
      try {
        return inflateSync(Buffer.from(packed, 'latin1'), { finishFlush: constants.Z_SYNC_FLUSH }).toString('latin1')
      } catch {
        return ''
      }
    })
    .filter((said) => /\bTf\b|\bre\b/.test(said) && !/[^\n\r\t -~]{4}/.test(said))
    .join('\n')

/** An answer without what cannot be the same twice: the trace of a refusal, how a PDF was packed. */
const settled = (bytes, type) => {
  if (type.includes('json')) {
    const untraced = (key, value) => (key === 'traceId' ? undefined : value)
    return JSON.stringify(JSON.parse(bytes.toString('utf8') || 'null', untraced), null, 1)
  }
  if (type.includes('pdf')) return pages(bytes.toString('latin1')).replace(/[A-Z]{6}\+/g, '')
  return createHash('sha256').update(bytes).digest('hex')
}

const { url, stop } = await start({ extra: ['--demo', '--now', '2026-06-02T09:30:00Z'] })
try {
  const get = async (path) => {
    const answer = await fetch(url + path)
    const bytes = Buffer.from(await answer.arrayBuffer())
    return { status: answer.status, body: settled(bytes, answer.headers.get('content-type') ?? '') }
  }
  // what the orders handed over taught is read beside the first answers, and begun when nothing else is asked
  const learned = async () => (await fetch(`${url}/api/learning`).then((a) => a.json())).readOf
  do await new Promise((r) => setTimeout(r, 4000))
  while ((await learned()) > 0)
  /** The ids a list of the API has; of orders, all of the demo's. */
  const ids = new Map([
    ['orders', Array.from({ length: 15 }, (_, n) => `demo-${201 + n}`)],
    ['runs', Array.from({ length: 15 }, (_, n) => `demo-${201 + n}`)],
  ])
  const idsOf = async (noun) => {
    if (!ids.has(noun)) {
      const list = await fetch(`${url}/api/${noun}`).then((a) => (a.ok ? a.json() : []))
      ids.set(noun, Array.isArray(list) ? list.map((x) => x.value?.id ?? x.id).filter(Boolean) : [])
    }
    return ids.get(noun).slice(0, most)
  }
  const paths = []
  for (const path of Object.keys(document.paths).filter((p) => document.paths[p].get && !left.test(p))) {
    const holes = path.match(/\{\w+\}/g) ?? []
    if (holes.some((h) => h !== '{id}' && h !== '{line}')) continue
    const each = holes.includes('{id}') ? await idsOf(path.split('/')[2]) : ['']
    paths.push(...each.map((id) => path.replace('{id}', encodeURIComponent(id)).replace('{line}', '1')))
  }
  const fresh = !existsSync(folder)
  if (fresh) mkdirSync(folder, { recursive: true })
  let other = 0
  for (const path of paths.sort()) {
    const { status, body } = await get(path)
    const said = `${status}\n${body}\n`
    const file = join(folder, `${path.replaceAll('/', '~')}.txt`)
    if (fresh) {
      writeFileSync(file, said)
      continue
    }
    const was = existsSync(file) ? readFileSync(file, 'utf8') : ''
    if (was === said) continue
    other++
    const [before, now] = [was.split('\n'), said.split('\n')]
    const at = now.findIndex((line, n) => line !== before[n])
    console.log(`${path}: ${was ? `line ${at + 1}: ${before[at]?.trim()} -> ${now[at]?.trim()}` : 'not recorded'}`)
  }
  console.log(`${paths.length} answers ${fresh ? 'recorded' : `compared, ${other} otherwise`}`)
  if (other > 0) process.exitCode = 1
} finally {
  await stop()
}
