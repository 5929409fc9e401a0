import type { Day, Settings } from '../../records'

/**
 * When it was said of days that they have no hours: of `lost` ones today, unless it was said before; of `given` ones
 * nothing any more.
 */
export function lostOn(
  { lostOn: before = {} }: Pick<Settings, 'lostOn'>,
  { lost, given }: { lost: readonly Day[]; given: readonly Day[] },
  today: Day,
): Record<Day, Day> {
  const kept = Object.entries(before).filter(([day]) => !given.includes(day))
  return { ...Object.fromEntries(lost.map((day) => [day, today])), ...Object.fromEntries(kept) }
}
