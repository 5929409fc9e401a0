import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import { isWith, releaseDay } from '@core/partners/deal-of'
import { scriptsWanted } from '@core/partners/deal-reads'
import { dealView, type DealView } from '@core/partners/deal-view'
import { movesOfPerson, type PersonMove } from '@core/partners/moves'
import { everyone, likelySame, type Known, type LikelySame } from '@core/partners/people'
import type { Episode } from '@core/records'
import { titleOf } from '@core/release/parts'
import { filledSlots } from '@core/rhythm/slots'
import { sayNumber } from '@core/rhythm/numbering'
import { useCards } from './cards'
import { useLibrary } from './library'
import { useMoment } from './moment'
import { remembered } from './remembered'

/** Somebody with what lies with them and with the creator. */
export interface PersonHere {
  known: Known
  deals: DealView[]
  moves: PersonMove[]
}

/** People and partners: who takes part, what was agreed, and whose move it is. */
export const usePartners = defineStore('partners', () => {
  const library = useLibrary()
  const moment = useMoment()
  const cards = useCards()
  const known = computed(() => everyone(library.tables))
  const deals = computed(() => {
    const filled = new Map(moment.shows.map((s) => [s.id, filledSlots(s, cards.byShow.get(s.id) ?? [])]))
    return [...library.tables.deals.values()]
      .sort((a, b) => (a.from < b.from ? 1 : -1))
      .flatMap((d) => dealView(library.tables, d, moment.today, filled.get(d.show) ?? new Map()) ?? [])
  })
  const released = (e: Episode) => {
    const show = library.tables.shows.get(e.show)
    return show && releaseDay(e, show)
  }
  const all = computed(() =>
    known.value.map((k): PersonHere => {
      const names = [k.name, ...(k.person?.also ?? [])]
      const mine = deals.value.filter((v) => names.some((n) => isWith(v.deal, n)))
      return { known: k, deals: mine, moves: movesOfPerson(library.tables, k, mine, moment.today, released) }
    }),
  )
  /** Pairs that somebody said are two. */
  const apart = remembered<readonly string[]>('lamp-reel.apart', [], (kept) =>
    Array.isArray(kept) ? kept.filter((k) => typeof k === 'string') : undefined,
  )
  const pair = ({ keep, other }: LikelySame) => [keep.name, other.name].sort().join(' | ')
  const same = computed(() => likelySame(known.value).filter((p) => !apart.value.includes(pair(p))))

  let begun = false
  /** Reads the scripts from now on by which what is out is told. */
  function start(): void {
    if (begun) return
    begun = true
    watch(
      () => scriptsWanted(library.tables),
      (ids) => {
        if (ids.length > 0) void library.ensure(ids)
      },
      { immediate: true },
    )
  }
  function numberOf(e: Episode): string {
    const show = library.tables.shows.get(e.show)
    const number = e.number ?? cards.numbers.get(e.show)?.episodes.get(e.id)
    return show ? sayNumber(show, number, e.code) : e.code
  }
  /** What an episode is called where there is little room: its number, an idea's title. */
  const called = (e: Episode) => (e.phase.kind === 'idea' ? titleOf(e) : numberOf(e))
  return {
    all,
    called,
    deals,
    same,
    start,
    numberOf,
    /** The two of a pair are two people. */
    keepApart: (p: LikelySame) => {
      apart.value = [...apart.value, pair(p)]
    },
  }
})
