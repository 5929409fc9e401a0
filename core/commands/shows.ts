import {
  Show as ShowSchema,
  type Day,
  type Episode,
  type Id,
  type Outlet,
  type Records,
  type Reservation,
  type Show,
} from '../records'
import { fine, refused, type Result } from '../result'
import { smallRecipe } from '../recipe/starters'
import { datesOf, ruleOf, type RhythmWish } from '../rhythm/rule'
import { addDays } from '../rhythm/days'
import { displacedBy, releaseOf } from '../rhythm/slots'
import { dayAt } from '../rhythm/zone'
import { freshSettings } from './settings'
import { momentOf, putting, type Change, type Command } from './change'
import { replaced } from './schedule'

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

/** The outlet that a kind of show starts with. */
export function firstOutlet(id: Id, kind: Show['kind'], at: string): Outlet {
  const both = { id, createdAt: at, updatedAt: at }
  return kind === 'video'
    ? {
        ...both,
        name: 'Video site',
        required: ['title', 'description', 'chapters', 'tags', 'thumbnail', 'length'],
        titleLimit: 100,
        descriptionLimit: 5000,
        fold: 157,
        tagLimit: 500,
        chapters: { least: 3, gap: 10 },
        pictureBytes: 2_000_000,
      }
    : {
        ...both,
        name: 'Podcast feed',
        required: ['title', 'description', 'thumbnail', 'length'],
        titleLimit: 150,
        descriptionLimit: 4000,
        fold: 120,
        tagLimit: 500,
        chapters: { least: 0, gap: 1 },
        pictureBytes: 500_000,
      }
}

/**
 * Adds a show with the small recipe and one outlet; for a newcomer also the week's hours. Refused with the
 * field that is wrong.
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
  return fine({
    changes: [
      putting(records, 'recipes', recipe),
      putting(records, 'outlets', outlet),
      putting(records, 'shows', show),
      putting(records, 'settings', settings),
    ],
    sentence: `Began the show ${show.title}`,
    about: [],
  })
}

/** Changes what a show says of itself, its rhythm apart. */
export const editShow: Command<{
  show: Id
  fields: Partial<
    Pick<
      Show,
      | 'title'
      | 'prefix'
      | 'nextNumber'
      | 'aim'
      | 'pace'
      | 'readyAhead'
      | 'readyMost'
      | 'zone'
      | 'notes'
      | 'topics'
      | 'fields'
    >
  >
}> = (records, { show: id, fields }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const read = ShowSchema.safeParse({ ...show, ...fields })
  if (!read.success)
    return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  return fine({
    changes: [putting(records, 'shows', { ...read.data, updatedAt: momentOf(context) })],
    sentence: `Changed the show ${read.data.title}`,
    about: [],
    merge: `show ${id} ${Object.keys(fields).join()}`,
  })
}

/** A change of rhythm as people make it: what, when, from which date on, and when it pauses. */
export interface RhythmChange {
  rhythm: RhythmWish
  time: string
  start: string
  zone?: string
  pauses?: { from: string; to: string }[]
  also?: NonNullable<Show['rhythm']['also']>
}

/**
 * The show as a change of rhythm would leave it. Begun on a date still to come, it holds from then on, and
 * what held before holds until then; begun on a date that has passed, it holds for all slots to come.
 */
export function withRhythm(show: Show, change: RhythmChange, today: Day): Result<Show> {
  const rule = ruleOf(change.rhythm)
  if (!rule.ok) return rule
  const {
    start,
    time,
    zone = show.zone,
    pauses = show.rhythm.pauses ?? [],
    also = show.rhythm.also ?? [],
  } = change
  const { rule: oldRule, start: oldStart, time: oldTime, earlier = [] } = show.rhythm
  const before = [...earlier, { rule: oldRule, start: oldStart, time: oldTime }].filter(
    (p) => p.start < start,
  )
  const kept = start > today && start !== oldStart ? before : start === oldStart ? earlier : []
  const read = ShowSchema.safeParse({
    ...show,
    zone,
    rhythm: {
      rule: rule.value,
      start,
      time,
      ...(pauses.length > 0 ? { pauses } : {}),
      ...(also.length > 0 ? { also } : {}),
      ...(kept.length > 0 ? { earlier: kept } : {}),
    },
  })
  if (!read.success)
    return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  const dates = new Set(
    datesOf(
      read.data.rhythm,
      [kept[0]?.start ?? start, ...also.map((a) => a.start)].sort()[0] ?? start,
      addDays(start, 3660),
    ),
  )
  return fine({
    ...read.data,
    skipped: show.skipped.filter((d) => dates.has(d)),
    moved: Object.fromEntries(Object.entries(show.moved).filter(([d]) => dates.has(d))),
  })
}

