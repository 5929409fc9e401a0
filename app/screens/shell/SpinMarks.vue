<script setup lang="ts">
import { computed } from 'vue'
import type { Episode } from '@core/records'
import { isSpinOut } from '@core/release/spin-offs'

/** What is made of an episode, as small marks on its frame: filled where it is out. */
const { episode } = defineProps<{ episode: Episode }>()
const most = 6
const marks = computed(() =>
  (episode.spinOffs ?? [])
    .filter((s) => s.off !== true)
    .map((s) => ({ id: s.id, out: isSpinOut(episode, s) })),
)
</script>

<template>
  <span v-if="marks.length > 0" class="flex gap-[2px] items-center" aria-hidden="true"
    ><span v-for="m in marks.slice(0, most)" :key="m.id" class="mark" :class="{ out: m.out }"
  /></span>
</template>

<style scoped>
.mark {
  width: 5px;
  height: 7px;
  border: 1px solid var(--ink-3);
  border-radius: 1px;
}
.out {
  background: var(--ink-3);
}
</style>
