<script setup lang="ts">
import { computed } from 'vue'
import { Trash2, Type } from '@lucide/vue'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import { typedIn } from '@app/ui/fields/event'
import type { Making } from './useMaking'

/** The words over the picture: what they say, how large, where, in which colour, with an outline or without. */
const { of, hint } = defineProps<{ of: Making; hint: string }>()
const words = computed(() => of.made.value.words)
const swatches = computed(() => [...new Set(['#ffffff', '#14110f', '#ffd166', ...of.colours.value])])
const faces = [
  ['heavy', 'Heavy'],
  ['plain', 'Plain'],
  ['fixed', 'Typewriter'],
] as const
const places = [-1, 0, 1].flatMap((down) => [-1, 0, 1].map((across) => ({ across, down })))
const sayPlace = (across: number, down: number) =>
  [['top', 'middle', 'bottom'][down + 1], ['left', 'centre', 'right'][across + 1]].join(' ')
/** Changes the words that are chosen. */
function write(to: Parameters<Making['write']>[1]) {
  if (of.picked.value) of.write(of.picked.value.id, to)
}
function outline() {
  const { picked } = of
  write({
    outline: picked.value?.outline ? undefined : dark(picked.value?.colour ?? '') ? '#ffffff' : '#14110f',
  })
}
const dark = (colour: string) => parseInt(colour.slice(1, 3), 16) + parseInt(colour.slice(3, 5), 16) < 255
</script>

<template>
  <section aria-label="Words over the picture" class="grid gap-3">
    <div v-for="w in words" :key="w.id" class="flex items-start gap-1.5">
      <textarea
        :value="w.text"
        rows="1"
        class="field flex-1 resize-none field-sizing-content"
        :class="w.id === of.chosen.value ? 'border-ink' : ''"
        aria-label="Words"
        @focus="of.pick(w.id)"
        @input="of.write(w.id, { text: typedIn($event) })"
      />
      <button class="btn btn-bare px-2" :aria-label="`Take “${w.text}” off`" @click="of.remove(w.id)">
        <Trash2 :size="15" />
      </button>
    </div>
    <button class="btn justify-self-start" @click="of.add(words.length === 0 ? hint : 'MORE')">
      <Type :size="15" aria-hidden="true" /> {{ words.length === 0 ? 'Lay words over' : 'More words' }}
    </button>
    <template v-if="of.picked.value">
      <label class="grid gap-1"
        ><span class="label">Size</span
        ><input
          type="range"
          min="0.05"
          max="0.5"
          step="0.005"
          :value="of.picked.value.size"
          @input="write({ size: Number(typedIn($event)) })"
      /></label>
      <div class="flex gap-5">
        <fieldset>
          <legend class="label">Place</legend>
          <div class="grid grid-cols-3 gap-1 w-[84px]">
            <button
              v-for="p in places"
              :key="`${p.across} ${p.down}`"
              class="h-[18px] rounded-[3px] border border-ring hover:bg-raised"
              :aria-label="sayPlace(p.across, p.down)"
              :title="sayPlace(p.across, p.down)"
              @click="of.picked.value && of.place(of.picked.value.id, p.across, p.down)"
            />
          </div>
        </fieldset>
        <ChoiceField
          :model-value="of.face.value"
          label="The show’s type"
          :of="faces"
          @update:model-value="of.letter($event)"
        />
      </div>
      <fieldset>
        <legend class="label">Colour, the picture’s own among them</legend>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="c in swatches"
            :key="c"
            class="w-[26px] h-[26px] rounded-full border border-ring"
            :class="of.picked.value.colour === c ? 'outline-2 outline-ink outline-offset-2' : ''"
            :style="{ background: c }"
            :aria-label="`Colour ${c}`"
            :aria-pressed="of.picked.value.colour === c"
            @click="write({ colour: c })"
          /><input
            type="color"
            class="w-[30px] h-[26px]"
            aria-label="Another colour"
            :value="of.picked.value.colour"
            @input="write({ colour: typedIn($event) })"
          />
        </div>
      </fieldset>
      <label class="flex items-center gap-2"
        ><input
          type="checkbox"
          class="tick"
          :checked="of.picked.value.outline !== undefined"
          @change="outline"
        />Outline</label
      >
    </template>
  </section>
</template>
