import { ruleFault, type Busy, type Day, type StandingWork } from '../records'
import { datesOf } from '../rhythm/rule'

/** One time that standing work falls due. */
export interface Occurrence {
  work: StandingWork
  day: Day
  state: 'to do' | 'done' | 'skipped'
}

/**
 * Standing work from one date to another, both included, by date, those with a clock time first by it.
 * Refuses nothing: a rule that cannot be read yields nothing.
 */
export function occurrencesOf(all: Iterable<StandingWork>, from: Day, to: Day): Occurrence[] {
  const row: Occurrence[] = []
  for (const work of all) {
    const days =
      work.when.kind === 'once'
        ? work.when.day >= from && work.when.day <= to
          ? [work.when.day]
          : []
        : ruleFault(work.when.rule) === undefined
          ? datesOf(
              { rule: work.when.rule, start: work.when.start, time: '09:00' },
              from > work.when.start ? from : work.when.start,
              to,
            )
          : []
    for (const day of days)
      row.push({
        work,
        day,
        state: work.done.includes(day) ? 'done' : work.skipped.includes(day) ? 'skipped' : 'to do',
      })
  }
  return row.sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : (a.work.at ?? '99') < (b.work.at ?? '99') ? -1 : 1,
  )
}

/** Minutes of each date that standing work (not skipped) and busy time take of its hours. */
export function takenMinutes(
  standing: Iterable<StandingWork>,
  busy: Iterable<Busy>,
  from: Day,
  to: Day,
): Map<Day, number> {
  const taken = new Map<Day, number>()
  const add = (day: Day, minutes: number) => {
    taken.set(day, (taken.get(day) ?? 0) + minutes)
  }
  for (const o of occurrencesOf(standing, from, to)) if (o.state !== 'skipped') add(o.day, o.work.minutes)
  for (const b of busy) if (b.day >= from && b.day <= to) add(b.day, b.minutes)
  return taken
}
