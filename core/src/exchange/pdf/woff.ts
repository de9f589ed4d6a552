import { tupleOf } from '../../lists/index.js'
import { unzlibSync } from 'fflate'

const SIGNATURE = 0x774f4646
const [HEADER, ENTRY, SFNT_HEADER, SFNT_ENTRY] = [44, 20, 12, 16] as const
const padded = (length: number): number => (length + 3) & ~3

/**
 * A font file with its tables unpacked (WOFF 1.0, W3C recommendation of 2012), so that they are unpacked once and not
 * each time somebody asks for a letter. Files of another format are given back as they are.
 */
export function unpackedFont(file: Uint8Array): Uint8Array {
  const from = new DataView(file.buffer, file.byteOffset, file.byteLength)
  if (file.byteLength < HEADER || from.getUint32(0) !== SIGNATURE) return file
  const count = from.getUint16(12)
  const entries = Array.from({ length: count }, (_, i) => {
    const at = HEADER + i * ENTRY
    const [tag, offset, packed, length, sum] = tupleOf([0, 4, 8, 12, 16], (d) => from.getUint32(at + d))
    const bytes = file.subarray(offset, offset + packed)
    return { tag, sum, bytes: packed < length ? unzlibSync(bytes) : bytes }
  })
  const start = SFNT_HEADER + count * SFNT_ENTRY
  const size = entries.reduce((sum, e) => sum + padded(e.bytes.length), start)
  const out = new Uint8Array(size)
  const to = new DataView(out.buffer)
  const power = Math.floor(Math.log2(count))
  to.setUint32(0, from.getUint32(4))
  ;[count, 16 * 2 ** power, power, 16 * (count - 2 ** power)].forEach((v, i) => to.setUint16(4 + 2 * i, v))
  let at = start
  entries.forEach(({ tag, sum, bytes }, i) => {
    ;[tag, sum, at, bytes.length].forEach((v, k) => to.setUint32(SFNT_HEADER + i * SFNT_ENTRY + 4 * k, v))
    out.set(bytes, at)
    at += padded(bytes.length)
  })
  return out
}
