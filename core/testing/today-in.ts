import { minutesByDay } from '../plan/load'
import type { Records } from '../records'
import { dayFigures, type DayFigures } from '../views/day'
import { viewOf, type ExampleView } from '../views/example-cards'
import { creatorZone } from '../rhythm/creator'
import { localAt } from '../rhythm/zone'
import { todayOf, type Today } from '../views/today'

/** What Today says of records at a moment, with all that it is derived from. */
export interface TodayIn extends ExampleView {
  day: Today
  figures: DayFigures
}

/** What Today says of records at a moment (ms since 1970). */
export function todayIn(records: Records, now: number): TodayIn {
  const view = viewOf(records, now)
  const { state, cards, stepIn } = view
  const figures = dayFigures(state.hours, minutesByDay(state.load), state.today)
  const day = todayOf({
    today: state.today,
    clock: localAt(now, creatorZone([...records.shows.values()], 'UTC')).time,
    working: cards,
    dated: cards.filter((c) => c.standing.release),
    unplaced: cards.filter((c) => !c.standing.release),
    released: [...records.episodes.values()].filter((e) => e.phase.kind === 'released'),
    episodes: records.episodes,
    stepIn,
    blocks: state.load.blocks,
    tasks: state.open.tasks,
    minutes: figures,
    sessions: [...records.sessions.values()],
    jobs: records.jobs.values(),
    cuts: records.cuts.values(),
    running: records.settings.get('settings')?.running,
  })
  return { ...view, day, figures }
}