/** What becomes of episodes that lose their slot. */
export type Displaced = 'nearest' | 'keep' | 'off' | 'ideas'

/**
 * Changes a show's rhythm. Episodes that lose their slot go, as the wish says, onto the nearest open slots
 * in order, keep their date as a one-off, go off the schedule, or back to Ideas; none is dropped.
 */
export const changeRhythm: Command<RhythmChange & { show: Id; displaced: Displaced }> = (
  records,
  wish,
  context,
) => {
  const show = records.shows.get(wish.show)
  if (!show) return refused('This show is no longer there.', 'shows')
  const changed = withRhythm(show, wish, dayAt(context.now, show.zone))
  if (!changed.ok) return changed
  const at = momentOf(context)
  const displaced = displacedBy(show, changed.value, records.episodes.values())
  const moves: Change[] =
    wish.displaced === 'nearest'
      ? replaced(records, changed.value, displaced, context)
      : displaced.map((e) =>
          putting(records, 'episodes', { ...withoutSlot(e, show, wish.displaced), updatedAt: at }),
        )
  const kept = keptElsewhere(records, changed.value, dayAt(context.now, show.zone)).map(
    ({ reservation, to }) =>
      putting(records, 'reservations', { ...reservation, kept: { by: 'slot', day: to }, updatedAt: at }),
  )
  return fine({
    changes: [putting(records, 'shows', { ...changed.value, updatedAt: at }), ...moves, ...kept],
    sentence: `Changed the rhythm of ${show.title}`,
    about: displaced.map((e) => e.id),
  })
}

/**
 * Slots kept for somebody on dates that a change of rhythm no longer yields, each with the nearest slot on
 * or after it that is kept for nobody.
 */
export function keptElsewhere(
  records: Pick<Records, 'reservations'>,
  changed: Show,
  today: Day,
): { reservation: Reservation; to: Day }[] {
  const mine = [...records.reservations.values()]
    .flatMap((r) =>
      r.show === changed.id && r.kept.by === 'slot' && r.kept.day >= today
        ? [{ reservation: r, day: r.kept.day }]
        : [],
    )
    .sort((a, b) => (a.day < b.day ? -1 : 1))
  const dates =
    mine.length === 0 ? [] : datesOf(changed.rhythm, today, addDays(mine.at(-1)?.day ?? today, 400))
  const taken = new Set(mine.filter((m) => dates.includes(m.day)).map((m) => m.day))
  return mine
    .filter((m) => !dates.includes(m.day))
    .flatMap(({ reservation, day }) => {
      const to = dates.find((d) => d >= day && !taken.has(d)) ?? dates.findLast((d) => !taken.has(d))
      if (to === undefined) return []
      taken.add(to)
      return [{ reservation, to }]
    })
}

function withoutSlot(episode: Episode, show: Show, how: Displaced): Episode {
  const release = releaseOf(episode, show)
  if (how === 'keep' && release)
    return { ...episode, place: { on: 'own', day: release.day, time: release.time } }
  return {
    ...episode,
    place: { on: 'nothing' },
    ...(how === 'ideas' ? { phase: { name: 'idea' as const } } : {}),
  }
}

/** Changes an outlet's limits. */
export const editOutlet: Command<{
  outlet: Id
  fields: Partial<Omit<Outlet, 'id' | 'createdAt' | 'updatedAt'>>
}> = (records, { outlet: id, fields }, context) => {
  const outlet = records.outlets.get(id)
  if (!outlet) return refused('This outlet is no longer there.', 'outlets')
  return fine({
    changes: [putting(records, 'outlets', { ...outlet, ...fields, updatedAt: momentOf(context) })],
    sentence: `Changed the limits of ${outlet.name}`,
    about: [],
    merge: `outlet ${id} ${Object.keys(fields).join()}`,
  })
}
