/**
 * Kills the program again and again and looks at what is left: while verdicts come in, and during copies, restores, imports and migrations.
 * What was answered must be there, once; what is listed as a copy must be whole. Usage: node bench/kills.mjs DLL CONTENT-ROOT [KILLS] [SEED]
 */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { unzip } from './archive.mjs'
import { start } from './program.mjs'

const kills = Number(process.argv[4] ?? '200')
let seed = Number(process.argv[5] ?? '29')
const dice = (n) => {
  seed = (seed * 1103515245 + 12345) % 2147483648
  return Math.floor((seed / 2147483648) * n)
}
const later = (ms) => new Promise((done) => setTimeout(done, ms))
const json = { 'Content-Type': 'application/json' }
const faults = []
const fault = (what) => {
  faults.push(what)
  console.log(`FAULT ${what}`)
}
const get = async (url, path) => await (await fetch(url + path)).json()

/** Verdicts as a tablet sends them: each again until it is answered. */
async function verdicts(data) {
  const [order, pieces, attempts] = ['demo-202', 24, 40]
  const all = Array.from({ length: pieces * attempts }, (_, n) => ({ id: `killed-${String(n).padStart(4, '0')}`, n }))
  const answered = new Set()
  const each = Math.ceil(all.length / kills)
  let killed = 0
  for (let at = 0; at < all.length;) {
    const shop = await start({ data })
    const dying = killed < kills ? later(dice(120)).then(() => shop.kill()) : later(0)
    for (const verdict of all.slice(at, at + each)) {
      const body = {
        pieceNo: 1 + (verdict.n % pieces),
        attempt: 1 + Math.floor(verdict.n / pieces),
        pass: 1,
        size: 'M',
      }
      try {
        const put = await fetch(`${shop.url}/api/runs/${order}/events/${verdict.id}`, {
          method: 'PUT',
          headers: json,
          body: JSON.stringify({ ...body, verdict: 'spoiled', reason: 'lint', takesBack: null, secondsOnPiece: 40 }),
        })
        if (put.ok) answered.add(verdict.id)
        else fault(`verdict ${verdict.id}: ${put.status} ${await put.text()}`)
      } catch {
        break
      }
    }
    await dying
    if (killed < kills) killed++
    else await shop.stop({ keep: true })
    while (at < all.length && answered.has(all[at].id)) at++
  }
  const shop = await start({ data })
  const events = JSON.parse(
    unzip(Buffer.from(await (await fetch(`${shop.url}/api/archive`)).arrayBuffer())).get('events.json'),
  ).filter((e) => e.event.eventId.startsWith('killed-'))
  await shop.stop({ keep: true })
  const ids = new Set(events.map((e) => e.event.eventId))
  if (events.length !== ids.size) fault(`${events.length - ids.size} verdicts doubled`)
  for (const { id } of all) if (!ids.has(id)) fault(`verdict ${id} was answered and is lost`)
  console.log(
    `${killed} kills, ${all.length} verdicts: ${all.length - ids.size} lost, ${events.length - ids.size} doubled`,
  )
}

/** Every copy that is listed as whole can be put back. */
async function copiesAreWhole(url, when) {
  for (const copy of (await get(url, '/api/copies')).copies.filter((c) => c.isWhole)) {
    const check = await fetch(`${url}/api/copies/${copy.name}/check`, { method: 'POST' })
    if (!check.ok) fault(`${when}: copy ${copy.name} is listed and not whole: ${await check.text()}`)
  }
}

const customers = async (url) => (await get(url, '/api/customers')).length
const addCustomer = async (url, id) =>
  (
    await fetch(`${url}/api/customers/${id}`, {
      method: 'PUT',
      headers: json,
      body: JSON.stringify({ name: id, contact: '' }),
    })
  ).ok

/** Begins something, kills the program in the middle of it, and starts it again. */
async function killedDuring(data, work, most) {
  const shop = await start({ data })
  const done = work(shop.url).catch(() => false)
  await later(dice(most))
  await shop.kill()
  const ended = await done
  return { shop: await start({ data }), ended }
}

