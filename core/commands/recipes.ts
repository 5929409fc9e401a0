import {
  Recipe as RecipeSchema,
  type Episode,
  type Id,
  type Recipe,
  type RecipeLine,
  type Records,
  type Script,
  type Show,
  type Step,
} from '../records'
import { fine, refused, type Result } from '../result'
import { scriptFrom, stepId, stepsToAdd } from '../recipe/apply'
import { differencesOf, lineFor, type Difference } from '../recipe/differences'
import { recipeFault, withoutStage } from '../recipe/edit'
import { fullRecipe, smallRecipe } from '../recipe/starters'
import { unknownWords } from '../release/description'
import { codeFor } from '../rhythm/numbering'
import { momentOf, putting, removing, type Change, type Command, type Context } from './change'
import { recipeFor, stepsOf } from './schedule'

/** The fields of a recipe that people change. */
export type RecipeFields = Partial<Omit<Recipe, 'id' | 'createdAt' | 'updatedAt'>>

/**
 * Lines that differ from before are marked as changed now, so that what was made from them can be compared.
 */
function marked(lines: readonly RecipeLine[], before: readonly RecipeLine[], at: string): RecipeLine[] {
  const old = new Map(before.map((l) => [l.id, JSON.stringify({ ...l, changedAt: undefined })]))
  return lines.map((l) =>
    old.get(l.id) === JSON.stringify({ ...l, changedAt: undefined }) ? l : { ...l, changedAt: at },
  )
}

function written(recipe: Recipe, fields: RecipeFields, context: Context): Result<Recipe> {
  const at = momentOf(context)
  const next = {
    ...recipe,
    ...fields,
    ...(fields.lines ? { lines: marked(fields.lines, recipe.lines, at) } : {}),
    updatedAt: at,
  }
  const fault = recipeFault(next)
  if (!fault.ok) return fault
  const unknown = fields.pattern === undefined ? [] : unknownWords(fields.pattern)
  if (unknown.length > 0)
    return refused(
      `“{${unknown[0] ?? ''}}” is not a word of the pattern. Use {description}, {chapters}, {links}, {guests}, {sponsor}, {title} or {call}.`,
      'recipes.pattern',
    )
  const read = RecipeSchema.safeParse(next)
  return read.success
    ? fine(read.data)
    : refused(
        read.error.issues[0]?.message ?? 'This cannot be kept.',
        ['recipes', ...(read.error.issues[0]?.path ?? [])].map(String).join('.'),
      )
}

/**
 * Changes a recipe. Refused for a circle (named), an unknown word in the pattern, or a field that is wrong.
 * Episodes in work keep their steps; what differs is offered to them.
 */
export const editRecipe: Command<{ recipe: Id; fields: RecipeFields }> = (
  records,
  { recipe: id, fields },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const next = written(recipe, fields, context)
  if (!next.ok) return next
  const moved = onlyLead(recipe.lines, fields)
  return fine({
    changes: [putting(records, 'recipes', next.value)],
    sentence: `Changed the recipe “${next.value.name}”`,
    about: [],
    ...(moved === undefined ? {} : { merge: `recipe ${id} lead ${moved}` }),
  })
}

/** The one line of which nothing but the lead changes: moving a dot about is one step of undo. */
function onlyLead(before: readonly RecipeLine[], fields: RecipeFields): Id | undefined {
  if (fields.lines?.length !== before.length || Object.keys(fields).length > 1) return undefined
  const bare = (l: RecipeLine | undefined) => JSON.stringify({ ...l, lead: undefined, changedAt: undefined })
  const other = fields.lines.filter((l, i) => JSON.stringify(l) !== JSON.stringify(before[i]))
  return other.length === 1 && bare(other[0]) === bare(before.find((l) => l.id === other[0]?.id))
    ? other[0]?.id
    : undefined
}

/** Changes one line of a recipe. */
export const editLine: Command<{ recipe: Id; line: RecipeLine }> = (
  records,
  { recipe: id, line },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const done = editRecipe(
    records,
    { recipe: id, fields: { lines: recipe.lines.map((l) => (l.id === line.id ? line : l)) } },
    context,
  )
  return done.ok ? fine({ ...done.value, sentence: `Changed “${line.name}” in the recipe` }) : done
}

