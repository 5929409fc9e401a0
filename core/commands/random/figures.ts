import { dropFigure, keepFigures, keepFollowers } from '../figures/keep-figures'
import type { Deed } from './chance'
import { episode, near, one, show } from './chance'

/** Random deeds: figures of episodes, followers of shows. */
export const figureDeeds = {
  keepFigures: (x) =>
    keepFigures(
      x.r,
      {
        rows: [
          { episode: episode(x), figure: { age: x.n(60), views: x.n(9000) } },
          { episode: episode(x), figure: { age: 7, outlet: 'outlet', likes: x.n(90), pressed: 0.04 } },
        ].slice(x.n(2)),
      },
      x.c,
    ),
  dropFigure: (x) => {
    const of = one(
      [...x.r.episodes.values()].filter((e) => e.figures.length > 0),
      x,
    )
    const found = one(of?.figures ?? [], x)
    return dropFigure(
      x.r,
      { episode: of?.id ?? episode(x), age: found?.age ?? 0, outlet: found?.outlet },
      x.c,
    )
  },
  keepFollowers: (x) => keepFollowers(x.r, { show: show(x), on: near(x, 9, 0), count: x.n(9000) }, x.c),
} satisfies Record<string, Deed>