async function copying(data, times) {
  for (let n = 0; n < times; n++) {
    const { shop } = await killedDuring(data, (url) => fetch(`${url}/api/copies`, { method: 'POST' }), 250)
    await copiesAreWhole(shop.url, `killed while copying, ${n}`)
    if ((await customers(shop.url)) < 8) fault(`killed while copying, ${n}: customers are gone`)
    await shop.stop({ keep: true })
  }
}

async function restoring(data, times) {
  let shop = await start({ data })
  const before = await customers(shop.url)
  const view = await (await fetch(`${shop.url}/api/copies`, { method: 'POST' })).json()
  const name = view.copies[0].name
  await shop.stop({ keep: true })
  for (let n = 0; n < times; n++) {
    shop = await start({ data })
    await addCustomer(shop.url, `r${n}`)
    const more = await customers(shop.url)
    await shop.stop({ keep: true })
    const killed = await killedDuring(
      data,
      (url) => fetch(`${url}/api/copies/${name}/restore`, { method: 'POST' }),
      700,
    )
    const now = await customers(killed.shop.url)
    if (now !== before && now !== more)
      fault(`killed while restoring, ${n}: ${now} customers, neither ${before} nor ${more}`)
    if (killed.ended?.ok && now !== before) fault(`killed while restoring, ${n}: it was answered and did not hold`)
    await copiesAreWhole(killed.shop.url, `killed while restoring, ${n}`)
    await killed.shop.stop({ keep: true })
  }
}

async function importing(archive, times) {
  for (let n = 0; n < times; n++) {
    const data = mkdtempSync(join(tmpdir(), 'hepno-import-'))
    const send = (url) =>
      fetch(`${url}/api/archive`, { method: 'PUT', headers: { 'Content-Type': 'application/zip' }, body: archive })
    const { shop, ended } = await killedDuring(data, send, 2500)
    const [orders, styles] = [(await get(shop.url, '/api/orders')).length, (await get(shop.url, '/api/styles')).length]
    if ((orders === 0) !== (styles === 0)) fault(`killed while importing, ${n}: ${orders} orders, ${styles} styles`)
    if (ended?.ok && orders === 0) fault(`killed while importing, ${n}: it was answered and is gone`)
    if (orders === 0 && !(await send(shop.url)).ok) fault(`killed while importing, ${n}: it cannot be brought again`)
    await shop.stop()
  }
}

async function migrating(times) {
  for (let n = 0; n < times; n++) {
    const data = mkdtempSync(join(tmpdir(), 'hepno-migrate-'))
    execFileSync('dotnet', [
      'run',
      '-c',
      'Release',
      '--no-build',
      '--project',
      'bench/years',
      '--',
      data,
      'first',
      '300',
    ])
    await killedAtStart(data, 300 + dice(900))
    const shop = await start({ data })
    const there = await customers(shop.url)
    if (there !== 300) fault(`killed while migrating, ${n}: ${there} customers of 300`)
    await copiesAreWhole(shop.url, `killed while migrating, ${n}`)
    await shop.stop()
  }
}

async function killedAtStart(data, after) {
  const begun = start({ data }).catch(() => null)
  await later(after)
  execFileSync('pkill', ['-9', '-f', '--', `--data ${data}`])
  await begun
}

const demo = await start({ extra: ['--demo'] })
await later(4000)
await fetch(`${demo.url}/api/runs/demo-202/start`, { method: 'POST' })
const archive = Buffer.from(await (await fetch(`${demo.url}/api/archive`)).arrayBuffer())
await demo.stop({ keep: true })
execFileSync('dotnet', ['build', '-c', 'Release', 'bench/years'])
const part = Math.ceil(kills / 16)
await copying(demo.data, part)
await restoring(demo.data, part)
await importing(archive, part)
await migrating(part)
console.log(`${4 * part} kills during copies, restores, imports and migrations, ${part} each`)
await verdicts(demo.data)
rmSync(demo.data, { recursive: true })
console.log(faults.length === 0 ? 'nothing lost, nothing doubled, every listed copy whole' : `${faults.length} faults`)
process.exitCode = faults.length === 0 ? 0 : 1
