<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref } from 'vue'
import type { Section, Show } from '@core/records'
import { sectionsFrom } from '@core/script/paste'
import { sayTime } from '@core/script/timecode'
import { sectionSeconds } from '@core/script/timing'
import Sheet from '@app/ui/Sheet.vue'

/** A whole script, pasted in the place of the one that is there. */
const { pace } = defineProps<{ pace: Show['pace'] }>()
const emit = defineEmits<{ take: [Section[]]; close: [] }>()
const pasted = ref('')
const newId = () => crypto.randomUUID().slice(0, 12)
const sections = computed(() => sectionsFrom(pasted.value, 'Script', newId))
</script>

<template>
  <Sheet open title="Paste a whole script" wide @close="emit('close')">
    <p class="sub mb-3">
      Plain text or Markdown. Lines with # before them, or in capitals alone, begin a section; blank lines
      part beats. It takes the place of the script that is there (undo brings that back).
    </p>
    <textarea v-model="pasted" class="field min-h-[220px] max-h-[50vh]" aria-label="The script" />
    <p class="sub my-3">
      {{ sections.length }} sections,
      {{ sayTime(sum(sections, (s) => sectionSeconds(undefined, s, pace))) }}
    </p>
    <button class="btn btn-main" :disabled="sections.length === 0" @click="emit('take', sections)">
      Take it
    </button>
  </Sheet>
</template>
