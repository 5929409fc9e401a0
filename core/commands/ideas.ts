import {
  bareIdea,
  type Asked,
  type Day,
  type Episode,
  type Id,
  type Idea,
  type IdeaStanding,
  type Picture,
  type Records,
} from '../records'
import type { Draft } from '../formats/lines'
import type { Mail } from '../formats/mail'
import { rankOf, sayMonth } from '../ideas/usable'
import { fine, refused, type Result } from '../result'
import { sayDay } from '../rhythm/days'
import { codeFor } from '../rhythm/numbering'
import { dayAt } from '../rhythm/zone'
import { todayOf } from './step-of'
import {
  momentOf,
  putting,
  type Change,
  type Command,
  type Context,
  type Done,
  type FileRecord,
} from './change'

type Codes = Set<string>

function codesOf(records: Records): Codes {
  return new Set([...records.episodes.values()].map((e) => e.code))
}

/**
 * A new episode that is only an idea, with a permanent code of its own; `taken` are the codes of the others
 * and gets the new one.
 */
export function newIdea(
  records: Records,
  show: Id,
  line: string,
  context: Context,
  taken: Codes = codesOf(records),
): Episode {
  const id = context.id()
  const at = momentOf(context)
  const code = codeFor(id, taken)
  taken.add(code)
  return {
    id,
    show,
    code,
    title: line.trim(),
    note: '',
    idea: bareIdea(),
    phase: { name: 'idea' },
    place: { on: 'nothing' },
    nature: { is: 'evergreen' },
    spare: false,
    priority: 0,
    brief: { takeaway: '', points: ['', '', ''], description: '', pictureIdea: '', pictureWords: '' },
    titles: [],
    tags: [],
    topics: [],
    links: [],
    guests: [],
    pictures: [],
    cut: { starts: {} },
    figures: [],
    createdAt: at,
    updatedAt: at,
  }
}

/**
 * Keeps a line as an idea of a show, with topics where they are known. Refused when it is blank or longer
 * than a title can be.
 */
export const jotIdea: Command<{ show: Id; line: string; topics?: string[]; url?: string }> = (
  records,
  { show, line, topics = [], url },
  context,
) => {
  if (line.trim() === '')
    return refused('There is nothing to keep yet. Type a line, then press Enter.', 'episodes.title')
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'episodes.show')
  const idea = { ...newIdea(records, show, line, context), topics }
  const kept =
    url === undefined
      ? idea
      : { ...idea, idea: { ...idea.idea, sources: [{ id: context.id(), text: '', url }] } }
  return fine({
    changes: [putting(records, 'episodes', kept)],
    sentence: `Kept the idea “${idea.title}”`,
    about: [idea.id],
  })
}

/** Keeps several ideas read from pasted text, in their order: the first ends up on top. */
export const jotIdeas: Command<{ show: Id; drafts: Draft[] }> = (records, { show, drafts }, context) => {
  if (!records.shows.has(show))
    return refused('This show is no longer there. Choose another one.', 'episodes.show')
  if (drafts.length === 0) return refused('No line is left to keep.', 'episodes.title')
  const taken = codesOf(records)
  const ideas = drafts.map((draft, i): Episode => {
    const idea = newIdea(records, show, draft.title, { ...context, now: context.now - i }, taken)
    return {
      ...idea,
      note: draft.note,
      topics: draft.topics,
      idea: { ...idea.idea, sources: draft.urls.map((url) => ({ id: context.id(), text: '', url })) },
    }
  })
  return fine({
    changes: ideas.map((e) => putting(records, 'episodes', e)),
    sentence: `Kept ${ideas.length} ideas`,
    about: ideas.map((e) => e.id),
  })
}

/**
 * Takes mail in as ideas under the mail's own ids: what is there already, whatever became of it, is left as
 * it is, so that the same mail arrives once however often it is handed over. Mail for an unknown show goes
 * to `show`.
 */
