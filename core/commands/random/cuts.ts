import { beginCut } from '../cuts/begin-cut'
import { closeRound, reopenRound } from '../cuts/close-round'
import { keepCut, removeCut } from '../cuts/keep-cut'
import { changeNote, noteOnCut, removeNote } from '../cuts/note-on-cut'
import { correctCaption, dropTranscript, keepTranscript } from '../transcripts/keep-transcript'
import { dropExcerpt, takeExcerpt } from '../transcripts/take-excerpt'
import type { Chance, Deed } from './chance'
import { idIn, inPhase, one, word } from './chance'

const cut = (x: Chance) => idIn(x.r.cuts, x)
const note = (x: Chance, of: string) => one(x.r.cuts.get(of)?.notes ?? [], x)?.id ?? ''

/** Random deeds: the cuts of an episode's edit and what is noted on them. */
export const cutDeeds = {
  beginCut: (x) =>
    beginCut(
      x.r,
      { episode: inPhase(x, 'work'), id: x.c.id(), ...(x.n(2) > 0 ? { from: word(x) } : {}) },
      x.c,
    ),
  noteOnCut: (x) =>
    noteOnCut(
      x.r,
      {
        cut: cut(x),
        notes: [
          { at: x.n(500), kind: x.n(3) > 0 ? 'to do' : 'remark', text: word(x), mine: x.n(3) === 0 },
          ...(x.n(2) > 0 ? [{ at: x.n(500), kind: 'to do' as const, text: word(x), isDone: true }] : []),
        ],
      },
      x.c,
    ),
  changeNote: (x) => {
    const of = cut(x)
    const to =
      x.n(2) > 0 ? { isDone: x.n(2) > 0 } : { kind: x.n(2) > 0 ? ('to do' as const) : ('remark' as const) }
    return changeNote(x.r, { cut: of, note: note(x, of), to }, x.c)
  },
  removeNote: (x) => {
    const of = cut(x)
    return removeNote(x.r, { cut: of, note: note(x, of) }, x.c)
  },
  keepTranscript: (x) =>
    keepTranscript(
      x.r,
      {
        episode: inPhase(x, 'work'),
        made: x.n(2) > 0 ? 'read' : 'script',
        captions: Array.from({ length: x.n(4) }, (_, i) => ({ from: i * 3, to: i * 3 + 2, text: word(x) })),
      },
      x.c,
    ),
  correctCaption: (x) => {
    const episode = idIn(x.r.transcripts, x)
    const was = one(x.r.transcripts.get(episode)?.captions ?? [], x) ?? { from: 0, to: 1, text: '' }
    return correctCaption(x.r, { episode, was, to: { text: x.n(3) > 0 ? word(x) : '' } }, x.c)
  },
  takeExcerpt: (x) => {
    const from = x.n(300)
    const of = inPhase(x, 'work')
    const before = one(x.r.episodes.get(of)?.excerpts ?? [], x)
    const id = x.n(3) === 0 && before ? before.id : x.c.id()
    return takeExcerpt(x.r, { episode: of, excerpt: { id, from, to: from + x.n(60), text: word(x) } }, x.c)
  },
  dropExcerpt: (x) => {
    const of = one(
      [...x.r.episodes.values()].filter((e) => (e.excerpts ?? []).length > 0),
      x,
    )
    return dropExcerpt(x.r, { episode: of?.id ?? 'nowhere', excerpt: of?.excerpts?.[0]?.id ?? '' }, x.c)
  },
  dropTranscript: (x) => dropTranscript(x.r, { episode: idIn(x.r.transcripts, x) }, x.c),
  keepCut: (x) => keepCut(x.r, { cut: cut(x), to: { length: 1 + x.n(900), from: word(x) } }, x.c),
  removeCut: (x) => removeCut(x.r, { cut: cut(x) }, x.c),
  closeRound: (x) => closeRound(x.r, { cut: cut(x), as: x.n(2) > 0 ? 'approved' : 'another' }, x.c),
  reopenRound: (x) => reopenRound(x.r, { cut: cut(x) }, x.c),
} satisfies Record<string, Deed>
