import type { Episode, Id, Records } from '../model'
import { fine, refused, type Result } from '../result'
import { codeFor } from '../rhythm/numbering'
import { momentOf, putting, type Command, type Context } from './change'

/** A new episode that is only an idea, with a permanent code of its own. */
export function newIdea(records: Records, show: Id, line: string, context: Context): Episode {
  const id = context.id()
  const at = momentOf(context)
  return {
    id,
    show,
    code: codeFor(id, new Set([...records.episodes.values()].map((e) => e.code))),
    title: line.trim(),
    note: '',
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

/** Keeps a line as an idea of a show. Refused when it is blank or longer than a title can be. */
export const jotIdea: Command<{ show: Id; line: string }> = (records, { show, line }, context) => {
  if (line.trim() === '') return refused('There is nothing to keep yet. Type a line, then press Enter.', 'episodes.title')
  if (!records.shows.has(show)) return refused('This show is no longer there. Choose another one.', 'episodes.show')
  const idea = newIdea(records, show, line, context)
  return fine({ changes: [putting(records, 'episodes', idea)], sentence: `Kept the idea “${idea.title}”`, about: [idea.id] })
}

/** Lets ideas go: kept as dropped, so that nothing is lost. Refused for what has been released. */
export const dropEpisodes: Command<{ episodes: Id[]; why: string }> = (records, { episodes, why }, context) => {
  const found = episodes.flatMap((id) => records.episodes.get(id) ?? [])
  if (found.some((e) => e.phase.name === 'released')) return refused('What has been released stays in the Catalogue.', 'episodes.phase')
  return phaseOf(records, found, (e) => ({ ...e, phase: { name: 'dropped', why }, place: { on: 'nothing' } }), context, found.length === 1 ? `Let “${found[0]?.title ?? ''}” go` : `Let ${found.length} ideas go`)
}

/** Brings an episode back among the ideas, with all that was done kept, off its slot. */
export const backToIdeas: Command<{ episode: Id }> = (records, { episode }, context) => {
  const e = records.episodes.get(episode)
  if (!e) return refused('This episode is no longer there.', 'episodes')
  if (e.phase.name === 'released') return refused('It has been released, so it stays in the Catalogue.', 'episodes.phase')
  return phaseOf(records, [e], (x) => ({ ...x, phase: { name: 'idea' }, place: { on: 'nothing' } }), context, `Took “${e.title}” back to Ideas`)
}

function phaseOf(records: Records, found: readonly Episode[], to: (e: Episode) => Episode, context: Context, sentence: string): Result<{ changes: ReturnType<typeof putting<'episodes'>>[]; sentence: string; about: Id[] }> {
  if (found.length === 0) return refused('These ideas are no longer there.', 'episodes')
  return fine({ changes: found.map((e) => putting(records, 'episodes', { ...to(e), updatedAt: momentOf(context) })), sentence, about: found.map((e) => e.id) })
}
