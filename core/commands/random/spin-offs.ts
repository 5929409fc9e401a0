import { dropSpinOff, makeSpinOff } from '../spin-offs/make-spin-off'
import { writeSpinOff, type SpinFields } from '../spin-offs/write-spin-off'
import type { SpinKind } from '../../records'
import type { Chance, Deed } from './chance'
import { idIn, inPhase, one, word } from './chance'

const kinds: readonly SpinKind[] = ['excerpt', 'short', 'post', 'letter', 'article']
/** Something that was made of an episode, with it. */
function made(x: Chance): { episode: string; spin: string } {
  const all = [...x.r.episodes.values()].flatMap((e) =>
    (e.spinOffs ?? []).map((s) => ({ episode: e.id, spin: s.id })),
  )
  return one(all, x) ?? { episode: inPhase(x, 'work'), spin: 'none' }
}

/** Random deeds: what is made of episodes. */
export const spinOffDeeds = {
  makeSpinOff: (x) => {
    const episode = inPhase(x, 'work', 'released')
    const excerpt = one(x.r.episodes.get(episode)?.excerpts ?? [], x)?.id
    return makeSpinOff(
      x.r,
      {
        ...{ episode, kind: one(kinds, x) ?? 'post' },
        ...(x.n(3) > 0 ? {} : { excerpt: excerpt ?? 'none' }),
        ...(x.n(3) > 0 ? {} : { outlet: idIn(x.r.outlets, x) }),
      },
      x.c,
    )
  },
  writeSpinOff: (x) => {
    const fields: SpinFields[] = [
      { title: word(x) },
      { text: word(x) },
      { when: x.n(2) > 0 ? { kind: 'days', days: x.n(5) - 1, time: '12:00' } : { kind: 'with' } },
      { outlet: idIn(x.r.outlets, x) },
      { off: x.n(2) > 0 },
      { address: ['https://video.example/s', 'nowhere', ''][x.n(3)] },
    ]
    return writeSpinOff(x.r, { ...made(x), fields: one(fields, x) ?? {} }, x.c)
  },
  dropSpinOff: (x) => dropSpinOff(x.r, made(x), x.c),
} satisfies Record<string, Deed>
