/** How long a picture of 4,500 × 5,400 pixels is looked at, and what the program takes in memory for it. Usage: node bench/artwork.mjs DLL CONTENT-ROOT [WIDTH HEIGHT] */
import { crc32, deflateSync } from 'node:zlib'
import { start } from './program.mjs'

const [width, height] = [Number(process.argv[4] ?? 4500), Number(process.argv[5] ?? 5400)]

// lettering in eight colours: strokes of many widths and angles, one block repeated
const side = 300
const block = Buffer.alloc(side * side * 4)
for (let n = 0; n < 8; n++) {
  const angle = ((60 + n * 5) * Math.PI) / 180
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const [dx, dy] = [x - 20 - n * 35, y - 30]
      const along = dx * Math.cos(angle) + dy * Math.sin(angle)
      const across = Math.abs(dy * Math.cos(angle) - dx * Math.sin(angle))
      const alpha = along < 0 || along > 200 ? 0 : Math.max(0, Math.min(1, (4 + n * 2.3) / 2 - across + 0.5))
      if (alpha > 0) block.set([n * 30, 200 - n * 20, 90, Math.round(alpha * 255)], (y * side + x) * 4)
    }
}
const rows = Buffer.alloc(height * (1 + width * 4))
for (let y = 0; y < height; y++)
  for (let x = 0; x + side <= width; x += side)
    block.copy(rows, y * (1 + width * 4) + 1 + x * 4, (y % side) * side * 4, (y % side) * side * 4 + side * 4)
const chunk = (name, data) => {
  const body = Buffer.concat([Buffer.from(name), data])
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
  length.writeUInt32BE(data.length)
  sum.writeUInt32BE(crc32(body))
  return Buffer.concat([length, body, sum])
}
const head = Buffer.alloc(13)
head.writeUInt32BE(width)
head.writeUInt32BE(height, 4)
head.set([8, 6, 0, 0, 0], 8)
const png = Buffer.concat([
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
  chunk('IHDR', head),
  chunk('IDAT', deflateSync(rows, { level: 1 })),
  chunk('IEND', Buffer.alloc(0)),
])

// one core: the other one is not lent
const { url, memory, stop } = await start({ oneCore: true })
const before = memory('VmRSS')
for (const run of ['cold', 'warm', 'warm']) {
  const from = performance.now()
  const answer = await fetch(`${url}/api/artwork/${crypto.randomUUID()}/file?widthIn=15`, {
    method: 'PUT',
    headers: { 'Content-Type': 'image/png' },
    body: png,
  })
  if (!answer.ok) throw new Error(await answer.text())
  await answer.arrayBuffer()
  console.log(
    `${run}: ${width} × ${height} px sent, read and measured in ${((performance.now() - from) / 1000).toFixed(2)} s, ${memory('VmHWM').toFixed(0)} MB at most so far`,
  )
}
console.log(
  `memory: ${before.toFixed(0)} MB before, ${memory('VmHWM').toFixed(0)} MB at most; the file has ${(png.length / 1e6).toFixed(1)} MB`,
)
await stop()
