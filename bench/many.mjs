/** Find and stations with 50,000 orders, beside an empty request. Usage: node bench/many.mjs DLL CONTENT-ROOT [ORDERS] */
import { start } from './program.mjs'

const many = process.argv[4] ?? '50000'
const open = 150

const demo = await start({ extra: ['--demo'] })
await new Promise((later) => setTimeout(later, 3000))
const archive = await (await fetch(`${demo.url}/api/archive`)).json()
await demo.stop()
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
await shop.stop()
