/** How fast an order of six lines with three prints each is compared, every way of it, and its ribbon found; on one core, beside an empty request. Usage: node bench/compare.mjs DLL CONTENT-ROOT */
import { start } from './program.mjs'

const places = [
  ['front', 10, 8, 3],
  ['back', 11, 9, 2],
  ['left-sleeve', 3, 3, 1],
]
const line = (i) => ({
  id: String(i + 1),
  styleId: 'brae',
  colourwayId: ['black', 'white'][i % 2],
  mark: null,
  sizes: ['S', 'M', 'L', 'XL'].map((size, s) => ({ size, pieces: 5 + ((i + s) % 4) })),
  placements: places.map(([place, widthIn, heightIn, colours]) => ({
    id: `${place}-${i}`,
    place,
    widthIn: widthIn - i * 0.25,
    heightIn,
    coveragePercent: 55,
    colours,
    gradient: false,
    thinnestLinePt: 5,
  })),
})

const { url, stop } = await start({ extra: ['--demo'], oneCore: true })
try {
  for (const [id, lines] of [
    ['six', Array.from({ length: 6 }, (_, i) => line(i))],
    ['one', [{ ...line(0), placements: line(0).placements.slice(0, 2) }]],
  ]) {
    const kept = await fetch(`${url}/api/orders/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ customerId: 'choir', lines, dueDate: '2027-12-01', dueTime: null, details: null }),
    })
    if (!kept.ok) throw new Error(await kept.text())
  }
  const times = async (paths, n) => {
    const all = []
    for (let i = 0; i < n; i++) {
      const at = performance.now()
      const answer = await fetch(url + paths[i % paths.length].replace('COUNT', 20 + (i % 40)))
      if (!answer.ok) throw new Error(await answer.text())
      await answer.arrayBuffer()
      all.push(performance.now() - at)
    }
    return all.sort((a, b) => a - b)
  }
  const at = (sorted, share) => sorted[Math.floor(sorted.length * share)].toFixed(1)
  // of ribbons only the last is kept: asked for in turn, each is found anew
  for (const [called, paths, warm, n] of [
    ['an empty request', ['/healthz'], 50, 200],
    ['compare, six lines of three prints', ['/api/orders/six/compare?line=3&quantity=COUNT'], 40, 100],
    ['compare, one line of two prints', ['/api/orders/one/compare?quantity=COUNT'], 40, 100],
    ['ribbon, one line of two prints', ['/api/orders/one/ribbon', '/api/orders/demo-205/ribbon'], 10, 40],
    ['ribbon, six lines of three prints', ['/api/orders/six/ribbon?line=3', '/api/orders/six/ribbon?line=4'], 10, 40],
  ]) {
    const cold = await times(paths, 1)
    await times(paths, warm)
    const t = await times(paths, n)
    console.log(`${called}: first ${at(cold, 0)} ms, then p50 ${at(t, 0.5)} ms, p95 ${at(t, 0.95)} ms`)
  }
} finally {
  await stop()
}
