import { Show as ShowSchema, type Day, type Episode, type Id, type Outlet, type Recipe, type RecipeLine, type Records, type Show } from '../model'
import { fine, refused, type Result } from '../result'
import { stepsToAdd } from '../recipe/apply'
import { inOrder } from '../recipe/needs'
import { fullRecipe, smallRecipe } from '../recipe/starters'
import { unknownWords } from '../release/description'
import { datesOf, ruleOf, type RhythmWish } from '../rhythm/rule'
import { addDays } from '../rhythm/days'
import { displacedBy, releaseOf } from '../rhythm/slots'
import { dayAt } from '../rhythm/zone'
import { freshSettings } from './settings'
import { momentOf, putting, type Change, type Command, type Context } from './change'
import { replaced, stepsOf } from './schedule'

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
    ? { ...both, name: 'Video site', required: ['title', 'description', 'chapters', 'tags', 'thumbnail', 'length'], titleLimit: 100, descriptionLimit: 5000, fold: 157, tagLimit: 500, chapters: { least: 3, gap: 10 }, pictureBytes: 2_000_000 }
    : { ...both, name: 'Podcast feed', required: ['title', 'description', 'thumbnail', 'length'], titleLimit: 150, descriptionLimit: 4000, fold: 120, tagLimit: 500, chapters: { least: 0, gap: 1 }, pictureBytes: 500_000 }
}

/** Adds a show with the small recipe and one outlet; for a newcomer also the week's hours. Refused with the field that is wrong. */
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
  if (!read.success) return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  const settings = { ...(records.settings.get('settings') ?? freshSettings(at)), hours: wish.hours, updatedAt: at }
  return fine({
    changes: [putting(records, 'recipes', recipe), putting(records, 'outlets', outlet), putting(records, 'shows', show), putting(records, 'settings', settings)],
    sentence: `Began the show ${show.title}`,
    about: [],
  })
}

/** Changes what a show says of itself, its rhythm apart. */
export const editShow: Command<{ show: Id; fields: Partial<Pick<Show, 'title' | 'prefix' | 'nextNumber' | 'aim' | 'pace' | 'readyAhead' | 'zone' | 'notes' | 'topics' | 'fields'>> }> = (records, { show: id, fields }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const read = ShowSchema.safeParse({ ...show, ...fields })
  if (!read.success) return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  return fine({ changes: [putting(records, 'shows', { ...read.data, updatedAt: momentOf(context) })], sentence: `Changed the show ${read.data.title}`, about: [], merge: `show ${id} ${Object.keys(fields).join()}` })
}

/** A change of rhythm as people make it: what, when, from which date on, and when it pauses. */
export interface RhythmChange {
  rhythm: RhythmWish
  time: string
  start: string
  zone?: string
  pauses?: { from: string; to: string }[]
}

/**
 * The show as a change of rhythm would leave it. Begun on a date still to come, it holds from then on, and what held before holds until
 * then; begun on a date that has passed, it holds for all slots to come.
 */
export function withRhythm(show: Show, change: RhythmChange, today: Day): Result<Show> {
  const rule = ruleOf(change.rhythm)
  if (!rule.ok) return rule
  const { start, time, zone = show.zone, pauses = show.rhythm.pauses ?? [] } = change
  const { rule: oldRule, start: oldStart, time: oldTime, earlier = [] } = show.rhythm
  const before = [...earlier, { rule: oldRule, start: oldStart, time: oldTime }].filter((p) => p.start < start)
  const kept = start > today && start !== oldStart ? before : start === oldStart ? earlier : []
  const read = ShowSchema.safeParse({ ...show, zone, rhythm: { rule: rule.value, start, time, ...(pauses.length > 0 ? { pauses } : {}), ...(kept.length > 0 ? { earlier: kept } : {}) } })
  if (!read.success) return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  const dates = new Set(datesOf(read.data.rhythm, kept[0]?.start ?? start, addDays(start, 3660)))
  return fine({ ...read.data, skipped: show.skipped.filter((d) => dates.has(d)), moved: Object.fromEntries(Object.entries(show.moved).filter(([d]) => dates.has(d))) })
}

/** What becomes of episodes that lose their slot. */
export type Displaced = 'nearest' | 'keep' | 'off' | 'ideas'

/**
 * Changes a show's rhythm. Episodes that lose their slot go, as the wish says, onto the nearest open slots in order, keep their date as a one-off,
 * go off the schedule, or back to Ideas; none is dropped.
 */
export const changeRhythm: Command<RhythmChange & { show: Id; displaced: Displaced }> = (records, wish, context) => {
  const show = records.shows.get(wish.show)
  if (!show) return refused('This show is no longer there.', 'shows')
  const changed = withRhythm(show, wish, dayAt(context.now, show.zone))
  if (!changed.ok) return changed
  const at = momentOf(context)
  const displaced = displacedBy(show, changed.value, records.episodes.values())
  const moves: Change[] = wish.displaced === 'nearest' ? replaced(records, changed.value, displaced, context) : displaced.map((e) => putting(records, 'episodes', { ...withoutSlot(e, show, wish.displaced), updatedAt: at }))
  return fine({ changes: [putting(records, 'shows', { ...changed.value, updatedAt: at }), ...moves], sentence: `Changed the rhythm of ${show.title}`, about: displaced.map((e) => e.id) })
}

