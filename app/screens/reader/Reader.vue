<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import ReaderStand from './parts/ReaderStand.vue'

/** The script of an episode, large, to be read before the camera or the microphone. */
const { code } = defineProps<{ code: string }>()
const library = useLibrary()
const cards = useCards()
const route = useRoute()
const found = computed(() => [...library.tables.episodes.values()].find((e) => e.code === code))
const isReady = ref(false)
const root = useTemplateRef<HTMLElement>('root')
watch(
  () => found.value?.id,
  async (id) => {
    if (id) await library.ensure([id])
    isReady.value = true
    await nextTick()
    root.value?.focus({ preventScroll: true })
  },
  { immediate: true },
)
const card = computed(() => (isReady.value && found.value ? cards.cardOf(found.value) : undefined))
watch(
  card,
  (now) => {
    if (now) document.title = `Reader: ${now.title} · Lamp Reel`
  },
  { immediate: true },
)
</script>

<template>
  <div ref="root" tabindex="-1" class="film fixed inset-0 bg-base text-ink outline-none">
    <ReaderStand
      v-if="card"
      :key="card.episode.id"
      :card="card"
      :follows="route.query['follow'] !== undefined"
    />
    <p v-else-if="isReady" class="p-8">
      No episode has the code {{ code }}. <RouterLink to="/schedule">To the schedule</RouterLink>
    </p>
  </div>
</template>
