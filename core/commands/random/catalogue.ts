import { lookedAt, noteFact } from '../facts'
import { linkEpisodes, notePasted } from '../catalogue/link-episodes'
import type { Deed } from './chance'
import { episode, near, one, word } from './chance'

/** Random deeds: the catalogue. */
export const catalogueDeeds = {
  noteFact: (x) => {
    const of = x.r.episodes.get(episode(x))
    const fact = one(of?.facts ?? [], x)
    const id = fact && x.n(3) === 0 ? fact.id : x.c.id()
    const what = x.n(12) === 0 ? '' : `${word(x)} may change`
    return noteFact(x.r, { episode: of?.id ?? 'nowhere', fact: { id, what, on: near(x, 30, 400) } }, x.c)
  },
  lookedAt: (x) => {
    const of = one(
      [...x.r.episodes.values()].filter((e) => (e.facts ?? []).length > 0),
      x,
    )
    const fact = one(of?.facts ?? [], x)?.id ?? 'none'
    const next = x.n(2) === 0 ? undefined : near(x, 0, 400)
    return lookedAt(x.r, { episode: of?.id ?? episode(x), fact, next }, x.c)
  },
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
