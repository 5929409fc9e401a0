import { ascending } from 'd3-array'
import { usualRate } from '../../edit/frames'
import { readNotes } from '../../edit/notes'
import { cutsOf } from '../../edit/rounds'
import type { HelperMail } from '../../helpers/deeds'
import type { Id, Job, Records, TakenLetter } from '../../records'
import { ok, refused } from '../../result'
import { thingsOf } from '../../release/when'
import { type Change, type Command, type Context, merged, momentOf, putRecord, withChanges } from '../change'
import { beginCut } from '../cuts/begin-cut'
import { lookStep } from '../cuts/helper-round'
import { changeNote, noteOnCut } from '../cuts/note-on-cut'
import { handOver } from '../release/hand-over'
import { scheduleRelease } from '../release/schedule-release'

/** What a letter came to: its changes and a sentence, or why the desk's own word stood. */
type Came = { changes: Change[]; sentence: string } | { over: string }

/** Helpers' letters in the order in which each wrote theirs. */
function inWriting(letters: readonly HelperMail[]): HelperMail[] {
  return [...letters].sort((a, b) => (a.job === b.job ? ascending(a.n, b.n) : ascending(a.at, b.at)))
}

/**
 * Takes helpers' letters, each once: one that was taken before changes nothing. Where the desk has changed the same thing
 * meanwhile, or the job is no longer theirs, the desk's word stands, and their page says so.
 *
 * Refused:
 * - “These letters were taken already.”
 */
export const takeHelperLetters: Command<{ letters: readonly HelperMail[] }> = (
  records,
  { letters },
  context,
) => {
  const fresh = inWriting(letters).filter(
    (l, i, all) => !records.letters.has(l.id) && all.findIndex((x) => x.id === l.id) === i,
  )
  if (fresh.length === 0) return refused('These letters were taken already.', 'letters')
  let now = records
  let changes: Change[] = []
  const about = new Set<Id>()
  const says: string[] = []
  for (const letter of fresh) {
    const job = now.jobs.get(letter.job)
    const came = job ? taken(now, job, letter, context) : { over: 'this was never given out here' }
    if (job) about.add(job.episode)
    if (!('over' in came)) says.push(came.sentence)
    const row: TakenLetter = {
      id: letter.id,
      at: letter.at,
      job: letter.job,
      ...('over' in came ? { over: came.over } : {}),
    }
    const more: Change[] = [...('over' in came ? [] : came.changes), putRecord(now, 'letters', row)]
    now = withChanges(now, more)
    changes = merged(changes, more)
  }
  return ok({
    changes,
    sentence: says.at(-1) ?? 'Took a helper’s letter; the desk’s own word stands',
    about: [...about],
  })
}

function taken(records: Records, job: Job, letter: HelperMail, context: Context): Came {
  const { deed } = letter
  const at = { ...context, now: Math.min(context.now, Date.parse(letter.at)) }
  if (job.ended !== undefined) return { over: 'this page was ended before it came' }
  const kept = (to: Partial<Job>, sentence: string): Came => ({
    changes: [putRecord(records, 'jobs', { ...job, ...to, updatedAt: momentOf(context) })],
    sentence,
  })
  switch (deed.kind) {
    case 'opened':
      return kept({ opened: job.opened ?? momentOf(at) }, `${job.who} opened the page`)
    case 'ask': {
      const question = { id: letter.id, text: deed.text.trim(), at: momentOf(at) }
      return kept({ asked: [...job.asked, question] }, `${job.who} asks: ${deed.text.trim()}`)
    }
    case 'tick':
      return ticked(records, job, deed, at)
    case 'back':
      return cameBack(records, job, letter.id, deed, at)
    case 'note':
      return noted(records, job, deed, at)
    case 'through':
      return kept({ back: momentOf(at) }, `${job.who} is through with the cut`)
    case 'handed':
      return handed(records, job, deed, at)
  }
}

type Deed<K extends HelperMail['deed']['kind']> = Extract<HelperMail['deed'], { kind: K }>

