import { defineStore } from 'pinia'
import { watch } from 'vue'
import { recipeFor } from '@core/commands/of-episode'
import { nextWording, offerUses } from '@core/script/promised'
import type { Episode, Offer, Wording } from '@core/records'
import { useCards } from './cards'
import { useLibrary } from './library'

/** So many releases back their scripts are read for what they said. */
const most = 60

/** What audiences are asked to do, in which words it is said next, and where it was said. */
export const useOffers = defineStore('offers', () => {
  const library = useLibrary()
  const cards = useCards()
  let begun = false
  /** Reads the scripts of the last releases from now on: where each wording was used stands in them. */
  function start(): void {
    if (begun) return
    begun = true
    watch(
      () => (library.tables.offers.size === 0 ? [] : cards.released.slice(0, most)),
      (episodes) => {
        const ids = episodes.flatMap((e) => (library.tables.scripts.has(e.id) ? [] : [e.id]))
        if (ids.length > 0) void library.ensure(ids)
      },
      { immediate: true },
    )
  }
  const usesOf = (offer: Offer) => offerUses(library.tables, offer.id)
  /** The offers of an episode's show, that of its recipe or show first. */
  function of(episode: Episode): Offer[] {
    const first = recipeFor(library.tables, episode)?.offer ?? library.tables.shows.get(episode.show)?.offer
    return [...library.tables.offers.values()]
      .filter((o) => o.shows.includes(episode.show))
      .sort((a, b) => Number(b.id === first) - Number(a.id === first))
  }
  const next = (offer: Offer, episode: Episode): Wording | undefined =>
    nextWording(offer, usesOf(offer), episode.id)
  return { start, usesOf, of, next }
})
