import { computed, type ComputedRef } from 'vue'
import type { Show } from '@core/records'
import { useDesk } from './desk'
import { useMoment } from './moment'

/** The show that captured ideas go to: the one chosen last where it is there, else the first; nothing without shows. */
export function useCaptureShow(): ComputedRef<Show | undefined> {
  const desk = useDesk()
  const moment = useMoment()
  return computed(() => moment.shows.find((s) => s.id === desk.captureShow) ?? moment.shows[0])
}
