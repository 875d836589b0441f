/**
 * A shop of many years: 10,000 orders with quotes, verdicts, history and pictures. How long it takes to start and to answer each view, beside an
 * empty request, what it takes in memory, and the whole of it out as one file and into an empty shop. Usage: node bench/many.mjs DLL CONTENT-ROOT [ORDERS]
 */
import { execFileSync } from 'node:child_process'
import { createWriteStream, mkdtempSync, openAsBlob, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { start } from './program.mjs'

const many = process.argv[4] ?? '10000'
const later = (ms) => new Promise((done) => setTimeout(done, ms))
const seconds = (from) => ((performance.now() - from) / 1000).toFixed(2)

const demo = await start({ extra: ['--demo'] })
await later(5000)
await demo.stop({ keep: true })
console.log(
  execFileSync('dotnet', ['run', '-c', 'Release', '--project', 'bench/years', '--', demo.data, many], {
    encoding: 'utf8',
  }).trim(),
)

let at = performance.now()
let shop = await start({ data: demo.data })
console.log(`ready after ${seconds(at)} s`)
at = performance.now()
await (await fetch(`${shop.url}/api/line`)).arrayBuffer()
console.log(`first work line ${seconds(at)} s after that`)
at = performance.now()
while ((await (await fetch(`${shop.url}/api/learning`)).json()).readOf > 0) await later(500)
console.log(
  `all of it read for what it taught in the background: ${seconds(at)} s; ${shop.memory('VmHWM').toFixed(0)} MB at most`,
)
await shop.stop({ keep: true })

shop = await start({ data: demo.data })
await later(8000)
const worst = { view: '', p95: 0 }
for (const path of [
  '/healthz',
  '/api/line',
  '/api/orders?find=quay%2042',
  '/api/orders?find=471',
  '/api/orders/demo-205',
  '/api/orders/y5',
  '/api/orders/demo-205/compare',
  '/api/orders/demo-204/quote',
  '/api/orders/y5/quote',
  '/api/gather',
  '/api/press-day',
  '/api/runs/demo-202',
  '/api/orders/demo-201/sending',
  '/api/orders/y5/learned',
  '/api/learning',
  '/api/make-or-buy',
  '/api/customers/c5/record',
  '/api/customers/find?text=quay%2042',
  '/api/presses/gannet/platen',
  '/api/presses/petrel/platen',
  '/api/styles',
  '/api/drawer',
  '/api/artwork',
  '/api/cures',
  '/api/copies',
]) {
  const times = []
  let status = 0
  for (let i = 0; i < 60; i++) {
    at = performance.now()
    const answer = await fetch(shop.url + path)
    await answer.arrayBuffer()
    status = answer.status
    if (i >= 20) times.push(performance.now() - at)
  }
  times.sort((a, b) => a - b)
  const p95 = times[Math.ceil(times.length * 0.95) - 1]
  if (p95 > worst.p95) Object.assign(worst, { view: path, p95 })
  console.log(`${path}: ${status}, p50 ${times[times.length / 2].toFixed(1)} ms, p95 ${p95.toFixed(1)} ms`)
}
console.log(`slowest: ${worst.view}, ${worst.p95.toFixed(0)} ms; ${shop.memory('VmHWM').toFixed(0)} MB at most`)

const file = join(mkdtempSync(join(tmpdir(), 'hepno-archive-')), 'shop.zip')
at = performance.now()
await pipeline((await fetch(`${shop.url}/api/archive`)).body, createWriteStream(file))
console.log(
  `out as one file: ${(statSync(file).size / 1e6).toFixed(0)} MB in ${seconds(at)} s; ${shop.memory('VmHWM').toFixed(0)} MB at most`,
)
await shop.stop()
const empty = await start()
at = performance.now()
const put = await fetch(`${empty.url}/api/archive`, {
  method: 'PUT',
  headers: { 'Content-Type': 'application/zip' },
  body: await openAsBlob(file),
})
console.log(
  `in again: ${put.status} ${await put.text()} in ${seconds(at)} s; ${empty.memory('VmHWM').toFixed(0)} MB at most`,
)
await empty.stop()
rmSync(file)