export const keepMail: Command<{ show: Id; mail: Mail[]; files?: FileRecord[] }> = (
  records,
  { show, mail, files = [] },
  context,
) => {
  if (!records.shows.has(show))
    return refused('Begin a show first; the ideas wait until then.', 'episodes.show')
  const taken = codesOf(records)
  const fresh = [...new Map(mail.map((m) => [m.id, m])).values()].filter((m) => !records.episodes.has(m.id))
  const kept = fresh.map((m): Episode => {
    const idea = newIdea(
      records,
      records.shows.has(m.show) ? m.show : show,
      m.line,
      { now: Math.min(Date.parse(m.at), context.now), id: () => m.id },
      taken,
    )
    const sources = m.url === '' ? [] : [{ id: `${m.id}/source`, text: '', url: m.url }]
    if (m.kind === 'jotted') return { ...idea, note: m.note, idea: { ...idea.idea, sources } }
    const asked: Asked[] = [
      { id: `${m.id}/asked`, name: m.name, mail: m.mail, tell: m.tell, wish: m.line, at: m.at },
    ]
    const file = files.find((f) => f.id === `${m.id}/picture`)
    const images: Picture[] =
      file && m.picture
        ? [
            {
              id: file.id,
              name: 'sent with the wish',
              type: m.picture.type,
              width: m.picture.width,
              height: m.picture.height,
              size: file.bytes.byteLength,
            },
          ]
        : []
    return { ...idea, idea: { ...idea.idea, sources, asked, images } }
  })
  const wanted = new Set(kept.flatMap((e) => e.idea.images.map((p) => p.id)))
  return fine({
    changes: kept.map((e) => putting(records, 'episodes', e)),
    sentence: kept.length === 1 ? `Took in “${kept[0]?.title ?? ''}”` : `Took in ${kept.length} ideas`,
    about: kept.map((e) => e.id),
    files: files.filter((f) => wanted.has(f.id)),
  })
}

/** Lets ideas go: kept as dropped, so that nothing is lost. Refused for what has been released. */
export const dropEpisodes: Command<{ episodes: Id[]; why: string }> = (
  records,
  { episodes, why },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  if (found.some((e) => e.phase.name === 'released'))
    return refused('What has been released stays in the Catalogue.', 'episodes.phase')
  return changedAll(
    records,
    found,
    (e) => ({ ...e, phase: { name: 'dropped', why }, place: { on: 'nothing' } }),
    context,
    found.length === 1 ? `Let “${found[0]?.title ?? ''}” go` : `Let ${found.length} ideas go`,
  )
}

/** Brings an episode back among the ideas, with all that was done kept, off its slot. */
export const backToIdeas: Command<{ episode: Id }> = (records, { episode }, context) => {
  const e = records.episodes.get(episode)
  if (!e) return refused('This episode is no longer there.', 'episodes')
  if (e.phase.name === 'released')
    return refused('It has been released, so it stays in the Catalogue.', 'episodes.phase')
  return changedAll(
    records,
    [e],
    (x) => ({ ...x, phase: { name: 'idea' }, place: { on: 'nothing' } }),
    context,
    `Took “${e.title}” back to Ideas`,
  )
}

/** What each standing is called. */
export const standingNames: Readonly<Record<IdeaStanding, string>> = {
  unsorted: 'unsorted',
  next: 'next',
  promising: 'promising',
  someday: 'some day',
}

/** Sorts ideas: next, promising, some day, or unsorted again. A rest ends with it. */
export const sortIdeas: Command<{ episodes: Id[]; standing: IdeaStanding }> = (
  records,
  { episodes, standing },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  return changedAll(
    records,
    found,
    (e) => withIdea(e, { standing, restUntil: undefined }),
    context,
    `Sorted ${named(found)} as ${standingNames[standing]}`,
  )
}

/** Puts ideas away until a date; they come back unsorted. Refused for a date that is not to come. */
export const restIdeas: Command<{ episodes: Id[]; until: Day }> = (records, { episodes, until }, context) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  const zone = records.shows.get(found[0]?.show ?? '')?.zone ?? 'UTC'
  if (until <= dayAt(context.now, zone))
    return refused('Choose a date still to come, for example in four weeks.', 'episodes.idea.restUntil')
  return changedAll(
    records,
    found,
    (e) => withIdea(e, { standing: 'unsorted', restUntil: until }),
    context,
    `Put ${named(found)} away until ${sayDay(until)}`,
  )
}

/** Means ideas for a month, or for none. */
export const meanFor: Command<{ episodes: Id[]; month: string | undefined }> = (
  records,
  { episodes, month },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  return changedAll(
    records,
    found,
    (e) => withIdea(e, { meant: month }),
    context,
    month === undefined
      ? `Took ${named(found)} off its month`
      : `Meant ${named(found)} for ${sayMonth(month, todayOf(records, context))}`,
  )
}

/**
 * The fields that several episodes can get at once. Topics and guests are added; `without` takes topics
 * away.
 */
