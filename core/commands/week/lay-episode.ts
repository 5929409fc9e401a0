import { type HoursOf, minutesOn } from '../../plan/load'
import { Planner } from '../../plan/planner'
import type { Day, Id, PlannedBlock } from '../../records'
import { titleOf } from '../../release/parts'
import { ok, refused } from '../../result'
import { addDays, dayNumber, sayDay, weekday } from '../../rhythm/days'
import { type Change, type Command, momentOf, putRecord } from '../change'
import { stepsOf } from '../of-episode'
import { freshSettings } from '../settings/fresh-settings'
import { withBlock } from './blocks'
import { todayOf } from '../step-of'

/**
 * Lays an episode's open work of one's own on the days of a week, pinned, in the room that other laid work
 * leaves, needs first. Says how much found none; refused where nothing fits.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “This week has passed. Choose one that is still to come.”
 * - “Nothing of “…” fits into the week of …. Free some hours, or choose another week.”
 */
export const layEpisode: Command<{ episode: Id; monday: Day; hours: HoursOf }> = (
  records,
  { episode: id, monday, hours },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const today = todayOf(records, context)
  const first = monday > today ? monday : today
  const last = addDays(monday, 6)
  if (last < today) return refused('This week has passed. Choose one that is still to come.', 'steps.blocks')
  const open = stepsOf(records, id).filter(
    (s) => s.doneAt === undefined && s.owner === 'me' && !s.waiting && s.lead.kind !== 'after',
  )
  const others = [...records.steps.values()].filter((s) => s.episode !== id && s.doneAt === undefined)
  const minutes = Array.from({ length: dayNumber(last) - dayNumber(first) + 1 }, (_, n) => {
    const day = addDays(first, n)
    return Math.max(
      0,
      minutesOn(hours, day) -
        others.reduce(
          (sum, s) => sum + s.blocks.filter((b) => b.day === day).reduce((a, b) => a + b.minutes, 0),
          0,
        ),
    )
  })
  const ids = new Set(open.map((s) => s.id))
  const row = [...open].sort((a, b) => a.order - b.order)
  const tasks = row.map((s, i) => ({
    id: s.id,
    episode: id,
    kind: s.kind,
    minutes: Math.max(0, s.minutes - s.logged),
    due: addDays(last, i),
    needs: s.needs.filter((n) => ids.has(n)),
    earliest: s.earliest,
    split: s.kind !== 'film' && s.kind !== 'record',
    weight: 1,
  }))
  const settings = records.settings.get('settings') ?? freshSettings(momentOf(context))
  const { plan } = new Planner({
    tasks,
    pinned: [],
    first,
    minutes,
    setup: settings.setup,
    preferred: settings.preferred,
  })
  const whole = new Set(tasks.map((t) => t.id).filter((t) => !plan.unplaced.includes(t)))
  const changes = row
    .filter((s) => whole.has(s.id))
    .flatMap((s): Change[] => {
      const blocks = plan.blocks
        .filter((b) => b.id === s.id)
        .reduce<PlannedBlock[]>((all, b) => withBlock(all, b.day, b.minutes, true), [])
      return blocks.length === 0
        ? []
        : [
            putRecord(records, 'steps', {
              ...s,
              blocks: [...s.blocks.filter((b) => b.day < today || b.at !== undefined), ...blocks].sort(
                (a, b) => (a.day < b.day ? -1 : 1),
              ),
              updatedAt: momentOf(context),
            }),
          ]
    })
  if (changes.length === 0)
    return refused(
      `Nothing of “${titleOf(episode)}” fits into the week of ${sayDay(monday)}. Free some hours, or choose another week.`,
      'steps.blocks',
    )
  const rest = tasks.length - whole.size
  return ok({
    changes,
    sentence: `Laid “${titleOf(episode)}” on the week of ${sayDay(addDays(monday, -weekday(monday)))}${rest > 0 ? `; ${rest} ${rest === 1 ? 'step finds' : 'steps find'} no room in it` : ''}`,
    about: [id],
  })
}
