import { unzipSync, zipSync } from 'fflate'
import { exampleNow } from '@core/examples'
import { faultsOf } from '@core/formats/whole-check'
import { readBackup, writeBackup } from '@core/formats/backup'
import { drawsOf } from '@core/plan/chance'
import { demoWorld } from '@demo/world'

/**
 * Back-ups damaged in hundreds of ways: each is refused in a sentence, or what it gives breaks no rule and
 * can be written and read again.
 */
const count = 700
const { whole } = demoWorld(exampleNow)
const good = writeBackup({ ...whole, files: whole.files.slice(0, 2) }, '2026-11-24T09:00:00.000Z')
const draw = drawsOf(42)
const pick = (n: number) => Math.floor(draw() * n)

/** The zip with one entry rewritten, its sum made right, so that only what is in it is wrong. */
function rewritten(bytes: Uint8Array): Uint8Array {
  const entries = unzipSync(bytes)
  const names = Object.keys(entries).filter((n) => n.startsWith('records/') && !n.endsWith('journal.json'))
  const name = names[pick(names.length)] ?? ''
  const rows: unknown = JSON.parse(new TextDecoder().decode(entries[name]))
  if (Array.isArray(rows) && rows.length > 0) {
    const row: Record<string, unknown> = rows[pick(rows.length)]
    const keys = Object.keys(row)
    const key = keys[pick(keys.length)] ?? 'id'
    const values = [
      null,
      7,
      'x',
      [],
      {},
      -1,
      1e300,
      'FREQ=SOMETIMES',
      '2026-02-30',
      row['id'],
      structuredClone(rows[0]),
    ]
    if (draw() < 0.15) rows.push(row)
    else if (draw() < 0.15) rows.splice(pick(rows.length), 1)
    else row[key] = values[pick(values.length)]
  }
  const text = new TextEncoder().encode(JSON.stringify(rows))
  entries[name] = text
  const head: { sums: Record<string, number> } = JSON.parse(
    new TextDecoder().decode(entries['lamp-reel.json']),
  )
  let sum = 2166136261
  for (const b of text) sum = Math.imul(sum ^ b, 16777619) >>> 0
  head.sums[name] = sum
  entries['lamp-reel.json'] = new TextEncoder().encode(JSON.stringify(head))
  return zipSync(entries)
}

function damaged(): Uint8Array {
  const kind = draw()
  if (kind < 0.7) return rewritten(good)
  const bytes = Uint8Array.from(good)
  if (kind < 0.8) return bytes.subarray(0, pick(bytes.length))
  for (let n = 1 + pick(6); n > 0; n--) bytes[pick(bytes.length)] = pick(256)
  return bytes
}

let [refused, taken, thrown, unsound, slowest] = [0, 0, 0, 0, 0]
for (let i = 0; i < count; i++) {
  const bytes = damaged()
  const at = performance.now()
  try {
    const read = readBackup(bytes)
    if (!read.ok) refused++
    else {
      taken++
      const again = readBackup(writeBackup(read.value, '2026-11-24T09:00:00.000Z'))
      if (faultsOf(read.value.tables).length > 0 || !again.ok) unsound++
    }
  } catch (error) {
    thrown++
    console.log(`  ${error instanceof Error ? error.message : String(error)}`)
  }
  slowest = Math.max(slowest, performance.now() - at)
}
console.log(
  `back-ups: ${count} damaged ones, ${refused} refused, ${taken} taken, of these ${unsound} unsound; ${thrown} threw; the slowest took ${Math.round(slowest)} ms`,
)
process.exitCode = thrown + unsound > 0 ? 1 : 0
