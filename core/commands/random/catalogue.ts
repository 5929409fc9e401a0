import { linkEpisodes, notePasted } from '../catalogue/link-episodes'
import type { Deed } from './chance'
import { episode, one } from './chance'

/** Random deeds: the catalogue. */
export const catalogueDeeds = {
  linkEpisodes: (x) => linkEpisodes(x.r, { episode: episode(x), others: [episode(x), episode(x)] }, x.c),
  notePasted: (x) => {
    const of = one(
      [...x.r.episodes.values()].filter((e) => e.links.length > 0),
      x,
    )
    const links = (of?.links ?? []).map((l) => l.id)
    return notePasted(x.r, { episode: of?.id ?? episode(x), links, pasted: x.n(3) > 0 }, x.c)
  },
} satisfies Record<string, Deed>
