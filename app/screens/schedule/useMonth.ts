import { computed, ref } from 'vue'
import { sum } from 'd3-array'
import type { Id } from '@core/records'
import { weekdayName } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import {
  dueByDay,
  launchesOn,
  monthCells,
  monthCounts,
  releasesByDay,
  sayCounts,
  spinOffsByDay,
  workByDay,
  type MonthCells,
} from '@core/views/month'
import { useForms } from '@app/stores/forms'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
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
  const schedule = useSchedule()
  const offset = ref(0)
  const shows = ref({ due: false, work: false })
  const forms = useForms()
  const first = firstWeekday()
  const months = computed(() => [0, 1].map((i) => monthCells(moment.today, offset.value + i, first)))
  const names = Array.from({ length: 7 }, (_, i) => weekdayName((first + i) % 7).slice(0, 3))
  const isShown = (c: Card) => forms.isShown(c.episode)
  const releases = computed(() =>
    releasesByDay(
      cards.placed.filter(isShown),
      cards.released.slice(0, most).flatMap((e) => {
        const card = forms.isShown(e) ? cards.cardOf(e) : undefined
        if (!card || e.phase.kind !== 'released') return []
        return [{ card, day: card.standing.release?.day ?? moment.dayOn(e.phase.at) }]
      }),
    ),
  )
  const open = computed(
    () =>
      new Map(
        moment.shows.flatMap((s) =>
          schedule
            .vacantOf(
              s,
              months.value[0]?.cells[0] ?? moment.today,
              months.value[1]?.cells.at(-1) ?? moment.today,
            )
            .map((slot) => [`${slot.day} ${s.id}`, slot] as const),
        ),
      ),
  )
  const openOn = (day: string) =>
    moment.shows.flatMap((s) => {
      if (!forms.isShownOf(s)) return []
      const slot = open.value.get(`${day} ${s.id}`)
      return slot ? [{ show: s, slot }] : []
    })
  const due = computed(() => dueByDay(shows.value.due ? cards.placed.filter(isShown) : []))
  const spun = computed(() => spinOffsByDay([...cards.placed, ...cards.lately].filter(isShown)))
  const isShownWork = (id: Id) => {
    const found = cards.stepIn.get(id)
    return found !== undefined && isShown(found.card)
  }
  const work = computed(() =>
    workByDay(shows.value.work ? workload.load.blocks.filter((b) => isShownWork(b.id)) : [], cards.stepIn),
  )
  const launches = (day: string) => launchesOn(library.tables.launches.values(), day)
  /** What a month holds, in words: releases by show, open slots, hours planned against those given. */
  function counts(month: MonthCells): string {
    const days = month.cells.filter((d) => d.slice(0, 7) === month.start.slice(0, 7))
    const ahead = days.filter((d) => d >= moment.today).map((d) => workload.figuresOf(d))
    return sayCounts(
      monthCounts(
        days.flatMap((d) => releases.value.get(d) ?? []),
        days.reduce((n, d) => n + openOn(d).length, 0),
        (c) => forms.of(c.episode),
      ),
      sum(ahead, (f) => f.planned + f.worked),
      sum(ahead, (f) => f.whole - f.taken),
      forms.only.value.kind !== 'all',
    )
  }
  /** Minutes of work on a day: all that is planned, or what is listed there of one show or kind. */
  const workOn = (day: string) =>
    forms.only.value.kind === 'all'
      ? (workload.planned.get(day) ?? 0)
      : sum(work.value.get(day) ?? [], (w) => w.minutes)
  return { counts, offset, shows, months, names, spun, releases, open, openOn, due, work, workOn, launches }
}

export type MonthSeen = ReturnType<typeof useMonth>
