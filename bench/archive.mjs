import { crc32, inflateRawSync } from 'node:zlib'

/** The parts of a ZIP, by name. */
export function unzip(file) {
  const parts = new Map()
  const end = file.lastIndexOf(Buffer.from('PK\x05\x06', 'latin1'))
  let at = file.readUInt32LE(end + 16)
  for (let n = file.readUInt16LE(end + 10); n > 0; n--) {
    const [method, packed] = [file.readUInt16LE(at + 10), file.readUInt32LE(at + 20)]
    const [name, extra, comment] = [28, 30, 32].map((o) => file.readUInt16LE(at + o))
    const local = file.readUInt32LE(at + 42)
    const from = local + 30 + file.readUInt16LE(local + 26) + file.readUInt16LE(local + 28)
    const bytes = file.subarray(from, from + packed)
    parts.set(file.toString('utf8', at + 46, at + 46 + name), method === 8 ? inflateRawSync(bytes) : bytes)
    at += 46 + name + extra + comment
  }
  return parts
}

/** A ZIP of parts, unpacked as they are. */
export function zip(parts) {
  const [bodies, heads] = [[], []]
  let at = 0
  for (const [name, bytes] of parts) {
    const head = Buffer.alloc(26)
    head.writeUInt16LE(20, 0)
    head.writeUInt32LE(crc32(bytes), 10)
    head.writeUInt32LE(bytes.length, 14)
    head.writeUInt32LE(bytes.length, 18)
    head.writeUInt16LE(name.length, 22)
    const place = Buffer.alloc(14)
    place.writeUInt32LE(at, 10)
    bodies.push(Buffer.from('PK\x03\x04', 'latin1'), head, Buffer.from(name), bytes)
    heads.push(Buffer.from('PK\x01\x02\x14\x00', 'latin1'), head, place, Buffer.from(name))
    at += 30 + name.length + bytes.length
  }
  const list = Buffer.concat(heads)
  const end = Buffer.alloc(22)
  end.write('PK\x05\x06', 'latin1')
  end.writeUInt16LE(parts.size, 8)
  end.writeUInt16LE(parts.size, 10)
  end.writeUInt32LE(list.length, 12)
  end.writeUInt32LE(at, 16)
  return Buffer.concat([...bodies, list, end])
}

/** A shop's archive with its kinds as arrays. */
export async function archiveOf(url) {
  const parts = unzip(Buffer.from(await (await fetch(`${url}/api/archive`)).arrayBuffer()))
  // it is changed before it is brought
  parts.delete('sums.txt')
  const kinds = [...parts.keys()].filter((n) => n.endsWith('.json'))
  return { parts, json: Object.fromEntries(kinds.map((n) => [n.slice(0, -5), JSON.parse(parts.get(n))])) }
}

/** Brings an archive into a shop. */
export const bring = (url, { parts, json }) =>
  fetch(`${url}/api/archive`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/zip' },
    body: zip(
      new Map([...parts, ...Object.entries(json).map(([n, v]) => [`${n}.json`, Buffer.from(JSON.stringify(v))])]),
    ),
  })
