import type { HelperDeed } from '../../helpers/deeds'
import { answerHelper, endJob, giveJob } from '../jobs/give-job'
import { takeHelperLetters } from '../jobs/take-helper-letters'
import type { Chance, Deed } from './chance'
import { idIn, inPhase, one, word } from './chance'

const job = (x: Chance) => idIn(x.r.jobs, x)

function helperDeed(x: Chance, of: string): HelperDeed {
  const notes = [...x.r.cuts.values()].filter((c) => c.episode === x.r.jobs.get(of)?.episode)
  const note = one(notes.at(-1)?.notes ?? [], x)
  const deeds: HelperDeed[] = [
    { kind: 'opened' },
    { kind: 'ask', text: word(x) },
    { kind: 'note', text: `1:20 ! ${word(x)}` },
    { kind: 'through' },
    { kind: 'tick', note: note?.id ?? 'none', done: x.n(2) > 0, saw: note?.done !== undefined },
    { kind: 'back', where: ['https://cuts.example/2', 'cut.mp4'][x.n(2)] ?? '', says: word(x) },
    { kind: 'handed', key: idIn(x.r.outlets, x), state: x.n(2) > 0 ? 'uploaded' : 'scheduled', on: true },
  ]
  return deeds[x.n(deeds.length)] ?? { kind: 'opened' }
}

/** Random deeds: what lies with helpers. */
export const jobDeeds = {
  giveJob: (x) =>
    giveJob(
      x.r,
      {
        id: x.c.id(),
        episode: inPhase(x, 'work'),
        kind: (['cut', 'release', 'review'] as const)[x.n(3)] ?? 'cut',
        who: x.n(9) > 0 ? word(x) : ' ',
        parts: ['notes'],
        shelf: [],
      },
      x.c,
    ),
  endJob: (x) => endJob(x.r, { job: job(x) }, x.c),
  answerHelper: (x) => {
    const asked = one(
      [...x.r.jobs.values()].filter((j) => j.asked.length > 0),
      x,
    )
    const question = one(asked?.asked ?? [], x)?.id ?? 'none'
    return answerHelper(x.r, { job: asked?.id ?? job(x), question, answer: word(x) }, x.c)
  },
  takeHelperLetters: (x) => {
    const of = job(x)
    const letter = (n: number) => ({
      kind: 'helper' as const,
      id: `letter-${x.n(400)}`,
      job: of,
      n,
      at: new Date(x.c.now - x.n(9) * 60_000).toISOString(),
      deed: helperDeed(x, of),
    })
    return takeHelperLetters(x.r, { letters: [letter(1), letter(2)].slice(0, 1 + x.n(2)) }, x.c)
  },
} satisfies Record<string, Deed>