export interface Edits {
  standing?: IdeaStanding
  show?: Id
  topics?: string[]
  without?: string[]
  series?: string
  rating?: number | undefined
  meant?: string | undefined
  nature?: Episode['nature']
}

/** Edits several at once, as one step of undo. Another show is refused for what is more than an idea. */
export const editMany: Command<{ episodes: Id[]; edits: Edits }> = (
  records,
  { episodes, edits },
  context,
) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  if (edits.show !== undefined && !records.shows.has(edits.show))
    return refused('This show is no longer there.', 'episodes.show')
  if (edits.show !== undefined && found.some((e) => e.phase.name !== 'idea' && e.show !== edits.show))
    return refused(
      'Only ideas can go to another show; what is in work has its show’s steps. Leave those out, then try again.',
      'episodes.show',
    )
  return changedAll(
    records,
    found,
    (e) => {
      const next = withIdea(e, {
        ...('standing' in edits && edits.standing ? { standing: edits.standing, restUntil: undefined } : {}),
        ...(edits.series === undefined ? {} : { series: edits.series }),
        ...('rating' in edits ? { rating: edits.rating } : {}),
        ...('meant' in edits ? { meant: edits.meant } : {}),
      })
      const topics = [...new Set([...e.topics, ...(edits.topics ?? [])])].filter(
        (t) => !edits.without?.includes(t),
      )
      return { ...next, topics, show: edits.show ?? e.show, nature: edits.nature ?? e.nature }
    },
    context,
    `Changed ${named(found)}`,
  )
}

/** Writes what was typed on an idea's own page; writing the same again and again is one step of undo. */
export const writeIdea: Command<{ episode: Id; typed: Partial<Idea>; what: string; files?: FileRecord[] }> = (
  records,
  { episode: id, typed, what, files },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This idea is no longer there.', 'episodes')
  return fine({
    changes: [putting(records, 'episodes', { ...withIdea(episode, typed), updatedAt: momentOf(context) })],
    sentence: `Changed ${what}`,
    about: [id],
    merge: `idea ${id} ${what}`,
    ...(files ? { files } : {}),
  })
}

/**
 * Makes one idea of two: the kept one gets the other's title and note below its own, its sources, who
 * asked, images, topics and keywords; the other is let go with the reason, so that nothing is lost. Only an
 * idea can be merged into something.
 */
export const mergeIdeas: Command<{ into: Id; from: Id }> = (records, { into, from }, context) => {
  const kept = records.episodes.get(into)
  const other = records.episodes.get(from)
  if (!kept || !other || into === from) return refused('One of the two is no longer there.', 'episodes')
  if (other.phase.name !== 'idea')
    return refused(
      `“${other.title}” is more than an idea; only ideas can be merged into another.`,
      'episodes.phase',
    )
  const at = momentOf(context)
  const [a, b] = [kept.idea, other.idea]
  const whole = withIdea(kept, {
    premise: joinedTexts(a.premise, b.premise),
    why: joinedTexts(a.why, b.why),
    series: a.series || b.series,
    sources: [...a.sources, ...b.sources],
    asked: [...a.asked, ...b.asked],
    images: [...a.images, ...b.images],
    files: [...a.files, ...b.files],
    keywords: [...new Set([...a.keywords, ...b.keywords])],
    own: { ...b.own, ...a.own },
    ...(a.rating === undefined && b.rating !== undefined ? { rating: b.rating } : {}),
    ...(a.occasion === undefined && b.occasion ? { occasion: b.occasion } : {}),
    ...(a.meant === undefined && b.meant ? { meant: b.meant } : {}),
  })
  const union = (x: readonly string[], y: readonly string[]) => [...new Set([...x, ...y])]
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...whole,
        note: joinedTexts(
          kept.note,
          kept.title === other.title ? other.note : joinedTexts(other.title, other.note),
        ),
        topics: union(kept.topics, other.topics),
        guests: union(kept.guests, other.guests),
        links: [...kept.links, ...other.links],
        tags: union(kept.tags, other.tags),
        updatedAt: at,
      }),
      putting(records, 'episodes', {
        ...other,
        phase: { name: 'dropped', why: `merged into “${kept.title}” (${kept.code})` },
        place: { on: 'nothing' },
        updatedAt: at,
      }),
    ],
    sentence: `Merged “${other.title}” into “${kept.title}”`,
    about: [into, from],
  })
}

