<script setup lang="ts">
import Flag from '@app/ui/Flag.vue'
import type { OfferHere, ReadHere } from './usePromised'

/** What this script owes others: the sponsor's read as it was asked, and the show's offers in the wording that comes next. */
const { offers, read } = defineProps<{ offers: readonly OfferHere[]; read: ReadHere | undefined }>()
const emit = defineEmits<{ go: [beat: string]; placeOffer: [offer: OfferHere]; placeRead: [] }>()
const sayNext = ({ next, lastIn, here }: OfferHere) =>
  next === undefined
    ? 'its only wording'
    : `${here ? 'other' : 'next'}: “${next.text.slice(0, 60)}${next.text.length > 60 ? '…' : ''}”${lastIn === undefined ? '' : `, last in “${lastIn}”`}`
</script>

<template>
  <section aria-labelledby="promised" class="border-t border-faint pt-3 mb-5 grid gap-2.5 text-12">
    <h2 id="promised" class="sr-only">Offers and reads</h2>
    <div v-if="read" class="grid gap-1">
      <p class="flex items-baseline gap-2">
        <span class="flex-1 text-14 font-medium">{{ read.sponsor }}’s read</span
        ><button v-if="read.here" class="underline text-ink-2" @click="emit('go', read.here.beat)">
          in the script</button
        ><button
          v-else
          class="btn btn-small"
          :aria-label="`Put in ${read.sponsor}’s read`"
          @mousedown.prevent
          @click="emit('placeRead')"
        >
          Put in
        </button>
      </p>
      <p class="sub">
        <template v-if="read.here">
          {{ Math.round(read.here.seconds) }} s<template v-if="read.seconds">
            of {{ read.seconds }} s asked</template
          >
        </template>
        <template v-else>{{ read.seconds ? `${read.seconds} s asked` : 'no length asked' }}</template>
      </p>
      <p v-for="d in read.here?.differs ?? []" :key="d"><Flag :size="9" />{{ d }}</p>
    </div>
    <div v-for="o in offers" :key="o.offer.id" class="grid gap-1">
      <p class="flex items-baseline gap-2">
        <span class="flex-1 text-14 font-medium">{{ o.offer.name }}</span><button
          v-if="o.here"
          class="underline text-ink-2"
          @click="emit('go', o.here.beat)"
        >
          in the script</button
        ><button
          v-if="o.next"
          class="btn btn-small"
          :aria-label="o.here ? `Say ${o.offer.name} in other words` : `Put in ${o.offer.name}`"
          @mousedown.prevent
          @click="emit('placeOffer', o)"
        >
          {{ o.here ? 'Other words' : 'Put in' }}
        </button>
      </p>
      <p class="sub">{{ sayNext(o) }}</p>
    </div>
  </section>
</template>
