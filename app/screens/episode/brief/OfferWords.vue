<script setup lang="ts">
import { computed } from 'vue'
import type { Offer, Wording } from '@core/records'
import type { Card } from '@core/views/card'
import { useOffers } from '@app/stores/offers'

/** The show's first offer in the wording that comes next, to be put into the description by one press. */
const { card, text } = defineProps<{ card: Card; text: string }>()
const emit = defineEmits<{ put: [text: string] }>()
const offers = useOffers()
offers.start()
const first = computed((): { offer: Offer; wording: Wording } | undefined => {
  const [offer] = offers.of(card.episode)
  const wording = offer && offers.next(offer, card.episode)
  return offer && wording ? { offer, wording } : undefined
})
const line = computed(() => {
  if (!first.value) return ''
  const { offer, wording } = first.value
  return [wording.text.trim(), offer.address.trim()].filter(Boolean).join(' ')
})
const isThere = computed(
  () =>
    first.value !== undefined && first.value.offer.address !== '' && text.includes(first.value.offer.address),
)
</script>

<template>
  <p v-if="first && !isThere" class="flex items-baseline gap-2 text-12 text-ink-2">
    <span class="flex-1 min-w-0 truncate" :title="line"
      >{{ first.offer.name }}: “{{ first.wording.text }}”</span
    ><button
      class="btn btn-small"
      :aria-label="`Put ${first.offer.name} into the description`"
      @click="emit('put', [text.trim(), line].filter(Boolean).join('\n\n'))"
    >
      Put in
    </button>
  </p>
</template>
