import { takePast, takeSubtitles } from '../past/take-past'
import type { Deed } from './chance'
import { episode, show, word } from './chance'

/** Random deeds: what was out before. */
export const pastDeeds = {
  takePast: (x) => {
    const row = (line: number) => ({
      ...{ line, title: `${word(x)} ${x.n(40)}`, at: x.c.now - (x.n(400) + 1) * 86_400_000 },
      ...{ topics: [], tags: [word(x)], views: x.n(9000) },
      ...(x.n(2) > 0 ? { number: 500 + x.n(60) } : {}),
    })
    return takePast(x.r, { show: show(x), rows: [row(1), row(2), row(3)].slice(x.n(3)) }, x.c)
  },
  takeSubtitles: (x) =>
    takeSubtitles(
      x.r,
      { files: [{ episode: episode(x), captions: [{ from: 0, to: 2, text: word(x) }] }] },
      x.c,
    ),
} satisfies Record<string, Deed>
