import { crc32, deflateSync } from 'node:zlib'

/** A PNG of straight-alpha pixels, drawn by a function of a pixel's place. */
export function png(
  width: number,
  height: number,
  pixel: (x: number, y: number) => [number, number, number, number],
): Buffer {
  const rows = Buffer.alloc(height * (1 + width * 4))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) rows.set(pixel(x, y), y * (1 + width * 4) + 1 + x * 4)
  const chunk = (name: string, data: Buffer) => {
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
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

const clear: [number, number, number, number] = [0, 0, 0, 0]
const within = (x: number, y: number, cx: number, cy: number) => Math.hypot(x + 0.5 - cx, y + 0.5 - cy)

/** A sun with a glow over a line of one pixel, 900 pixels across: soft, thin and too small for a 9 in print. */
export const faulty = (): Buffer =>
  png(900, 900, (x, y) => {
    const d = within(x, y, 450, 400)
    if (d < 220) return [235, 190, 70, 255]
    if (y === 820 && x > 60 && x < 840) return [200, 60, 40, 255]
    return d < 340 ? [235, 190, 70, Math.round(255 * (1 - (d - 220) / 120))] : clear
  })

/** The same sun cut hard, over a bar, with pixels enough. */
export const mended = (): Buffer =>
  png(2700, 2700, (x, y) => {
    const d = within(x, y, 1350, 1200)
    if (d < 900) return [235, 190, 70, 255]
    return y > 2400 && y < 2520 && x > 180 && x < 2520 ? [200, 60, 40, 255] : clear
  })

/** A sun over two waves, in three flat colours with pixels enough for 10 in. */
export const harbour = (): Buffer =>
  png(3000, 2100, (x, y) => {
    const wave = (at: number) => Math.abs(y - at - 60 * Math.sin(x / 150)) < 70
    if (wave(1960)) return [127, 178, 201, 255]
    if (wave(1680)) return [242, 238, 224, 255]
    return within(x, y, 1500, 780) < 770 ? [235, 190, 70, 255] : clear
  })
