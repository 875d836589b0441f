/** Find and stations with 50,000 orders, beside an empty request. Usage: node bench/many.mjs DLL CONTENT-ROOT [ORDERS] */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'

const [dll, web, many = '50000'] = process.argv.slice(2)
const open = 150
const folders = []
async function start(...extra) {
  const data = mkdtempSync(join(tmpdir(), 'hepno-bench-'))
  folders.push(data)
  const child = spawn('dotnet', [dll, '--contentRoot', web, '--port', '0', '--data', data, ...extra], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const url = await new Promise((done) =>
    createInterface({ input: child.stdout }).on('line', (line) => {
      const ready = /^Hepno is ready at (\S+)$/.exec(line)
      if (ready?.[1]) done(ready[1])
    }),
  )
  return { child, url }
}
async function end({ child }) {
  const over = new Promise((done) => child.once('exit', done))
  child.kill('SIGTERM')
  await over
}

const demo = await start('--demo')
await new Promise((later) => setTimeout(later, 3000))
const archive = await (await fetch(`${demo.url}/api/archive`)).json()
await end(demo)
const { ask } = archive.orders.find((o) => o.id === 'demo-205')
const first = archive.customers[0]
archive.customers.push(
  ...Array.from({ length: 2000 }, (_, i) => ({ ...first, id: `c${i}`, name: `Customer ${i} of Quay ${i % 97}` })),
)
const closed = '2026-01-05T10:00:00Z'
for (let i = 0; i < Number(many); i++)
  archive.orders.push({
    id: `o${i}`,
    number: 1000 + i,
    ask: { ...ask, customerId: `c${i % 2000}` },
    facts: {
      decisions: [],
      laidOutAt: null,
      approval: null,
      deposit: null,
      items: [],
      runStartedAt: null,
      counted: [],
      handOver: null,
      closedAt: i < Number(many) - open ? closed : null,
    },
    createdAt: closed,
  })
const shop = await start()
let at = performance.now()
const put = await fetch(`${shop.url}/api/archive`, {
  method: 'PUT',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(archive),
})
console.log(
  `${many} orders, ${open} of them open, brought in: ${put.status}, ${((performance.now() - at) / 1000).toFixed(1)} s`,
)
for (const path of [
  '/healthz',
  '/api/orders?find=quay%2042',
  '/api/orders?find=4711',
  '/api/line',
  '/api/orders/o5/compare',
]) {
  const times = []
  for (let i = 0; i < 140; i++) {
    at = performance.now()
    await (await fetch(shop.url + path)).arrayBuffer()
    if (i >= 40) times.push(performance.now() - at)
  }
  times.sort((a, b) => a - b)
  console.log(`${path}: p50 ${times[50].toFixed(1)} ms, p95 ${times[95].toFixed(1)} ms`)
}
await end(shop)
for (const folder of folders) rmSync(folder, { recursive: true, force: true })