function joinedTexts(first: string, second: string): string {
  return [first, second].filter((t) => t.trim() !== '').join('\n')
}

/**
 * Puts an idea between two others (or before the first, behind the last) in the order made by hand. `order`
 * are the ids as they stand on screen.
 */
export const reorderIdea: Command<{ episode: Id; before: Id | undefined; after: Id | undefined }> = (
  records,
  { episode: id, before, after },
  context,
) => {
  const e = records.episodes.get(id)
  if (!e) return refused('This idea is no longer there.', 'episodes')
  const above = before === undefined ? undefined : records.episodes.get(before)
  const below = after === undefined ? undefined : records.episodes.get(after)
  const low = above && rankOf(above)
  const high = below && rankOf(below)
  const rank =
    low === undefined
      ? high === undefined
        ? 0
        : high - 1000
      : high === undefined
        ? low + 1000
        : (low + high) / 2
  // No room is left between the two (or they are of the same moment): all ideas get ranks anew, a thousand
  // apart, in the order they stand in.
  if (
    above &&
    below &&
    high !== undefined &&
    low !== undefined &&
    (rank - low < least || high - rank < least)
  )
    return renumbered(records, e, below, context)
  return fine({
    changes: [
      putting(records, 'episodes', {
        ...withIdea(e, { rank }),
        updatedAt: momentOf(context),
      }),
    ],
    sentence: `Moved “${e.title}” in the order`,
    about: [id],
  })
}

/** The least distance of two ranks: half of it can still be told apart among moments in ms. */
const least = 1 / 64

/** Ideas with ranks anew, a thousand apart, one of them moved before another. */
function renumbered(records: Records, moved: Episode, before: Episode, context: Context): Result<Done> {
  const row = [...records.episodes.values()]
    .filter((e) => e.phase.name === 'idea' && e.id !== moved.id)
    .sort((a, b) => rankOf(a) - rankOf(b) || (a.id < b.id ? -1 : 1))
  const at = row.findIndex((e) => e.id === before.id)
  row.splice(at < 0 ? row.length : at, 0, moved)
  return fine({
    changes: row.map((e, i) =>
      putting(records, 'episodes', {
        ...withIdea(e, { rank: i * 1000 }),
        ...(e.id === moved.id ? { updatedAt: momentOf(context) } : {}),
      }),
    ),
    sentence: `Moved “${moved.title}” in the order`,
    about: [moved.id],
  })
}

/** Notes that those who wanted to know have been told that it is out. */
export const markTold: Command<{ episode: Id; asked: Id[] }> = (records, { episode: id, asked }, context) => {
  const e = records.episodes.get(id)
  if (!e) return refused('This episode is no longer there.', 'episodes')
  return fine({
    changes: [
      putting(
        records,
        'episodes',
        withIdea(e, {
          asked: e.idea.asked.map((a) => (asked.includes(a.id) ? { ...a, told: momentOf(context) } : a)),
        }),
      ),
    ],
    sentence: `Told ${asked.length === 1 ? 'one' : asked.length} who asked for “${e.title}”`,
    about: [id],
  })
}

/** An episode with some of what is known of it as an idea changed; `undefined` takes a field away. */
export function withIdea(episode: Episode, fields: { [K in keyof Idea]?: Idea[K] | undefined }): Episode {
  const { idea: old } = episode
  const idea: Partial<Idea> = { ...old, ...fields }
  return {
    ...episode,
    idea: {
      ...idea,
      standing: idea.standing ?? old.standing,
      premise: idea.premise ?? '',
      why: idea.why ?? '',
      series: idea.series ?? '',
      keywords: idea.keywords ?? [],
      sources: idea.sources ?? [],
      asked: idea.asked ?? [],
      images: idea.images ?? [],
      files: idea.files ?? [],
      own: idea.own ?? {},
    },
  }
}

function named(found: readonly Episode[]): string {
  return found.length === 1 ? `“${found[0]?.title ?? ''}”` : `${found.length} ideas`
}

function changedAll(
  records: Records,
  found: readonly Episode[],
  to: (e: Episode) => Episode,
  context: Context,
  sentence: string,
): Result<{ changes: Change[]; sentence: string; about: Id[] }> {
  if (found.length === 0) return refused('These ideas are no longer there.', 'episodes')
  return fine({
    changes: found.map((e) => putting(records, 'episodes', { ...to(e), updatedAt: momentOf(context) })),
    sentence,
    about: found.map((e) => e.id),
  })
}
