<script setup lang="ts">
import { computed } from 'vue'
import type { DealView } from '@core/partners/deal-view'
import { sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import Flag from '@app/ui/Flag.vue'

/** A deal in counts: delivered, not counting, on the way, kept, to be found. */
const { view } = defineProps<{ view: DealView }>()
const moment = useMoment()
const partners = usePartners()
const sums = computed(() => {
  const { delivered, failed, coming, toFill, dates, later, tooMany, datesBy } = view
  const all: { says: string; also?: string; late?: boolean }[] = []
  if (delivered > 0) all.push({ says: `${delivered} delivered` })
  for (const f of failed.slice(0, 2)) {
    const fault = f.checks.find((c) => c.decides && c.state === 'fails')
    all.push({
      says: `${partners.numberOf(f.episode)} does not count`,
      also: `${fault ? `${fault.measure} ${fault.says}`.trim() : 'settled by hand'}; another makes it up`,
      late: true,
    })
  }
  if (coming.length > 0) all.push({ says: `${coming.length} on the way` })
  if (toFill.length > 0) all.push({ says: `${toFill.length} kept, to fill` })
  if (dates.length > 0)
    all.push({
      says: `${dates.length} to be found`,
      also: datesBy === undefined ? '' : `by ${sayDay(datesBy, moment.today)}`,
    })
  if (later > 0) all.push({ says: `${later} beyond` })
  if (tooMany > 0)
    all.push({ says: `${tooMany} too many`, also: 'they do not fit before it ends', late: true })
  return all
})
</script>

<template>
  <span v-for="s in sums" :key="s.says"
    ><strong class="font-semibold" :class="s.late ? 'late' : ''"><Flag v-if="s.late" />{{ s.says }}</strong
    >{{ ' ' }}<span v-if="s.also" class="sub">{{ s.also }}</span></span
  >
</template>