/**
 * Leaves a stage out. Its lines go; open steps made from them stay in their episodes, in the stage next to
 * it, until the difference is taken.
 */
export const leaveOutStage: Command<{ recipe: Id; stage: Id }> = (
  records,
  { recipe: id, stage },
  context,
) => {
  const recipe = records.recipes.get(id)
  if (!recipe) return refused('This recipe is no longer there.', 'recipes')
  const rest = withoutStage(recipe, stage)
  if (!rest.ok) return rest
  const follow = recipe.follow?.filter(
    (f) =>
      !(f.when.is === 'lit' && f.when.stage === stage) && !(f.then.is === 'add' && f.then.stage === stage),
  )
  const next = written(
    recipe,
    {
      ...rest.value,
      ...(follow ? { follow } : {}),
      ...(recipe.checklists ? { checklists: recipe.checklists.filter((c) => c.stage !== stage) } : {}),
    },
    context,
  )
  if (!next.ok) return next
  const at = recipe.stages.findIndex((s) => s.id === stage)
  const heir =
    recipe.stages.find((s) => s.after.includes(stage)) ?? recipe.stages[at - 1] ?? recipe.stages[at + 1]
  const steps = workBy(records, id)
    .flatMap((e) => stepsOf(records, e.id))
    .filter((s) => s.stage === stage)
  return fine({
    changes: [
      putting(records, 'recipes', next.value),
      ...(heir
        ? steps.map((s) => putting(records, 'steps', { ...s, stage: heir.id, updatedAt: momentOf(context) }))
        : []),
    ],
    sentence: `Left the stage “${recipe.stages[at]?.name ?? ''}” out of “${recipe.name}”`,
    about: [...new Set(steps.map((s) => s.episode))],
  })
}

/** The episodes in work that are made by a recipe. */
export function workBy(records: Records, recipe: Id): Episode[] {
  return [...records.episodes.values()].filter(
    (e) => e.phase.name === 'work' && recipeFor(records, e)?.id === recipe,
  )
}

/** What a recipe, as it is now, would change in the episodes in work that are made by it. */
export function openDifferences(records: Records, recipe: Id): Difference[] {
  const found = records.recipes.get(recipe)
  return found ? workBy(records, recipe).flatMap((e) => differencesOf(found, e, stepsOf(records, e.id))) : []
}

/**
 * Takes some differences of a changed recipe and leaves others; either way they are not offered again.
 * Those that are no longer there are passed over.
 */
export const settleDifferences: Command<{ recipe: Id; take: string[]; leave: string[] }> = (
  records,
  { recipe: id, take, leave },
  context,
) => {
  const recipe = records.recipes.get(id)
  const open = openDifferences(records, id)
  const at = momentOf(context)
  const changes: Change[] = []
  const left = new Map<Id, Id[]>()
  const chosen = open.filter((d) => take.includes(d.key) || leave.includes(d.key))
  if (!recipe || chosen.length === 0) return refused('These differences are settled already.', 'recipes')
  const goneBy = new Set<Id>()
  for (const d of chosen) {
    const taken = take.includes(d.key)
    if (d.kind === 'more') {
      const step = stepsToAdd({ ...recipe, lines: [d.line] }, d.episode, stepsOf(records, d.episode), at)[0]
      if (taken && step)
        changes.push(
          putting(records, 'steps', { ...step, order: orderIn(recipe, d.line, stepsOf(records, d.episode)) }),
        )
      else left.set(d.episode, [...(left.get(d.episode) ?? []), d.line.id])
    } else if (d.kind === 'other') {
      const { name, minutes, stage, kind, required, part, changedAt } = d.line
      changes.push(
        putting(
          records,
          'steps',
          taken
            ? {
                ...d.step,
                name,
                minutes,
                stage,
                kind,
                required,
                part,
                owner: d.line.owner ?? 'me',
                ...lineFor(d.line, d.episode),
                asOf: changedAt,
                updatedAt: at,
              }
            : { ...d.step, asOf: changedAt, updatedAt: at },
        ),
      )
    } else if (taken) {
      goneBy.add(d.step.id)
      changes.push(removing(records, 'steps', d.step.id))
    } else left.set(d.episode, [...(left.get(d.episode) ?? []), d.step.id])
  }
  for (const [episode, ids] of left) {
    const e = records.episodes.get(episode)
    if (e)
      changes.push(putting(records, 'episodes', { ...e, left: [...(e.left ?? []), ...ids], updatedAt: at }))
  }
  const touched = new Set(changes.map((c) => c.id))
  for (const s of records.steps.values())
    if (!touched.has(s.id) && s.needs.some((n) => goneBy.has(n)))
      changes.push(
        putting(records, 'steps', { ...s, needs: s.needs.filter((n) => !goneBy.has(n)), updatedAt: at }),
      )
  const count = chosen.filter((d) => take.includes(d.key)).length
  return fine({
    changes,
    sentence:
      count === 0
        ? `Left ${chosen.length} ${chosen.length === 1 ? 'change' : 'changes'} of “${recipe.name}”`
        : `Took ${count} ${count === 1 ? 'change' : 'changes'} of “${recipe.name}”`,
    about: [...new Set(chosen.map((d) => d.episode))],
  })
}

