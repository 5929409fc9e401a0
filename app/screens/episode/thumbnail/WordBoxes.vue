<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { X } from '@lucide/vue'
import { nameWords } from '@core/commands/episode'
import type { Candidate, PictureWords } from '@core/records'
import { useLibrary } from '@app/stores/library'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** Says where the words of a finished picture are: a box is drawn round each line and what it says is typed. */
const { episode, picture } = defineProps<{ episode: string; picture: Candidate }>()
const emit = defineEmits<{ done: [] }>()
const library = useLibrary()
const area = useTemplateRef<HTMLElement>('area')
const from = ref<{ x: number; y: number }>()
const box = ref<{ x: number; y: number; w: number; h: number }>()
const text = ref('')
const words = computed(() => picture.words ?? [])

const isBig = computed(() => box.value !== undefined && box.value.w > 0.01 && box.value.h > 0.01)
function at({ clientX, clientY }: PointerEvent) {
  const all = area.value?.getBoundingClientRect()
  return all
    ? {
        x: Math.min(1, Math.max(0, (clientX - all.left) / all.width)),
        y: Math.min(1, Math.max(0, (clientY - all.top) / all.height)),
      }
    : { x: 0, y: 0 }
}
function begin(event: PointerEvent) {
  area.value?.setPointerCapture(event.pointerId)
  from.value = at(event)
  box.value = { ...from.value, w: 0, h: 0 }
}
function draw(event: PointerEvent) {
  if (!from.value) return
  const to = at(event)
  box.value = {
    x: Math.min(from.value.x, to.x),
    y: Math.min(from.value.y, to.y),
    w: Math.abs(to.x - from.value.x),
    h: Math.abs(to.y - from.value.y),
  }
}
const write = (all: readonly PictureWords[] | undefined) =>
  library.perform(nameWords, { episode, picture: picture.id, words: all }, 'quietly')
async function keep() {
  if (!box.value || !isBig.value || text.value.trim() === '') return
  const done = await write([...words.value, { ...box.value, text: text.value.trim(), known: 'drawn' }])
  if (!done.ok) return
  box.value = undefined
  text.value = ''
}
async function none() {
  await write([])
  emit('done')
}
const sides = [
  ['x', 'Left, %'],
  ['y', 'Top, %'],
  ['w', 'Width, %'],
  ['h', 'Height, %'],
] as const
const place = ({ x, y, w, h }: { x: number; y: number; w: number; h: number }) => ({
  left: `${x * 100}%`,
  top: `${y * 100}%`,
  width: `${w * 100}%`,
  height: `${h * 100}%`,
})
</script>

<template>
  <div
    ref="area"
    class="absolute inset-0 cursor-crosshair touch-none"
    data-testid="word-boxes"
    @pointerdown.prevent="begin"
    @pointermove="draw"
    @pointerup="from = undefined"
  >
    <span v-for="(w, i) in words" :key="i" class="box" :style="place(w)" /><span
      v-if="box"
      class="box new"
      :style="place(box)"
    />
  </div>
  <Teleport defer to="#word-boxes">
    <form class="panel p-3 mt-3 grid gap-2" aria-label="Words of the picture" @submit.prevent="keep">
      <p class="text-12">Draw a box round each line of words in the picture, and type what it says.</p>
      <ul v-if="words.length > 0" class="flex flex-wrap gap-2">
        <li
          v-for="(w, i) in words"
          :key="i"
          class="flex items-center gap-1 border border-line rounded-control pl-2"
        >
          {{ w.text
          }}<button
            type="button"
            class="btn btn-bare btn-small px-1"
            :aria-label="`Take the box of “${w.text}” away`"
            @click="write(words.filter((_, j) => j !== i))"
          >
            <X :size="13" />
          </button>
        </li>
      </ul>
      <div class="flex flex-wrap items-end gap-2">
        <TextField v-if="box" v-model="text" class="flex-1 min-w-[180px]" label="What it says" autofocus />
        <button v-if="box" class="btn" :disabled="!isBig || text.trim() === ''">Keep this line</button
        ><button v-else type="button" class="btn" @click="box = { x: 0.05, y: 0.7, w: 0.5, h: 0.15 }">
          A box by numbers</button
        ><button v-if="words.length === 0" type="button" class="btn btn-bare" @click="none">
          It has no words</button
        ><button type="button" class="btn btn-bare" @click="emit('done')">Done</button>
      </div>
      <details v-if="box">
        <summary class="sub cursor-pointer">By numbers</summary>
        <div class="grid grid-cols-4 gap-2 mt-2">
          <NumberField
            v-for="[side, label] in sides"
            :key="side"
            :model-value="Math.round(box[side] * 1000) / 10"
            :label="label"
            :min="0"
            :max="100"
            :step="0.1"
            @update:model-value="box && (box = { ...box, [side]: $event / 100 })"
          />
        </div>
      </details>
    </form>
  </Teleport>
</template>

<style scoped>
.box {
  position: absolute;
  border: 2px solid #fff;
  outline: 1px solid #000;
}
.box.new {
  border-style: dashed;
}
</style>
