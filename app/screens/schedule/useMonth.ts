import { computed, ref } from 'vue'
import { weekdayName } from '@core/rhythm/days'
import { slotsOf } from '@core/rhythm/slots'
import { dueByDay, launchesOn, monthCells, releasesByDay, workByDay } from '@core/views/month'
import { useBoard } from '@app/stores/board'
import { useLibrary } from '@app/stores/library'
import { firstWeekday } from '@app/ui/week-start'

/** How many releases back stand in the months. */
const most = 60

/** Two months of slots: what goes out and went out, what is open, due and worked on each day. */
export function useMonth() {
  const library = useLibrary()
  const board = useBoard()
  const offset = ref(0)
  const shows = ref({ due: false, work: false })
  const first = firstWeekday()
  const months = computed(() => [0, 1].map((i) => monthCells(board.today, offset.value + i, first)))
  const names = Array.from({ length: 7 }, (_, i) => weekdayName((first + i) % 7).slice(0, 3))
  const releases = computed(() =>
    releasesByDay(
      board.placed,
      board.released.slice(0, most).flatMap((e) => {
        const card = board.cardOf(e)
        if (!card || e.phase.name !== 'released') return []
        return [{ card, day: card.standing.release?.day ?? board.dayOn(e.phase.at) }]
      }),
    ),
  )
  const open = computed(
    () =>
      new Map(
        board.shows.flatMap((s) =>
          slotsOf(s, months.value[0]?.cells[0] ?? board.today, months.value[1]?.cells.at(-1) ?? board.today)
            .filter(
              (slot) =>
                slot.at > board.now &&
                !board.placed.some(
                  (c) =>
                    c.show.id === s.id &&
                    c.episode.place.on === 'slot' &&
                    c.episode.place.day === slot.original,
                ),
            )
            .map((slot) => [`${slot.day} ${s.id}`, slot] as const),
        ),
      ),
  )
  const openOn = (day: string) =>
    board.shows.flatMap((s) => {
      const slot = open.value.get(`${day} ${s.id}`)
      return slot ? [{ show: s, slot }] : []
    })
  const due = computed(() => dueByDay(shows.value.due ? board.placed : []))
  const work = computed(() => workByDay(shows.value.work ? board.load.blocks : [], board.stepIn))
  const launches = (day: string) => launchesOn(library.records.launches.values(), day)
  return { offset, shows, months, names, releases, open, openOn, due, work, launches }
}

export type MonthSeen = ReturnType<typeof useMonth>
