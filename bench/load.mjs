/** How fast the running program answers, beside an empty request in the same run. Usage: node bench/load.mjs DLL CONTENT-ROOT */
import { Agent, get } from 'node:http'
import { start } from './program.mjs'

// the first start makes the demo data; the one that is measured finds it there, as a shop's own does
const filling = await start({ extra: ['--demo'] })
await filling.stop({ keep: true })
const from = performance.now()
const { url, memory, stop } = await start({ data: filling.data })
console.log(`start to first answer, data there: ${(performance.now() - from).toFixed(0)} ms`)
await new Promise((later) => setTimeout(later, 3000))

const agent = new Agent({ keepAlive: true })
/** Sends one request and counts the bytes as sent: unpacking them would measure this script, not the program. */
const sent = (path) =>
  new Promise((done) =>
    get(url + path, { agent, headers: { 'Accept-Encoding': 'gzip' } }, (answer) => {
      let n = 0
      answer.on('data', (chunk) => (n += chunk.length))
      answer.on('end', () => done(n))
    }),
  )
async function times(path, n) {
  const all = []
  for (let i = 0; i < n; i++) {
    const at = performance.now()
    await sent(path)
    all.push(performance.now() - at)
  }
  return all.sort((a, b) => a - b)
}
const at = (sorted, share) => sorted[Math.floor(sorted.length * share)].toFixed(1)
for (const path of ['/healthz', '/api/orders/demo-205/compare', '/api/line', '/api/orders/demo-205']) {
  await times(path, 50)
  const t = await times(path, 300)
  console.log(`${path}: p50 ${at(t, 0.5)} ms, p95 ${at(t, 0.95)} ms`)
}
console.log(`resident memory with demo data: ${memory('VmRSS').toFixed(0)} MB`)
const page = await (await fetch(url)).text()
let bytes = 0
for (const [, file] of page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)) bytes += await sent(file)
console.log(`script of the first page, named by it: ${(bytes / 1024).toFixed(0)} kB`)
agent.destroy()
await stop()
