<script setup lang="ts">
import { computed, ref } from 'vue'
import { sayRhythm } from '@core/rhythm/rule'
import { useMoment } from '@app/stores/moment'
import AddOutlet from './AddOutlet.vue'
import AddShow from './AddShow.vue'
import OffersCard from './OffersCard.vue'
import OutletCard from './OutletCard.vue'
import RecipeCard from './RecipeCard.vue'
import RhythmCard from './RhythmCard.vue'
import ShowCard from './ShowCard.vue'
import ShowsHead from './ShowsHead.vue'

const { show: id = '' } = defineProps<{ show?: string }>()
const moment = useMoment()
const show = computed(() => moment.shows.find((s) => s.id === id) ?? moment.shows[0])
const adding = ref(false)
</script>

<template>
  <div class="mx-auto max-w-[1200px] px-5 py-4 max-sm:px-3">
    <ShowsHead :here="show?.id ?? ''">
      <p v-if="show" class="sub flex-1">{{ sayRhythm(show.rhythm) }}</p>
      <button class="btn" @click="adding = true">Add a show</button>
    </ShowsHead>
    <div v-if="show" :key="show.id" class="grid grid-cols-1 gap-5 lg:grid-cols-2 items-start">
      <RhythmCard :show="show" />
      <ShowCard :show="show" />
      <RecipeCard :show="show" class="lg:col-span-2" />
      <OffersCard :show="show" class="lg:col-span-2" />
      <OutletCard v-for="o in show.outlets" :key="o" :outlet="o" :show="show" class="lg:col-span-2" />
      <AddOutlet :show="show" class="lg:col-span-2" />
    </div>
    <AddShow v-if="adding" @close="adding = false" />
  </div>
</template>
