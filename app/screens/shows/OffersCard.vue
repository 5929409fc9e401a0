<script setup lang="ts">
import { computed } from 'vue'
import { Plus } from '@lucide/vue'
import { keepOffer } from '@core/commands/offers'
import type { Show } from '@core/records'
import { useLibrary } from '@app/stores/library'
import OfferFields from './OfferFields.vue'

/** What the audience of a show is asked to do: offers with the ways to say them. */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const offers = computed(() => [...library.tables.offers.values()].filter((o) => o.shows.includes(show.id)))
function add() {
  const wish = { name: 'A new offer', address: '', wordings: [], shows: [show.id] }
  void library.perform(keepOffer, wish, 'quietly')
}
</script>

<template>
  <section class="panel p-5 grid gap-4" aria-labelledby="offers">
    <header class="flex flex-wrap items-center gap-3">
      <h2 id="offers" class="flex-1">
        Offers
        <span class="sub font-sans font-normal ml-1"
          >what the audience is asked to do; the script offers the wording that was not heard for
          longest</span
        >
      </h2>
      <button class="btn btn-small" @click="add"><Plus :size="14" aria-hidden="true" /> An offer</button>
    </header>
    <OfferFields v-for="o in offers" :key="o.id" :offer="o" :show="show" />
  </section>
</template>
