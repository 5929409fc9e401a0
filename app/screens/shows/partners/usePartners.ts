import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { heldBy } from '@core/named'
import { bookingOf, visitOf, visitState, type VisitState } from '@core/partners/visits'
import { guestName } from '@core/partners/moves'
import { draftId } from '@core/partners/people'
import type { Episode, PersonRole } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePartners as usePartnersStore, type PersonHere } from '@app/stores/partners'

/** The parts of the list, in their order, and what each is called. */
const sections: readonly { role: PersonRole; name: string }[] = [
  { role: 'sponsor', name: 'Sponsors' },
  { role: 'guest', name: 'Guests' },
  { role: 'helper', name: 'Helpers' },
  { role: 'reviewer', name: 'Reviewers' },
]

/** A visit of a guest to an episode, as it stands. */
export interface VisitHere {
  episode: Episode
  guest: string
  state: VisitState
}

/** Who is on the screen People and partners, and who of them is looked at. */
export function usePartnersHere(who: () => string) {
  const partners = usePartnersStore()
  const library = useLibrary()
  const moment = useMoment()
  const router = useRouter()
  partners.start()
  /** Each stands once, under the first of what they are; whoever has the next move leads. */
  const listed = computed(() => {
    const left = new Set(partners.all)
    const rows = sections.map(({ role, name }) => {
      const mine = [...left].filter((p) => p.known.roles.has(role))
      for (const p of mine) left.delete(p)
      return { name, people: mine.sort(byMove) }
    })
    return [...rows, { name: 'Others', people: [...left].sort(byMove) }].filter((s) => s.people.length > 0)
  })
  const row = computed(() => listed.value.flatMap((s) => s.people))
  /** Who stood first when the screen was opened: whoever has the next move later does not take their place. */
  const first = ref('')
  watch(
    row,
    ([p]) => {
      if (first.value === '' && p) first.value = draftId(p.known.name)
    },
    { immediate: true },
  )
  const isAsked = ({ known }: PersonHere, id: string) =>
    known.id === id || [known.name, ...(known.person?.also ?? [])].some((n) => draftId(n) === id)
  const here = computed(() => row.value.find((p) => isAsked(p, who() || first.value)) ?? row.value[0])
  const choose = (p: PersonHere | undefined) =>
    p && void router.replace({ name: 'partners', params: { who: p.known.id } })
  const counts = computed(() => ({
    yours: row.value.filter((p) => p.moves.some((m) => m.who === 'you')).length,
    theirs: row.value.filter((p) => p.moves.some((m) => m.who === 'they')).length,
  }))
  function step(by: number): void {
    const at = row.value.findIndex((p) => p === here.value)
    choose(row.value[Math.max(0, Math.min(row.value.length - 1, at + by))])
  }
  const visits = (p: PersonHere): VisitHere[] =>
    p.known.guestOf.map((episode) => {
      const guest = guestName(p.known, episode)
      return { episode, guest, state: visitState(episode, guest, library.tables.steps) }
    })
  const bookingIn = ({ episode, guest }: VisitHere) =>
    bookingOf(visitOf(episode, guest), library.tables.steps)
  const away = (p: PersonHere) =>
    [p.known.name, ...(p.known.person?.also ?? [])]
      .flatMap((n) => heldBy(library.settings.away, n) ?? [])
      .filter((a) => a.to >= moment.today)
  return { partners, away, listed, here, counts, choose, step, visits, bookingIn }
}
export type PartnersHere = ReturnType<typeof usePartnersHere>

/** Those with a move of the creator's come first, then those who are waited for, by the day; the rest by name. */
function byMove(a: PersonHere, b: PersonHere): number {
  const rank = (p: PersonHere) => {
    const yours = p.moves.find((m) => m.who === 'you')
    if (yours) return `0 ${yours.by ?? yours.since ?? '9'}`
    const theirs = p.moves[0]
    return theirs ? `1 ${theirs.since ?? theirs.by ?? '9'}` : `2 ${p.known.name.toLowerCase()}`
  }
  const [x, y] = [rank(a), rank(b)]
  return x < y ? -1 : x > y ? 1 : 0
}
