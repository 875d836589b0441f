/** How long 10,000 open quotes take to be re-costed after one price change, on one core. Usage: node bench/recost.mjs DLL CONTENT-ROOT [QUOTES] */
import { archiveOf, bring } from './archive.mjs'
import { start } from './program.mjs'

const many = Number(process.argv[4] ?? '10000')
const demo = await start({ extra: ['--demo'] })
let file
try {
  await new Promise((later) => setTimeout(later, 3000))
  file = await archiveOf(demo.url)
} finally {
  await demo.stop()
}
const archive = file.json
// quotes of the demo that stand, over and over: each a size run of its own, their trees cut to what is read here
const standing = archive.quotes.filter(
  (q) => q.withdrawnAt === null && archive.orders.find((o) => o.id === q.orderId).facts.sending.handOver === null,
)
const cut = (figure, depth = 1) => ({ ...figure, parts: depth === 0 ? [] : figure.parts.map((p) => cut(p, depth - 1)) })
archive.orders = []
archive.events = []
const quotes = []
const page = Buffer.from('%PDF-1.4')
for (const name of [...file.parts.keys()].filter((n) => n.startsWith('quotes/'))) file.parts.delete(name)
for (let i = 0; i < many; i++) {
  const quote = standing[i % standing.length]
  const lines = quote.frozen.ask.lines.map((l) => ({
    ...l,
    names: null,
    sizes: l.sizes.map((s, n) => ({ ...s, pieces: s.pieces + ((i + n * 7) % 23) })),
    placements: l.placements.map((p) => ({ ...p, id: `${p.id}-${i}`, own: 'none' })),
  }))
  archive.orders.push({
    id: `o${i}`,
    number: 1000 + i,
    ask: { ...quote.frozen.ask, lines },
    facts: {
      decisions: quote.frozen.lines.map((l) => ({ lineId: l.lineId, methodId: l.band.methodId, at: quote.sentAt })),
      laidOutAt: quote.sentAt,
      approval: null,
      deposit: null,
      items: [],
      runStartedAt: null,
      counted: [],
      handOver: null,
      closedAt: null,
    },
    createdAt: quote.sentAt,
  })
  quotes.push({
    ...quote,
    id: `o${i}-1`,
    orderId: `o${i}`,
    frozen: {
      ...quote.frozen,
      document: { ...quote.frozen.document },
      lines: quote.frozen.lines.map((l) => ({
        ...l,
        band: { ...l.band, cost: cut(l.band.cost), curve: [], decorations: [] },
      })),
    },
  })
}
archive.quotes = quotes
for (const quote of quotes) file.parts.set(`quotes/${quote.id}.pdf`, page)
const shop = await start({ oneCore: true })
try {
  const put = await bring(shop.url, file)
  if (!put.ok) throw new Error((await put.text()).slice(0, 500))
  const film = (await (await fetch(`${shop.url}/api/films`)).json())[0]
  for (const run of ['first', 'again', 'again']) {
    const dearer = structuredClone(film.value)
    dearer.freightPerOrder += 1 + Math.random()
    const { id: filmId, ...body } = dearer
    const stands = (await (await fetch(`${shop.url}/api/films`)).json()).find((f) => f.value.id === filmId)
    const changed = await fetch(`${shop.url}/api/films/${filmId}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': `"${stands.version}"` },
      body: JSON.stringify(body),
    })
    if (!changed.ok) throw new Error((await changed.text()).slice(0, 500))
    const from = performance.now()
    let view = await (await fetch(`${shop.url}/api/recost`, { method: 'POST' })).json()
    let told = 0
    while (!view.isDone) {
      await new Promise((later) => setTimeout(later, 100))
      view = await (await fetch(`${shop.url}/api/recost/${view.id}`)).json()
      if (view.done > 0) told++
    }
    console.log(
      `${run}: ${view.of} quotes re-costed in ${((performance.now() - from) / 1000).toFixed(2)} s, ${view.moved} lines moved, ${view.fell} fell under the floor; progress read ${told} times; ${shop.memory('VmHWM').toFixed(0)} MB at most`,
    )
  }
} finally {
  await shop.stop()
}
