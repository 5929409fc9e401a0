import { refused, ok, type Result } from '../result'

/**
 * What a back-up may be at most: its entries, what all of them take when inflated, and one file of records.
 */
export const bounds = {
  entries: 20_000,
  whole: 1024 * 1024 * 1024,
  records: 256 * 1024 * 1024,
  file: 64 * 1024 * 1024,
} as const

/**
 * Looks at a zip's directory (PKWARE APPNOTE 4.3.12 and 4.3.16) before anything is inflated: how many
 * entries, how large each says it is, and that none lies over another. Refused where it is no zip, is
 * damaged, or goes beyond the bounds.
 */
export function zipWithinBounds(bytes: Uint8Array): Result<true> {
  const noZip = refused(
    'This file is not a zip, or it is damaged. Choose a back-up that Lamp Reel made (its name ends in .zip).',
    'file',
  )
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const u16 = (at: number) => view.getUint16(at, true)
  const u32 = (at: number) => view.getUint32(at, true)
  let end = -1
  for (let at = bytes.length - 22; at >= 0 && at >= bytes.length - 22 - 65_535; at--)
    if (u32(at) === 0x06054b50) {
      end = at
      break
    }
  if (end < 0) return noZip
  const count = u16(end + 10)
  if (count > bounds.entries)
    return refused(`The zip has ${count} entries; a back-up has at most ${bounds.entries}.`, 'file')
  const spans: { from: number; to: number; name: string }[] = []
  let whole = 0
  let at = u32(end + 16)
  const decoder = new TextDecoder()
  for (let i = 0; i < count; i++) {
    if (at + 46 > bytes.length || u32(at) !== 0x02014b50) return noZip
    const [packed, size, nameLength] = [u32(at + 20), u32(at + 24), u16(at + 28)]
    const name = decoder.decode(bytes.subarray(at + 46, at + 46 + nameLength))
    const most = name.endsWith('.json') ? bounds.records : bounds.file
    whole += size
    if (size > most || whole > bounds.whole)
      return refused(
        `${name} in the zip says that it takes ${Math.round(size / 1_048_576)} MB when it is unpacked, more than a back-up of Lamp Reel has. Nothing was unpacked.`,
        name,
      )
    const from = u32(at + 42)
    if (from + 30 > bytes.length) return noZip
    spans.push({ from, to: from + 30 + nameLength + packed, name })
    at += 46 + nameLength + u16(at + 30) + u16(at + 32)
  }
  spans.sort((a, b) => a.from - b.from)
  for (const [i, span] of spans.entries()) {
    const next = spans[i + 1]
    if (span.to > bytes.length || (next && next.from < span.to))
      return refused(`${span.name} in the zip lies over what follows it; the file is damaged.`, span.name)
  }
  return ok(true)
}
