/** How long a table of 10,000 styles takes to come in, and again with every price changed. Usage: node bench/table.mjs DLL CONTENT-ROOT */
import { start } from './program.mjs'

const head = 'id,name,supplier,garment,fabric,weight_gsm,heat_ceiling_f,price,freight,days,colours,sizes'
const table = (price) =>
  [
    head,
    ...Array.from(
      { length: 10_000 },
      (_, n) =>
        `style-${n},Made-up ${n},Corran Mill,tee,55 cotton; 45 polyester,150,330,${(price + (n % 100) / 100).toFixed(2)},12,1,Navy #2b3b5e dark; White #fcfaf5 white,S; M; L; XL; 2XL +1.80`,
    ),
  ].join('\n')
const { url, stop } = await start()
for (const [what, price] of [
  ['new', 3],
  ['every price changed', 4],
  ['all the same', 4],
]) {
  const from = performance.now()
  const answer = await fetch(`${url}/api/csv/styles`, {
    method: 'PUT',
    headers: { 'Content-Type': 'text/csv' },
    body: table(price),
  })
  const said = await answer.json()
  if (!answer.ok) throw new Error(JSON.stringify(said))
  console.log(
    `10,000 styles, ${what}: ${((performance.now() - from) / 1000).toFixed(2)} s, ${said.added} new, ${said.changed} changed, ${said.same} the same`,
  )
}
await stop()
