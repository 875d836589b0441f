import type { APIRequestContext } from '@playwright/test'
import { front, order } from './orders.ts'
import { look } from './look.ts'
import { expect, test } from './server.ts'

/** A garment of twelve sizes and long names, as some catalogue has it. */
async function manySizes(request: APIRequestContext, url: string): Promise<string[]> {
  const styles = (await (await request.get(`${url}/api/styles`)).json()) as { value: Record<string, unknown> }[]
  const { id: _, ...brae } = styles.find((s) => s.value.id === 'brae')!.value
  const sizes = ['YS', 'YM', 'YL', 'XS', 'S', 'M', 'L', 'XL', '2XL', '3XL', '4XL', '5XL']
  const made = await request.put(`${url}/api/styles/many`, {
    data: {
      ...brae,
      name: 'Extraordinarily heavy garment-dyed boxy pocket tee with side seams',
      supplier: 'Windward and Leeward Knitting Mills, incorporated',
      colourways: [{ id: 'sea', name: 'Weathered submarine slate-green heather', hex: '#51655f', class: 'dark' }],
      sizes: sizes.map((name) => ({ name, surcharge: name.length > 2 ? 2.25 : 0 })),
    },
  })
  expect(await made.text()).not.toContain('problems')
  return sizes
}

test('an order of three lines, twelve sizes and long names can be read at six sizes all its way', async ({
  page,
  request,
  server,
}) => {
  test.setTimeout(400_000)
  const sizes = await manySizes(request, server.url)
  await request.put(`${server.url}/api/customers/long`, {
    data: {
      name: 'The Amalgamated Harbourmasters’ and Lighthousekeepers’ Benevolent Association of Skerry Quay',
      contact: 'Wilhelmina Featherstonehaugh-Ballantyne, wilhelmina.featherstonehaugh@harbourmasters.example',
    },
  })
  const id = 'large'
  const o = order(request, server.url, id)
  const run = sizes.map((size, i) => ({ size, pieces: i === 5 ? 2 : 1 }))
  const line = (n: string, place: string) => ({
    id: n,
    styleId: 'many',
    colourwayId: 'sea',
    sizes: run,
    placements: [
      { ...front, widthIn: 8, heightIn: 8, id: `f${n}` },
      { ...front, widthIn: 8, heightIn: 8, id: `b${n}`, place },
    ],
    mark: 31.25,
  })
  await o.ask([line('1', 'back'), line('2', 'back'), line('3', 'left-sleeve')].map(smallSleeve), {
    customerId: 'long',
    details: {
      note: 'Everything in boxes of twelve, each box with its own list, and none of it before the regatta committee has met.',
    },
  })
  await page.goto('/ask')
  const findings: string[] = []
  const at = async (path: string) => findings.push(...(await look(page, path, id)).map((f) => `${path}, ${f}`))
  await at('/ask')
  await at('/compare')
  for (const lineId of ['1', '2', '3']) await o.post('choose', { methodId: 'dtf-bought', lineId })
  await at('/layout')
  await o.post('lay-out')
  await at('/quote')
  await o.post('send')
  await o.post('approve', { by: 'Wilhelmina Featherstonehaugh-Ballantyne' })
  await o.post('deposit', { amount: (await o.read()).deposit, overrideReason: null })
  await at('/gather')
  await o.arrived()
  await at('/press')
  await request.post(`${server.url}/api/runs/${id}/start`)
  await at(`/run/${id}`)
  const pieces = [1, 2, 3].flatMap(() => run.flatMap((s) => Array.from({ length: s.pieces }, () => s.size)))
  for (const pass of [1, 2])
    for (const [n, size] of pieces.entries()) {
      const data = { pieceNo: n + 1, attempt: 1, pass, size, verdict: 'good', reason: null, takesBack: null }
      await request.put(`${server.url}/api/runs/${id}/events/large-${n}-${pass}`, {
        data: { ...data, secondsOnPiece: 70 },
      })
    }
  await at('/send')
  await o.post('count', { sizes: ['1', '2', '3'].flatMap((lineId) => run.map((s) => ({ lineId, ...s }))) })
  await o.post('hand-over', { to: 'Wilhelmina Featherstonehaugh-Ballantyne' })
  await at('/learn')
  expect([...new Set(findings)]).toEqual([])
})

/** A sleeve takes a smaller print. */
const smallSleeve = <T extends { placements: (typeof front)[] }>(line: T): T => ({
  ...line,
  placements: line.placements.map((p) => (p.place.includes('sleeve') ? { ...p, widthIn: 2, heightIn: 2 } : p)),
})