/**
 * Where a new line's step stands among an episode's: right behind that of the line before it in the recipe.
 */
function orderIn(recipe: Recipe, line: RecipeLine, steps: readonly Step[]): number {
  const before = recipe.lines
    .slice(
      0,
      recipe.lines.findIndex((l) => l.id === line.id),
    )
    .reverse()
    .flatMap((l) => steps.find((s) => s.line === l.id) ?? [])[0]
  const next = before && steps.filter((s) => s.order > before.order).sort((a, b) => a.order - b.order)[0]
  return before ? (before.order + (next?.order ?? before.order + 1)) / 2 : -1
}

/** Gives a show one recipe more: a copy of one it has, or a starter. */
export const addRecipe: Command<{ show: Id; name: string; from: 'small' | 'full' | { recipe: Id } }> = (
  records,
  { show: id, name, from },
  context,
) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  const at = momentOf(context)
  const made = context.id()
  const source =
    typeof from === 'object'
      ? records.recipes.get(from.recipe)
      : from === 'full'
        ? fullRecipe(made, show.kind, at)
        : smallRecipe(made, show.kind, at)
  if (!source) return refused('The recipe to copy is no longer there.', 'recipes')
  const recipe = written({ ...source, id: made, createdAt: at }, { name: name.trim() }, context)
  if (!recipe.ok) return recipe
  return fine({
    changes: [
      putting(records, 'recipes', recipe.value),
      putting(records, 'shows', { ...show, recipes: [...(show.recipes ?? []), made], updatedAt: at }),
    ],
    sentence: `${show.title} has the recipe “${recipe.value.name}” now`,
    about: [],
  })
}

