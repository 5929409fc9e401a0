import { defineStore } from 'pinia'
import { computed } from 'vue'
import { reservedBetween } from '@core/commands/schedule/kept'
import type { Day, Id } from '@core/records'
import { addDays } from '@core/rhythm/days'
import type { Reserved } from '@core/rhythm/reserve'
import { filledSlots } from '@core/rhythm/slots'
import { useCards } from './cards'
import { useLibrary } from './library'
import { useMoment } from './moment'

/** What slots are kept for. */
export const usePromises = defineStore('promises', () => {
  const library = useLibrary()
  const moment = useMoment()
  const cards = useCards()
  /** What slots are kept for, by show and original date, for the year to come. */
  const reserved = computed(
    () =>
      new Map<Id, Map<Day, Reserved>>(
        library.tables.reservations.size === 0
          ? []
          : moment.shows.map((s) => [
              s.id,
              reservedBetween(
                library.tables,
                s,
                addDays(moment.today, -40),
                addDays(moment.today, 400),
                filledSlots(s, cards.byShow.get(s.id) ?? []),
              ),
            ]),
      ),
  )
  const keptFor = (show: Id, original: Day | undefined): Reserved | undefined =>
    original === undefined ? undefined : reserved.value.get(show)?.get(original)

  return { reserved, keptFor }
})
