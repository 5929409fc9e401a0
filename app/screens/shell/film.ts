import { computed, ref, type Ref } from 'vue'
import { dayNumber, dayOf, monthName, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useWorkload } from '@app/stores/workload'

/** A day on the film, in pixels. */
export const DAY = 26

/**
 * The part of the film that is drawn: days with how full they are, and a lane of frames a show. `left` is how far
 * the film is scrolled, `width` what of it is seen, both in pixels.
 */
export function useFilm(left: Ref<number>, width: Ref<number>) {
  const moment = useMoment()
  const schedule = useSchedule()
  const workload = useWorkload()
  const first = computed(() => schedule.firstDay)
  const todayN = computed(() => dayNumber(moment.today))
  const lastN = computed(() => todayN.value + 400)
  const x = (n: number) => (n - first.value) * DAY
  /** The window of days that is drawn, in steps so that scrolling does not draw at every pixel. */
  const from = computed(() => first.value + Math.floor(left.value / DAY / 14) * 14 - 21)
  const to = computed(() => from.value + Math.ceil(width.value / DAY) + 56)
  const days = computed(() => {
    const list = []
    for (let n = Math.max(first.value, from.value); n <= Math.min(to.value, lastN.value); n++) {
      const day = dayOf(n)
      const { whole, taken, worked, planned } = workload.figuresOf(day)
      const room = whole - taken
      const isOver = workload.load.over.has(day)
      list.push({
        n,
        day,
        date: +day.slice(8),
        month: day.endsWith('-01') ? monthName(day).slice(0, 3) : '',
        room,
        fill: room ? Math.min(1, (worked + planned) / room) : 0,
        over: isOver,
        past: n < todayN.value,
        title: `${sayDay(day, moment.today)}: ${n < todayN.value ? 'past' : room === 0 ? 'no hours' : `${worked > 0 ? `${sayMinutes(worked)} done, ` : ''}${sayMinutes(planned)} planned of ${sayMinutes(Math.max(0, room - worked))}`}${isOver ? ', more is due than fits' : ''}`,
      })
    }
    return list
  })
  /** More than three shows take turns on the film, three at a time. */
  const turn = ref(0)
  const turns = computed(() => Math.ceil(moment.shows.length / 3))
  const lanes = computed(() =>
    moment.shows
      .slice((turn.value % Math.max(1, turns.value)) * 3)
      .slice(0, 3)
      .map((show) => ({
        show,
        frames: schedule
          .frames(show, dayOf(from.value - 30), dayOf(Math.min(to.value, lastN.value)))
          .filter((f) => f.to >= from.value && f.from <= to.value),
      })),
  )
  return { first, todayN, lastN, x, days, lanes, turn, turns }
}
