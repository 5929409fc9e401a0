import { ascending } from 'd3-array'
import { frameAt, timecode } from '../edit/frames'
import { editNeeds } from '../edit/needs'
import { isPackagePart, type PackagePart } from '../edit/package-parts'
import { cueMarkdownLine } from '../formats/cue-lists'
import type { Cut, CueKind, FrameRate, Job, TakenLetter } from '../records'
import { going } from '../release/moves'
import { scheduledSince, thingName, thingsOf } from '../release/when'
import { sayDay } from '../rhythm/days'
import { dayAt, localAt } from '../rhythm/zone'
import { cueKinds, numberedCues } from '../script/cues'
import { sayTime } from '../script/timecode'
import type { Card } from '../views/card'
import type { HelperPage } from './page'

/** What a helper's page is made of. `also`: further jobs that lie with the same helper. */
export interface PageSources {
  job: Job
  card: Card
  cut: Cut | undefined
  rate: FrameRate
  also: readonly { job: Job; card: Card }[]
  letters: Iterable<TakenLetter>
}

const listKinds: readonly CueKind[] = ['graphic', 'sound', 'find', 'screen', 'edit']

/** The day on which a job is wanted: what is next of the edit, or the first thing that goes out; '' where none is known. */
export function wantedBy({ kind }: Pick<Job, 'kind'>, card: Card): string {
  if (kind === 'release') {
    const [first] = thingsOf(card.episode, card.show, card.outlets)
    return first ? dayAt(first.at, card.show.zone) : ''
  }
  const edit = card.standing.stages.find((s) => s.stage.kind === 'edit')
  const days = edit?.steps.flatMap((s) => (s.left && s.due ? [s.due] : [])) ?? []
  return days.sort()[0] ?? ''
}
const said = (day: string) => (day === '' ? '' : sayDay(day))

/** The notes of a cut that a helper has to do, and those that are done, in the order of their moments. */
function toDoOf(cut: Cut | undefined, rate: FrameRate): HelperPage['toDo'] {
  return (cut?.notes ?? [])
    .filter((n) => n.kind === 'to do' && !n.mine)
    .sort((a, b) => ascending(a.at, b.at))
    .map((n) => ({
      id: n.id,
      at: timecode(frameAt(n.at, rate), rate),
      text: n.text,
      done: n.done !== undefined,
      again: n.asked.length > 1,
    }))
}

/** Everything that was noted on a cut, so that nobody notes it twice; what its maker noted for oneself stays there. */
function notesOf(cut: Cut | undefined, rate: FrameRate): HelperPage['notes'] {
  return (cut?.notes ?? [])
    .filter((n) => !n.mine)
    .map((n) => ({
      at: timecode(frameAt(n.at, rate), rate),
      text: n.text,
      by: n.by ?? '',
      isTask: n.kind === 'to do',
    }))
}

/** What of an episode its edit is made with, as far as it was chosen. */
function materialOf({ job, card, cut, rate }: PageSources, parts: ReadonlySet<PackagePart>) {
  const all = numberedCues(card.script)
  const lists = parts.has('lists') ? listKinds : []
  return {
    // What is noted on a cut that came back is work only when another is asked for.
    toDo: parts.has('notes') && job.back === undefined ? toDoOf(cut, rate) : [],
    needs: parts.has('lists')
      ? editNeeds(card.script).map((n) => `${n.name}: ${n.there} of ${n.of} there`)
      : [],
    remarks: parts.has('notes')
      ? (cut?.notes ?? [])
          .filter((n) => n.kind === 'remark')
          .map((n) => `${timecode(frameAt(n.at, rate), rate)} ${n.text}`)
      : [],
    guide: parts.has('guide') ? card.show.notes.trim() : '',
    links: [
      ...(parts.has('links') ? card.episode.links : []).map((l) => ({ label: l.label, url: l.url })),
      ...card.episode.idea.sources
        .filter((s) => job.shelf.includes(s.id))
        .map((s) => ({ label: s.text, url: s.url })),
    ],
    shots: parts.has('shots')
      ? all
          .filter((c) => c.cue.kind === 'shot')
          .map(({ number, cue }) => ({ number, text: cue.text, takes: takesOf(cue.takes ?? []) }))
      : [],
    lists: lists.flatMap((kind) => {
      const mine = all.filter((c) => c.cue.kind === kind)
      return mine.length === 0 ? [] : [{ name: cueKinds[kind].list, lines: mine.map(cueMarkdownLine) }]
    }),
    script: parts.has('script')
      ? (card.script?.sections ?? []).map((s) => ({
          title: s.title,
          beats: s.beats
            .filter((b) => b.text.trim() !== '')
            .map((b) => ({
              text: b.text,
              voice: b.delivery === 'voice',
              cues: all
                .filter((c) => c.beat === b)
                .map((c) => `${c.number} ${cueKinds[c.cue.kind].name}: ${c.cue.text}`),
            })),
        }))
      : [],
  }
}