function withoutSlot(episode: Episode, show: Show, how: Displaced): Episode {
  const release = releaseOf(episode, show)
  if (how === 'keep' && release) return { ...episode, place: { on: 'own', day: release.day, time: release.time } }
  return { ...episode, place: { on: 'nothing' }, ...(how === 'ideas' ? { phase: { name: 'idea' as const } } : {}) }
}

/** Changes a recipe's lines, pattern, closing lines or outline. Refused for a circle of needs (named) or an unknown word in the pattern. */
export const editRecipe: Command<{ recipe: Id; fields: Partial<Pick<Recipe, 'name' | 'lines' | 'pattern' | 'call' | 'outline' | 'stages'>> }> = (records, { recipe: id, fields }, context) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const next = { ...recipe, ...fields, updatedAt: momentOf(context) }
  const order = inOrder(next.lines)
  if (!order.ok) return order
  const unknown = unknownWords(next.pattern)
  if (fields.pattern !== undefined && unknown.length > 0) return refused(`“{${unknown[0] ?? ''}}” is not a word of the pattern. Use {description}, {chapters}, {links}, {guests}, {sponsor}, {title} or {call}.`, 'recipes.pattern')
  return fine({ changes: [putting(records, 'recipes', next)], sentence: `Changed the recipe “${next.name}”`, about: [], merge: `recipe ${id} ${Object.keys(fields).join()}` })
}

/** Changes one line of a recipe, and offers the same to the steps made from it in episodes in work that are not done yet. */
export const editLine: Command<{ recipe: Id; line: RecipeLine; carry: boolean }> = (records, { recipe: id, line, carry }, context) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const edited = editRecipe(records, { recipe: id, fields: { lines: recipe.lines.map((l) => (l.id === line.id ? line : l)) } }, context)
  if (!edited.ok || !carry) return edited
  const at = momentOf(context)
  const shows = new Set([...records.shows.values()].filter((s) => s.recipe === id).map((s) => s.id))
  const steps = [...records.steps.values()].filter((s) => {
    const episode = records.episodes.get(s.episode)
    return s.line === line.id && s.doneAt === undefined && episode && shows.has(episode.show) && episode.phase.name === 'work'
  })
  return fine({ ...edited.value, changes: [...edited.value.changes, ...steps.map((s) => putting(records, 'steps', { ...s, name: line.name, minutes: line.minutes, needs: line.needs.map((need) => `${s.episode}/${need}`), lead: line.lead.by === 'ahead' ? { ...line.lead, step: `${s.episode}/${line.lead.step}` } : line.lead, updatedAt: at }))], about: [...new Set(steps.map((s) => s.episode))] })
}

/** Gives a show another starter recipe; its episodes in work get the steps they lack. What they have stays. */
export const takeStarter: Command<{ show: Id; starter: 'small' | 'full' }> = (records, { show: id, starter }, context) => {
  const show = records.shows.get(id)
  const old = show && records.recipes.get(show.recipe)
  if (!show || !old) return refused('This show is no longer there.', 'shows')
  const at = momentOf(context)
  const fresh = starter === 'full' ? fullRecipe(context.id(), show.kind, at) : smallRecipe(context.id(), show.kind, at)
  const recipe: Recipe = { ...fresh, pattern: old.pattern, call: old.call, outline: old.outline }
  return fine({ changes: [putting(records, 'recipes', recipe), putting(records, 'shows', { ...show, recipe: recipe.id, updatedAt: at }), ...stepsFor(records, show, recipe, context)], sentence: `${show.title} now uses “${recipe.name}”`, about: workOf(records, show).map((e) => e.id) })
}

/** The episodes of a show that are in work. */
function workOf(records: Records, show: Show) {
  return [...records.episodes.values()].filter((e) => e.show === show.id && e.phase.name === 'work')
}

/** Lines that share an id are the same piece of work: a small recipe's untouched step gives way to the full one's of the same line. */
function stepsFor(records: Records, show: Show, recipe: Recipe, context: Context): Change[] {
  const at = momentOf(context)
  return workOf(records, show).flatMap((e) => stepsToAdd(recipe, e.id, stepsOf(records, e.id), at).map((s) => putting(records, 'steps', s)))
}

/** Changes an outlet's limits. */
export const editOutlet: Command<{ outlet: Id; fields: Partial<Omit<Outlet, 'id' | 'createdAt' | 'updatedAt'>> }> = (records, { outlet: id, fields }, context) => {
  const outlet = records.outlets.get(id)
  if (!outlet) return refused('This outlet is no longer there.', 'outlets')
  return fine({ changes: [putting(records, 'outlets', { ...outlet, ...fields, updatedAt: momentOf(context) })], sentence: `Changed the limits of ${outlet.name}`, about: [], merge: `outlet ${id} ${Object.keys(fields).join()}` })
}
