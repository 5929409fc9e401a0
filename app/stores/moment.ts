import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { workingDays } from '@core/recipe/due'
import type { Day } from '@core/records'
import { creatorZone, dayIn } from '@core/rhythm/creator'
import { dayAt } from '@core/rhythm/zone'
import { browserZone, now as clock } from '@app/data/clock'
import { keptSame } from './kept-same'
import { useLibrary } from './library'

/** What day and minute it is for the creator, and what holds for all: shows and settings. */
export const useMoment = defineStore('moment', () => {
  const library = useLibrary()
  const now = ref(clock())
  const tick = () => {
    now.value = clock()
  }
  useIntervalFn(tick, 15_000)
  useEventListener('focus', tick)

  const shows = computed(() =>
    [...library.tables.shows.values()].sort((a, b) =>
      a.createdAt < b.createdAt ? -1 : a.createdAt > b.createdAt ? 1 : a.id < b.id ? -1 : 1,
    ),
  )

  /** Every day on screen is a day in this zone. */
  const zone = computed(() => creatorZone(shows.value, browserZone()))
  const today = computed(() => dayAt(now.value, zone.value))

  const settings = computed(() => library.settings)

  /** What settings say of days: the same while others of them change. */
  const days = keptSame(() => {
    const { hours, daysOff, exceptions, lostOn } = settings.value
    return { hours, daysOff, exceptions, lostOn }
  })
  const works = computed(() => workingDays(days.value))

  /** The creator's day of a kept moment. */
  const dayOn = (moment: string): Day => dayIn(moment, zone.value)

  const minute = computed(() => Math.floor(now.value / 60_000) * 60_000)

  return { now, minute, today, zone, shows, settings, days, works, dayOn, tick }
})