/** The kept takes of a shot, with their clips and why others were not: `take 3, clip A012`. */
function takesOf(takes: readonly { kept: boolean; clip?: string | undefined; reason: string }[]): string {
  return takes
    .flatMap((t, i) => (t.kept ? [[`take ${i + 1}`, t.clip ?? '', t.reason].filter(Boolean).join(', ')] : []))
    .join('; ')
}

/** Everything of an episode that goes out, with the fields to copy over. */
function thingsFor({ card }: PageSources): HelperPage['things'] {
  const { episode, show, outlets } = card
  return thingsOf(episode, show, outlets).map((thing) => {
    const { parts, lacking, handed } = going(card, thing)
    const { day, time } = localAt(thing.at, show.zone)
    const isMain = thing.key === show.outlets[0]
    const isScheduled = isMain ? card.standing.scheduled : scheduledSince(thing) !== undefined
    return {
      key: thing.key,
      name: thingName(thing),
      outlet: thing.outlet.name,
      when: `${sayDay(day)} ${time}`,
      uploaded: handed.uploaded !== undefined,
      scheduled: isScheduled || episode.phase.kind === 'released',
      fields: parts
        .filter((p) => p.text !== '')
        .map((p) => ({ field: p.field, name: p.name, text: p.text, limit: p.limit ?? '' })),
      lacking: lacking.map((p) => p.name),
    }
  })
}

/** What a helper's page shows: the lines that are theirs, and of the episode what was chosen and nothing else. */
export function helperPage(of: PageSources): HelperPage {
  const { job, card, cut, also, letters } = of
  const parts = new Set(job.kind === 'cut' ? job.parts.filter(isPackagePart) : [])
  const { from, to } = card.show.aim
  return {
    kind: job.kind,
    who: job.who,
    show: card.show.title,
    number: card.number,
    title: card.title,
    due: said(wantedBy(job, card)),
    aim: job.kind === 'cut' && card.script ? `${from} to ${to} minutes` : '',
    since: sayDay(dayAt(Date.parse(job.given), card.show.zone)),
    ...(job.kind !== 'release' && cut
      ? { cut: { number: cut.number, length: cut.length === undefined ? '' : sayTime(cut.length) } }
      : {}),
    opened: job.opened !== undefined,
    back: job.back !== undefined,
    where: job.kind === 'review' ? (cut?.address ?? cut?.file ?? '') : '',
    notes: job.kind === 'review' ? notesOf(cut, of.rate) : [],
    ...materialOf(of, parts),
    things: job.kind === 'release' ? thingsFor(of) : [],
    asked: job.asked.map((q) => ({ id: q.id, text: q.text, answer: q.answer ?? '' })),
    also: also
      .map((a) => ({ name: `${a.card.number} ${a.card.title}`, day: wantedBy(a.job, a.card) }))
      .sort((a, b) => ascending(a.day || '9', b.day || '9'))
      .map(({ name, day }) => ({ name, due: said(day) })),
    taken: [...letters].flatMap((l) => (l.job === job.id ? [{ id: l.id, over: l.over ?? '' }] : [])),
  }
}