/** Takes a recipe from a show. Refused for its first one, and while something in work is made by it. */
export const removeRecipe: Command<{ show: Id; recipe: Id }> = (records, { show: id, recipe }, context) => {
  const show = records.shows.get(id)
  if (!show) return refused('This show is no longer there.', 'shows')
  if (show.recipe === recipe)
    return refused(
      'It is the show’s first recipe. Make another one the first, then remove this.',
      'shows.recipe',
    )
  const by = workBy(records, recipe)
  if (by[0])
    return refused(`“${by[0].title}” is made by it. Give it another recipe first.`, 'episodes.recipe')
  return fine({
    changes: [
      putting(records, 'shows', {
        ...show,
        recipes: (show.recipes ?? []).filter((r) => r !== recipe),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Took the recipe “${records.recipes.get(recipe)?.name ?? ''}” from ${show.title}`,
    about: [],
  })
}

/**
 * Makes one of a show's recipes the first: what is begun from now on is made by it. What is in work keeps
 * its own.
 */
export const firstRecipe: Command<{ show: Id; recipe: Id }> = (records, { show: id, recipe }, context) => {
  const show = records.shows.get(id)
  if (!show || !(show.recipes ?? []).includes(recipe))
    return refused('This show doesn’t have that recipe.', 'shows.recipes')
  const at = momentOf(context)
  const keep = workBy(records, show.recipe)
    .filter((e) => e.show === id && e.recipe === undefined)
    .map((e) => putting(records, 'episodes', { ...e, recipe: show.recipe, updatedAt: at }))
  return fine({
    changes: [
      putting(records, 'shows', {
        ...show,
        recipe,
        recipes: [show.recipe, ...(show.recipes ?? []).filter((r) => r !== recipe)],
        updatedAt: at,
      }),
      ...keep,
    ],
    sentence: `${show.title} is made by “${records.recipes.get(recipe)?.name ?? ''}” from now on`,
    about: [],
  })
}

/**
 * Lets an episode be made by another recipe of its show: steps of lines it lacks come, open ones not begun
 * whose line the other lacks go; what is done stays.
 */
export const useRecipe: Command<{ episode: Id; recipe: Id }> = (
  records,
  { episode: id, recipe: wanted },
  context,
) => {
  const episode = records.episodes.get(id)
  const show = episode && records.shows.get(episode.show)
  const recipe = records.recipes.get(wanted)
  if (!episode || !show || !recipe) return refused('It is no longer there.', 'episodes')
  const at = momentOf(context)
  const changes: Change[] = [
    putting(records, 'episodes', {
      ...episode,
      recipe: wanted === show.recipe ? undefined : wanted,
      left: undefined,
      updatedAt: at,
    }),
  ]
  const mine = stepsOf(records, id)
  if (episode.phase.name === 'work') {
    const lines = new Map(recipe.lines.map((l) => [l.id, l]))
    const home = (stage: Id) =>
      recipe.stages.some((s) => s.id === stage)
        ? stage
        : ((recipe.stages.find((s) => s.kind === 'release') ?? recipe.stages[0])?.id ?? stage)
    const gone = new Set(
      mine
        .filter((s) => s.line !== undefined && !lines.has(s.line) && s.doneAt === undefined && s.logged === 0)
        .map((s) => s.id),
    )
    for (const s of mine) {
      if (gone.has(s.id)) {
        changes.push(removing(records, 'steps', s.id))
        continue
      }
      const line = s.line === undefined ? undefined : lines.get(s.line)
      const next: Step =
        s.doneAt === undefined && s.logged === 0 && line
          ? {
              ...s,
              name: line.name,
              kind: line.kind,
              minutes: line.minutes,
              stage: line.stage,
              required: line.required,
              part: line.part,
              ...lineFor(line, id),
              updatedAt: at,
            }
          : { ...s, stage: home(s.stage), needs: s.needs.filter((n) => !gone.has(n)) }
      if (JSON.stringify({ ...next, updatedAt: '' }) !== JSON.stringify({ ...s, updatedAt: '' }))
        changes.push(putting(records, 'steps', { ...next, updatedAt: at }))
    }
    for (const s of stepsToAdd(recipe, id, mine, at)) changes.push(putting(records, 'steps', s))
  }
  return fine({ changes, sentence: `“${episode.title}” is made by “${recipe.name}”`, about: [id] })
}

/**
 * Gives a show another starter recipe in place of its first; its episodes in work get the steps they lack.
 * What they have stays.
 */
export const takeStarter: Command<{ show: Id; starter: 'small' | 'full' }> = (
  records,
  { show: id, starter },
  context,
) => {
  const show = records.shows.get(id)
  const old = show && records.recipes.get(show.recipe)
  if (!show || !old) return refused('This show is no longer there.', 'shows')
  const at = momentOf(context)
  const fresh =
    starter === 'full' ? fullRecipe(context.id(), show.kind, at) : smallRecipe(context.id(), show.kind, at)
  const recipe: Recipe = { ...fresh, pattern: old.pattern, call: old.call, outline: old.outline }
  const mine = workOf(records, show).filter((e) => e.recipe === undefined)
  // Lines that share an id are the same piece of work: a small recipe's untouched step gives way to the
  // full one's of the same line.
  const steps = mine.flatMap((e) =>
    stepsToAdd(recipe, e.id, stepsOf(records, e.id), at).map((s) => putting(records, 'steps', s)),
  )
  return fine({
    changes: [
      putting(records, 'recipes', recipe),
      putting(records, 'shows', { ...show, recipe: recipe.id, updatedAt: at }),
      ...steps,
    ],
    sentence: `${show.title} now uses “${recipe.name}”`,
    about: mine.map((e) => e.id),
  })
}

function workOf(records: Records, show: Show): Episode[] {
  return [...records.episodes.values()].filter((e) => e.show === show.id && e.phase.name === 'work')
}

/**
 * Copies an episode as a pattern for a new one in work, without a slot: its steps come undone, undated and
 * unlogged; its brief, script and tags only if wanted, else the script's sections alone. Pictures, figures,
 * the cut and the number stay where they are.
 */
export const copyEpisode: Command<{ episode: Id; texts: boolean }> = (
  records,
  { episode: id, texts },
  context,
) => {
  const source = records.episodes.get(id)
  if (!source) return refused('This episode is no longer there.', 'episodes')
  const at = momentOf(context)
  const made = context.id()
  const { title, show, topics, guests, nature, brief, titles, tags, links, recipe, early, idea } = source
  const episode: Episode = {
    id: made,
    show,
    code: codeFor(made, new Set([...records.episodes.values()].map((e) => e.code))),
    title: `${title}, again`.slice(0, 300),
    note: '',
    idea: {
      ...idea,
      sources: [],
      asked: [],
      images: [],
      files: [],
      restUntil: undefined,
      rank: undefined,
      occasion: undefined,
    },
    phase: { name: 'work', since: at },
    place: { on: 'nothing' },
    nature: nature.is === 'topical' ? { is: 'topical' } : nature,
    spare: false,
    priority: 0,
    brief: texts
      ? brief
      : { takeaway: '', points: ['', '', ''], description: '', pictureIdea: '', pictureWords: '' },
    titles: texts ? titles.map((t) => ({ ...t, id: context.id() })) : [],
    tags: texts ? tags : [],
    links: texts ? links.map((l) => ({ ...l, id: context.id() })) : [],
    topics,
    guests: texts ? guests : [],
    pictures: [],
    cut: { starts: {} },
    figures: [],
    ...(recipe === undefined ? {} : { recipe }),
    ...(early === undefined ? {} : { early }),
    createdAt: at,
    updatedAt: at,
  }
  const mine = stepsOf(records, id)
  const ids = new Map(
    mine.map((s) => [s.id, s.line === undefined ? `${made}/${context.id()}` : stepId(made, s.line)]),
  )
  const to = (step: Id) => ids.get(step) ?? step
  const steps = mine.map((s): Step => ({
    id: to(s.id),
    episode: made,
    ...(s.line === undefined ? {} : { line: s.line }),
    stage: s.stage,
    name: s.name,
    kind: s.kind,
    minutes: s.minutes,
    logged: 0,
    lead: s.lead.by === 'ahead' ? { ...s.lead, step: to(s.lead.step) } : s.lead,
    needs: s.needs.map(to),
    owner: s.owner,
    required: s.required,
    ...(s.part === undefined ? {} : { part: s.part }),
    blocks: [],
    order: s.order,
    createdAt: at,
    updatedAt: at,
  }))
  const own = recipeFor(records, episode)
  const old = records.scripts.get(id)
  const script: Script | undefined = old
    ? {
        id: made,
        sections: old.sections.map((s) => {
          const section = context.id()
          return {
            ...s,
            id: section,
            beats: texts
              ? s.beats.map((b) => ({
                  ...b,
                  id: context.id(),
                  cues: b.cues.map((c) => ({ ...c, id: context.id(), got: false })),
                }))
              : [{ id: context.id(), delivery: 'camera' as const, text: '', hold: 0, cues: [] }],
          }
        }),
        createdAt: at,
        updatedAt: at,
      }
    : own && scriptFrom(own, { id: made }, at)
  const fresh = mine.length > 0 || !own ? steps : stepsToAdd(own, made, [], at)
  return fine({
    changes: [
      putting(records, 'episodes', episode),
      ...fresh.map((s) => putting(records, 'steps', s)),
      ...(script ? [putting(records, 'scripts', script)] : []),
    ],
    sentence: `Copied “${title}” as a pattern${texts ? ', with its texts' : ''}`,
    about: [made],
  })
}
