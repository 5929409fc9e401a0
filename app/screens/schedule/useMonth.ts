import { computed, ref } from 'vue'
import { weekdayName } from '@core/rhythm/days'
import { slotsOf } from '@core/rhythm/slots'
import { dueByDay, launchesOn, monthCells, releasesByDay, workByDay } from '@core/views/month'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'
import { firstWeekday } from '@app/ui/week-start'

/** How many releases back stand in the months. */
const most = 60

/** Two months of slots: what goes out and went out, what is open, due and worked on each day. */
export function useMonth() {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const offset = ref(0)
  const shows = ref({ due: false, work: false })
  const first = firstWeekday()
  const months = computed(() => [0, 1].map((i) => monthCells(moment.today, offset.value + i, first)))
  const names = Array.from({ length: 7 }, (_, i) => weekdayName((first + i) % 7).slice(0, 3))
  const releases = computed(() =>
    releasesByDay(
      cards.placed,
      cards.released.slice(0, most).flatMap((e) => {
        const card = cards.cardOf(e)
        if (!card || e.phase.kind !== 'released') return []
        return [{ card, day: card.standing.release?.day ?? moment.dayOn(e.phase.at) }]
      }),
    ),
  )
  const open = computed(
    () =>
      new Map(
        moment.shows.flatMap((s) =>
          slotsOf(s, months.value[0]?.cells[0] ?? moment.today, months.value[1]?.cells.at(-1) ?? moment.today)
            .filter(
              (slot) =>
                slot.at > moment.now &&
                !cards.placed.some(
                  (c) =>
                    c.show.id === s.id &&
                    c.episode.place.kind === 'slot' &&
                    c.episode.place.day === slot.original,
                ),
            )
            .map((slot) => [`${slot.day} ${s.id}`, slot] as const),
        ),
      ),
  )
  const openOn = (day: string) =>
    moment.shows.flatMap((s) => {
      const slot = open.value.get(`${day} ${s.id}`)
      return slot ? [{ show: s, slot }] : []
    })
  const due = computed(() => dueByDay(shows.value.due ? cards.placed : []))
  const work = computed(() => workByDay(shows.value.work ? workload.load.blocks : [], cards.stepIn))
  const launches = (day: string) => launchesOn(library.records.launches.values(), day)
  return { offset, shows, months, names, releases, open, openOn, due, work, launches }
}

export type MonthSeen = ReturnType<typeof useMonth>
