import { defineStore } from 'pinia'
import { computed } from 'vue'
import { arcsOf, countLinks, livesAt } from '@core/catalogue/links'
import { againstUsual } from '@core/results/usual'
import { bareRows, catalogueRows, listAge } from '@core/views/catalogue'
import { useCards } from './cards'
import { useMade } from './made'
import { useMoment } from './moment'

/** What is known of everything that is out, derived once for all who ask: rows, links, and how each did. */
export const useOut = defineStore('out', () => {
  const cards = useCards()
  const moment = useMoment()
  const made = useMade()
  const shows = computed(() => new Map(moment.shows.map((s) => [s.id, s])))
  const arcs = computed(() => arcsOf(cards.released, livesAt(cards.released)))
  const links = computed(() => countLinks(arcs.value))
  const usual = computed(() => {
    const of = [...cards.released].reverse()
    return new Map(
      moment.shows.flatMap((s) => [
        ...againstUsual(
          of.filter((e) => e.show === s.id),
          { at: listAge },
        ),
      ]),
    )
  })
  const rows = computed(() =>
    catalogueRows(bareRows(cards.released, shows.value), {
      made: new Map(made.all.map((m) => [m.episode.id, m])),
      ...{ usual: usual.value, links: links.value, said: undefined },
    }),
  )
  return { arcs, rows }
})
