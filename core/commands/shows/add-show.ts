import { smallRecipe } from '../../recipe/starters'
import { type Show, Show as ShowSchema } from '../../records'
import { ok, refused } from '../../result'
import { type RhythmWish, ruleOf } from '../../rhythm/rule'
import { type Command, momentOf, putRecord } from '../change'
import { freshSettings } from '../settings/fresh-settings'
import { firstOutlet } from './first-outlet'

/** What a newcomer says on the first screen. Hours are minutes per weekday, Monday first. */
export interface SetUp {
  title: string
  kind: Show['kind']
  zone: string
  rhythm: RhythmWish
  time: string
  start: string
  hours: number[]
}

/**
 * Adds a show with the small recipe and one outlet; for a newcomer also the week's hours. Refused with the
 * field that is wrong.
 *
 * Refused:
 * - and what `ruleOf` refuses
 */
export const addShow: Command<SetUp> = (records, wish, context) => {
  const at = momentOf(context)
  const rule = ruleOf(wish.rhythm)
  if (!rule.ok) return rule
  const recipe = smallRecipe(context.id(), wish.kind, at)
  const outlet = firstOutlet(context.id(), wish.kind, at)
  const show: Show = {
    id: context.id(),
    title: wish.title.trim(),
    kind: wish.kind,
    zone: wish.zone,
    prefix: wish.kind === 'video' ? '#' : 'A ',
    nextNumber: 1,
    rhythm: { rule: rule.value, start: wish.start, time: wish.time },
    skipped: [],
    moved: {},
    recipe: recipe.id,
    outlets: [outlet.id],
    aim: wish.kind === 'video' ? { from: 8, to: 12 } : { from: 25, to: 40 },
    pace: { camera: 150, voice: 160 },
    readyAhead: 2,
    topics: [],
    fields: [],
    notes: '',
    createdAt: at,
    updatedAt: at,
  }
  const read = ShowSchema.safeParse(show)
  if (!read.success)
    return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  const settings = {
    ...(records.settings.get('settings') ?? freshSettings(at)),
    hours: wish.hours,
    updatedAt: at,
  }
  return ok({
    changes: [
      putRecord(records, 'recipes', recipe),
      putRecord(records, 'outlets', outlet),
      putRecord(records, 'shows', show),
      putRecord(records, 'settings', settings),
    ],
    sentence: `Began the show ${show.title}`,
    about: [],
  })
}
