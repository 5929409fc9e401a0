<script setup lang="ts">
import { sayMoney } from '@core/partners/money'
import { computed, watchEffect } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import { readIn } from '@core/partners/deal-next'
import { worthOf } from '@core/partners/worth'
import { sayMinutes } from '@core/script/timecode'
import type { CatalogueRow } from '@core/views/catalogue'
import { useLibrary } from '@app/stores/library'
import { useMade } from '@app/stores/made'
import { usePartners } from '@app/stores/partners'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'

/** What an episode brought, against the hours that it took. */
const { row } = defineProps<{ row: CatalogueRow }>()
const library = useLibrary()
const made = useMade()
const partners = usePartners()
made.want()
// Deals are looked at only for what has a sponsor.
watchEffect(() => {
  if (row.episode.sponsor !== undefined) partners.start()
})
const minutes = computed(() => made.all.find((m) => m.episode.id === row.episode.id)?.minutes ?? 0)
const read = computed(() =>
  row.episode.sponsor === undefined
    ? undefined
    : partners.deals.map((v) => readIn(v, row.episode.id)).find((r) => r !== undefined),
)
const worth = computed(() => worthOf(row.episode, row.show, library.tables.deals, read.value, minutes.value))
const currency = computed(() => library.settings.currency ?? '')
const says = computed(() => {
  const { fees, typed, anHour } = worth.value
  if (fees + typed === 0)
    return minutes.value === 0 ? '' : `${sayMinutes(minutes.value)} of work, nothing brought in`
  const all = sayMoney(fees + typed, currency.value)
  const from = fees > 0 ? ` (${sayMoney(fees, '')} from ${row.episode.sponsor ?? 'a sponsor'})` : ''
  return anHour === undefined
    ? `${all}${from}`
    : `${all}${from} for ${sayMinutes(minutes.value)}: ${sayMoney(Math.round(anHour), currency.value)} an hour`
})
function write(income: number | undefined) {
  void library.perform(
    writeEpisode,
    { episode: row.episode.id, typed: { income }, what: 'what it brought' },
    'quietly',
  )
}
</script>

<template>
  <div>
    <h3 class="font-title font-semibold mb-1">What it brought</h3>
    <div class="flex items-end gap-3">
      <p class="flex-1 min-w-0">{{ says }}</p>
      <OptionalNumberField
        :model-value="row.episode.income"
        label="Besides fees"
        field="field w-[100px]"
        :min="0"
        placeholder="nothing"
        @update:model-value="write"
      />
    </div>
  </div>
</template>
