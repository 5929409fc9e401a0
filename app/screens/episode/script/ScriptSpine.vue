<script setup lang="ts">
import { sayTime } from '@core/script/timecode'
import type { Spine } from '@core/views/spine'
import { vCarries, vTakes, type Target } from '@app/ui/drag/carry'

/** The script from top to bottom, true to time: sections, points served, the longest stretch with nothing to look at. */
const { spine, here, pictured } = defineProps<{
  spine: Spine
  /** The section in which the caret stands. */
  here: string | undefined
  /** Whether there is anything to look at at all. */
  pictured: boolean
}>()
const emit = defineEmits<{ go: [section: string]; beat: [beat: string]; move: [from: number, to: number] }>()
const placeOf = (id: string) => spine.sections.findIndex((s) => s.id === id)
function taking(at: number): Target {
  return {
    takes: (carried) => carried.kind === 'section' && placeOf(carried.id) >= 0,
    drop: (carried) => {
      if (carried.kind === 'section') emit('move', placeOf(carried.id), at)
    },
  }
}
</script>

<template>
  <div class="relative mb-4" :style="{ height: `${spine.height}px` }">
    <ol>
      <li v-for="(s, i) in spine.sections" :key="s.id">
        <template v-if="s.serves.length > 0">
          <span
            v-for="(p, n) in s.serves"
            :key="p"
            class="point"
            :style="{ top: `${s.top + n * 18 - 3}px` }"
            :title="`Serves point ${p + 1}`"
            >{{ p + 1 }}</span
          ></template
        ><span
          v-for="b in s.beats"
          :key="b.id"
          class="bar"
          :class="b.kind"
          aria-hidden="true"
          :style="{ top: `${b.top}px`, height: `${b.height}px` }"
        /><button
          v-carries="{ kind: 'section', id: s.id, label: s.title }"
          v-takes="taking(i)"
          class="label-line"
          :class="[
            s.id === here ? 'font-semibold text-ink' : 'text-ink-2',
            s.label > s.top + 4 ? 'pushed' : '',
          ]"
          :style="{ top: `${s.label - 6}px` }"
          @click="emit('go', s.id)"
        >
          <span class="flex-1 min-w-0 truncate">{{ s.title || 'No title' }}</span><span
            class="num"
            :class="s.id === here ? 'text-ink' : ''"
            >{{ sayTime(s.seconds) }}</span
          >
        </button>
      </li>
    </ol>
    <button
      v-if="spine.bare && pictured"
      class="bare"
      :style="{ top: `${spine.bare.top}px`, height: `${spine.bare.height}px` }"
      :title="`${sayTime(spine.bare.seconds)} to camera with nothing to look at`"
      @click="emit('beat', spine.bare.beat)"
    >
      <span class="sr-only">{{ sayTime(spine.bare.seconds) }} to camera with nothing to look at</span>
    </button>
  </div>
</template>

<style scoped>
.bar {
  position: absolute;
  left: 22px;
  width: 9px;
  border-radius: 1px;
  background: var(--ink-3);
}
.bar.voice {
  background: repeating-linear-gradient(to bottom, var(--ink-3) 0 3px, transparent 3px 5px);
}
.bar.blank {
  background: none;
  border: 1px dashed var(--ring);
}
.bar.free {
  background: none;
  border: 1px solid var(--ring);
}
.point {
  position: absolute;
  left: 0;
  width: 16px;
  height: 16px;
  border: 1px solid var(--ink-2);
  border-radius: 50%;
  font: 500 10px/14px var(--font-mono);
  text-align: center;
}
.label-line {
  position: absolute;
  left: 38px;
  right: 0;
  display: flex;
  gap: 8px;
  text-align: left;
  font-size: 12.5px;
  line-height: 19px;
  border-radius: 4px;
  cursor: pointer;
}
.label-line:hover {
  background: var(--raised);
}
.bare {
  position: absolute;
  left: 32px;
  width: 5px;
  border: 1px solid var(--ink-2);
  border-left: 0;
}
</style>
