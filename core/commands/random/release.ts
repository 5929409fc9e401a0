import { fixMoment, handOver, handStates, noteCopied, noteTaken, sayOtherwise } from '../release/hand-over'
import { addOutlet, dropOutlet } from '../shows/add-outlet'
import type { Chance, Deed } from './chance'
import { episode, idIn, near, one, show, word } from './chance'

const outlet = (x: Chance) => idIn(x.r.outlets, x)
const key = (x: Chance) => (x.n(3) > 0 ? outlet(x) : `${outlet(x)}/1`)

/** Random deeds: outlets, and what is handed over to them. */
export const releaseDeeds = {
  handOver: (x) =>
    handOver(
      x.r,
      { episode: episode(x), key: key(x), state: one(handStates, x) ?? 'live', on: x.n(3) > 0 },
      x.c,
    ),
  noteTaken: (x) =>
    noteTaken(
      x.r,
      {
        episode: episode(x),
        key: key(x),
        address: `https://video.example/${word(x)}`,
        going: x.c.now + x.n(9) * 3_600_000,
      },
      x.c,
    ),
  noteCopied: (x) =>
    noteCopied(x.r, { episode: episode(x), key: key(x), field: [undefined, 'title', 'tags'][x.n(3)] }, x.c),
  fixMoment: (x) =>
    fixMoment(
      x.r,
      {
        episode: episode(x),
        key: key(x),
        fixed: x.n(3) > 0 ? { day: near(x, 5, 20), time: '12:00' } : undefined,
      },
      x.c,
    ),
  sayOtherwise: (x) =>
    sayOtherwise(
      x.r,
      { episode: episode(x), outlet: outlet(x), words: { title: [' ', word(x)][x.n(2)] ?? '' } },
      x.c,
    ),
  addOutlet: (x) =>
    addOutlet(x.r, { show: show(x), id: x.n(2) > 0 ? x.c.id() : outlet(x), name: word(x) }, x.c),
  dropOutlet: (x) => {
    const of = show(x)
    return dropOutlet(x.r, { show: of, outlet: one(x.r.shows.get(of)?.outlets ?? [], x) ?? 'nowhere' }, x.c)
  },
} satisfies Record<string, Deed>
