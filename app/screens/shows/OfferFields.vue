<script setup lang="ts">
import { computed } from 'vue'
import { X } from '@lucide/vue'
import { dropOffer, keepOffer } from '@core/commands/offers'
import type { Offer, Show } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useOffers } from '@app/stores/offers'
import OfferMore from './OfferMore.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** One offer: its name, where it leads, and the ways to say it with where each was said last. */
const { offer } = defineProps<{ offer: Offer; show: Show }>()
const library = useLibrary()
const moment = useMoment()
const offers = useOffers()
offers.start()
const uses = computed(() => offers.usesOf(offer))
function used(wording: string): string {
  const all = uses.value.filter((u) => u.wording === wording)
  const last = all[0]?.episode
  if (!last) return 'not said yet'
  const { phase } = last
  const zone = library.tables.shows.get(last.show)?.zone ?? 'UTC'
  const when =
    phase.kind === 'released'
      ? `, ${sayDay(dayAt(Date.parse(phase.at), zone), moment.today)}`
      : ', not out yet'
  return `${all.length === 1 ? 'once' : `${all.length} times`}, last in “${last.title}”${when}`
}
function keep(to: Partial<Pick<Offer, 'name' | 'address' | 'wordings'>>) {
  const { id, createdAt: _made, updatedAt: _changed, ...fields } = offer
  void library.perform(keepOffer, { offer: id, ...fields, ...to }, 'quietly')
}
function reword(id: string, text: string) {
  const wordings = offer.wordings.flatMap((w) => (w.id !== id ? w : text.trim() === '' ? [] : { id, text }))
  keep({ wordings })
}
function addWording(text: string) {
  if (text.trim() !== '') keep({ wordings: [...offer.wordings, { id: library.newId(), text }] })
}
</script>

<template>
  <div role="group" :aria-label="offer.name" class="grid gap-3 border-t border-faint pt-3 sm:grid-cols-2">
    <TextField :model-value="offer.name" lazy label="Offer" @update:model-value="keep({ name: $event })" />
    <div class="flex items-end gap-2">
      <TextField
        :model-value="offer.address"
        lazy
        class="flex-1"
        label="Where it leads"
        placeholder="an address, or nothing"
        @update:model-value="keep({ address: $event })"
      /><button
        class="btn btn-small px-2 mb-1"
        :aria-label="`Let the offer ${offer.name} go`"
        @click="library.perform(dropOffer, { offer: offer.id })"
      >
        <X :size="14" aria-hidden="true" />
      </button>
    </div>
    <div v-for="(w, i) in offer.wordings" :key="w.id">
      <TextField
        :model-value="w.text"
        lazy
        :rows="2"
        :label="`Wording ${i + 1}`"
        @update:model-value="reword(w.id, $event)"
      />
      <p class="sub">{{ used(w.id) }}</p>
    </div>
    <TextField
      :key="offer.wordings.length"
      model-value=""
      lazy
      :rows="2"
      :label="offer.wordings.length > 0 ? 'Another way to say it' : 'How it is said'"
      @update:model-value="addWording"
    />
    <OfferMore :offer="offer" :show="show" />
  </div>
</template>
