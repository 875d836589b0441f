/** How fast the running program answers, beside an empty request in the same run. Usage: node bench/load.mjs DLL CONTENT-ROOT */
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { Agent, get } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'

const [dll, web] = process.argv.slice(2)
const data = mkdtempSync(join(tmpdir(), 'hepno-bench-'))
async function start(...extra) {
  const child = spawn('dotnet', [dll, '--contentRoot', web, '--port', '0', '--data', data, ...extra], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const url = await new Promise((done) =>
    createInterface({ input: child.stdout }).on('line', (line) => {
      const ready = /^Hepno is ready at (\S+)$/.exec(line)
      if (ready?.[1]) done(ready[1])
    }),
  )
  await fetch(`${url}/healthz`)
  return { child, url }
}
// the first start makes the demo data; the one that is measured finds it there, as a shop's own does
const filling = await start('--demo')
await new Promise((later) => {
  filling.child.once('exit', later)
  filling.child.kill('SIGTERM')
})
const from = performance.now()
const { child, url } = await start()
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
const status = readFileSync(`/proc/${child.pid}/status`, 'utf8')
console.log(`resident memory with demo data: ${(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024).toFixed(0)} MB`)
const page = await (await fetch(url)).text()
let bytes = 0
for (const [, file] of page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)) bytes += await sent(file)
console.log(`script of the first page, named by it: ${(bytes / 1024).toFixed(0)} kB`)
agent.destroy()
child.kill('SIGTERM')
child.once('exit', () => rmSync(data, { recursive: true, force: true }))