function ticked(records: Records, job: Job, { note: id, done, saw }: Deed<'tick'>, context: Context): Came {
  const cuts = cutsOf(records, job.episode)
  const cut = cuts.at(-1)
  const isIt = (n: { id: Id; mine?: boolean | undefined }) => n.id === id && !n.mine
  const note = cut?.notes.find(isIt)
  if (!cut || !note) {
    const before = cuts.flatMap((c) => c.notes.find(isIt) ?? []).at(-1)
    return {
      over: before ? `“${before.text}” is of a cut that was handed back` : 'a note is no longer there',
    }
  }
  if ((note.done !== undefined) !== saw)
    return { over: `the desk had changed “${note.text}” meanwhile, and that stands` }
  const came = changeNote(records, { cut: cut.id, note: id, to: { isDone: done } }, context)
  return came.ok
    ? { changes: came.value.changes, sentence: `${job.who}: ${came.value.sentence}` }
    : { over: came.problem.sentence }
}

/** What a reviewer noted, at its moment; what holds no time stands at the beginning. */
function noted(records: Records, job: Job, { text }: Deed<'note'>, context: Context): Came {
  const cut = cutsOf(records, job.episode).at(-1)
  if (!cut || job.kind !== 'review') return { over: 'there is no cut to look at' }
  const rate = records.shows.get(records.episodes.get(job.episode)?.show ?? '')?.frames ?? usualRate
  const { notes, faults } = readNotes(text, rate)
  if (notes.length === 0) return { over: faults[0]?.sentence ?? 'a note had no words' }
  const came = noteOnCut(records, { cut: cut.id, notes, by: job.who }, context)
  return came.ok
    ? { changes: came.value.changes, sentence: `${job.who}: ${came.value.sentence}` }
    : { over: came.problem.sentence }
}

/** The next cut is there: its round begins, and looking at it is a step of one's own. */
function cameBack(
  records: Records,
  job: Job,
  letter: Id,
  { where, says }: Deed<'back'>,
  context: Context,
): Came {
  const place = where.trim()
  const isAddress = /^https?:\/\//i.test(place)
  const came = beginCut(
    records,
    {
      episode: job.episode,
      id: `${letter}/cut`,
      from: job.who,
      ...(isAddress ? { address: place } : { file: place }),
    },
    context,
  )
  if (!came.ok) return { over: came.problem.sentence }
  const at = momentOf(context)
  const asked = says.trim() === '' ? [] : [{ id: letter, text: says.trim(), at }]
  const after = withChanges(records, came.value.changes)
  const cut = cutsOf(after, job.episode).at(-1)
  return {
    changes: merged(came.value.changes, [
      putRecord(after, 'jobs', {
        ...job,
        opened: job.opened ?? at,
        back: at,
        asked: [...job.asked, ...asked],
        updatedAt: at,
      }),
      ...(cut ? lookStep(after, job, cut, context) : []),
    ]),
    sentence: `${job.who} handed back cut ${cutsOf(after, job.episode).length}`,
  }
}

function handed(records: Records, job: Job, { key, state, on }: Deed<'handed'>, context: Context): Came {
  const episode = records.episodes.get(job.episode)
  const show = episode && records.shows.get(episode.show)
  if (!episode || !show || job.kind !== 'release') return { over: 'this is not yours to hand over' }
  const outlets = show.outlets.flatMap((id) => records.outlets.get(id) ?? [])
  const thing = thingsOf(episode, show, outlets).find((t) => t.key === key)
  if (!thing) return { over: 'this no longer goes out there' }
  const came =
    state === 'scheduled' && key === show.outlets[0]
      ? scheduleRelease(records, { episode: episode.id, scheduled: on }, context)
      : handOver(records, { episode: episode.id, key, state, on, going: thing.at }, context)
  return came.ok
    ? { changes: came.value.changes, sentence: `${job.who}: ${came.value.sentence}` }
    : { over: came.problem.sentence }
}
