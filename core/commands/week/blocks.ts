import type { Day, PlannedBlock, Records, Step } from '../../records'
import { type Result, ok } from '../../result'
import { type Context, type Outcome, momentOf, putRecord } from '../change'

export function written(
  records: Records,
  step: Step,
  blocks: PlannedBlock[],
  context: Context,
  sentence: string,
): Result<Outcome> {
  const sorted = blocks.filter((b) => b.minutes > 0).sort((a, b) => (a.day < b.day ? -1 : 1))
  return ok({
    changes: [putRecord(records, 'steps', { ...step, blocks: sorted, updatedAt: momentOf(context) })],
    sentence,
    about: [step.episode],
  })
}

/** Adds minutes to the block of a day, or makes one. */
export function withBlock(
  blocks: readonly PlannedBlock[],
  day: Day,
  minutes: number,
  pinned: boolean,
): PlannedBlock[] {
  const there = blocks.find((b) => b.day === day)
  return there
    ? blocks.map((b) =>
        b === there ? { ...b, minutes: b.minutes + minutes, pinned: b.pinned || pinned } : b,
      )
    : [...blocks, { day, minutes, pinned }]
}
