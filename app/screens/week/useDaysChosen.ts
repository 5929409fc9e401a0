import { computed, ref, shallowRef, watch } from 'vue'
import type { Change, Command } from '@core/commands/change'
import { placeOnSlot, swapInSpare } from '@core/commands/schedule'
import { setDays } from '@core/commands/week'
import { filledMessage, usualMessages } from '@core/partners/messages'
import { folded } from '@core/partners/names'
import { agreedOn, type Agreed } from '@core/partners/visits'
import type { Outlook } from '@core/plan/outlook'
import type { Day } from '@core/records'
import type { Result } from '@core/result'
import { sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePlan } from '@app/stores/plan'
import { useSchedule } from '@app/stores/schedule'

/** What would mend what lost days break: how that release, or the one in its place, would stand with both. */
export interface Mend {
  name: string
  after: Outlook | undefined
  act: () => Promise<Result<unknown>>
}
/** A release that days with other hours make another: how it stands, how it would, and the ways out. */
interface Break {
  card: Card
  before: Outlook
  after: Outlook
  mends: Mend[]
}

/** Days chosen together, looked at as lost or with other hours; `done` when they are set. */
export function useDaysChosen(days: () => readonly Day[], done: () => void) {
  const library = useLibrary()
  const cards = useCards()
  const schedule = useSchedule()
  const plan = usePlan()
  const moment = useMoment()
  const hours = ref(4)
  const looking = ref<'lost' | 'hours'>('lost')
  const minutes = computed(() => (looking.value === 'lost' ? 0 : Math.round(hours.value * 60)))
  const breaks = shallowRef<Break[]>()
  let turn = 0

  async function look() {
    const mine = ++turn
    const change = library.look(setDays, { days: [...days()], minutes: minutes.value })
    const after = await plan.afterwards(change)
    if (mine !== turn) return
    const found = [...plan.outlooks.values()]
      .flatMap((before): Break[] => {
        const next = after.get(before.episode)
        const card = cards.card(before.episode)
        return next && card && Math.abs(next.chance - before.chance) >= 0.005
          ? [{ card, before, after: next, mends: [] }]
          : []
      })
      .sort((a, b) => (a.before.release < b.before.release ? -1 : 1))
    breaks.value = found
    // Ways out for what gets worse, with the days already lost.
    for (const b of found
      .filter((x) => x.after.is !== 'on track' && x.after.chance < x.before.chance)
      .slice(0, 3)) {
      const mends = await mendsOf(b, change)
      if (mine !== turn) return
      breaks.value = breaks.value.map((x) => (x.card === b.card ? { ...x, mends } : x))
    }
  }
  /** A way out where it could be done after the days are set. */
  async function mend<Wish extends object>(
    name: string,
    command: Command<Wish>,
    wish: Wish,
    after: { change: readonly Change[]; of: string },
  ): Promise<Mend[]> {
    const more = library.look(command, wish, after.change)
    if (more.length === 0) return []
    const outlooks = await plan.afterwards([...after.change, ...more])
    return [{ name, after: outlooks.get(after.of), act: () => library.perform(command, wish, 'quietly') }]
  }
  async function mendsOf({ card, before }: Break, change: readonly Change[]): Promise<Mend[]> {
    const { id, place } = card.episode
    const next = schedule.openOf(card.show, 12).find((s) => s.day > before.release)
    const spare = cards.spares.find((x) => x.show.id === card.show.id && x.standing.ready)
    return [
      ...(next
        ? await mend(
            `move it to ${sayDay(next.day)}`,
            placeOnSlot,
            { episode: id, day: next.original },
            { change, of: id },
          )
        : []),
      ...(spare && place.kind === 'slot'
        ? await mend(
            `send the spare “${spare.title}”`,
            swapInSpare,
            { episode: id, spare: spare.episode.id },
            { change, of: spare.episode.id },
          )
        : []),
    ]
  }
  /** What is agreed with guests on these days; it stays, so each has a message to send. */
  const agreed = computed(() => agreedOn(library.tables, days(), moment.today))
  /** Asks a guest for another time, in the creator's own words where there are some. */
  function messageTo({ guest, episode, day, at }: Agreed): string {
    const show = library.tables.shows.get(episode.show)
    const pattern = library.settings.messages?.['moving'] ?? usualMessages.moving.pattern
    const person = [...library.tables.people.values()].find((p) => folded(p.name) === folded(guest))
    return show
      ? filledMessage(pattern, {
          person: person ?? { name: guest },
          show,
          episode,
          booking: { day, at },
          address: '',
        })
      : ''
  }
  async function copyMessage(to: Agreed) {
    await navigator.clipboard.writeText(messageTo(to))
    library.say(`A message to ${to.guest} is copied. Paste it where you write to them.`)
  }
  watch(
    [() => days().join(), looking, hours],
    () => {
      void look()
    },
    { immediate: true },
  )
  /** Sets the days, to their usual hours without `to`; and does what mends it. */
  async function set(to: number | undefined, mending?: Mend) {
    const row = [...days()]
    const result = await library.perform(setDays, { days: row, minutes: to }, mending ? 'quietly' : 'aloud')
    if (!result.ok) return
    // Refused meanwhile, it has said so itself.
    if (mending && (await mending.act()).ok) {
      const set = row.length === 1 ? 'The day is' : 'The days are'
      library.say(`${set} set, and: ${mending.name}. Each is a step of undo.`)
    }
    done()
  }
  return { hours, looking, minutes, breaks, set, agreed, copyMessage }
}
