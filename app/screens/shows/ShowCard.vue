<script setup lang="ts">
import { editShow } from '@core/commands/shows'
import type { Show } from '@core/records'
import { useLibrary } from '@app/stores/library'

const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
type Fields = Parameters<typeof editShow>[1]['fields']
async function write(fields: Fields, event: Event) {
  const done = await library.perform(editShow, { show: show.id, fields }, 'quietly')
  if (!done.ok && event.target instanceof HTMLInputElement) event.target.focus()
}
function most(which: 'evergreen' | 'topical', event: Event) {
  const now = show.readyMost ?? { evergreen: 200, topical: 200 }
  const next = { ...now, [which]: text(event) === '' ? 200 : Number(text(event)) }
  void write({ readyMost: next.evergreen >= 200 && next.topical >= 200 ? undefined : next }, event)
}
const text = (event: Event) =>
  event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
    ? event.target.value
    : ''
</script>

<template>
  <section class="panel p-5 grid gap-4" aria-labelledby="about">
    <h2 id="about">About the show</h2>
    <div class="grid gap-3 grid-cols-[1fr_90px_110px]">
      <label
        ><span class="label">Name</span
        ><input class="field" :value="show.title" @change="write({ title: text($event) }, $event)"
      /></label>
      <label
        ><span class="label">Number mark</span
        ><input
          class="field"
          :value="show.prefix"
          maxlength="6"
          @change="write({ prefix: text($event) }, $event)"
      /></label>
      <label
        ><span class="label">Numbers from</span
        ><input
          class="field"
          type="number"
          min="1"
          :value="show.nextNumber"
          @change="write({ nextNumber: Number(text($event)) }, $event)"
      /></label>
    </div>
    <div class="grid gap-3 grid-cols-2 sm:grid-cols-4">
      <label
        ><span class="label">Aim from, min</span
        ><input
          class="field"
          type="number"
          min="0"
          :value="show.aim.from"
          @change="write({ aim: { ...show.aim, from: Number(text($event)) } }, $event)"
      /></label>
      <label
        ><span class="label">Aim to, min</span
        ><input
          class="field"
          type="number"
          min="0"
          :value="show.aim.to"
          @change="write({ aim: { ...show.aim, to: Number(text($event)) } }, $event)"
      /></label>
      <label
        ><span class="label">To camera, words/min</span
        ><input
          class="field"
          type="number"
          :value="show.pace.camera"
          @change="write({ pace: { ...show.pace, camera: Number(text($event)) } }, $event)"
      /></label>
      <label
        ><span class="label">Voice-over, words/min</span
        ><input
          class="field"
          type="number"
          :value="show.pace.voice"
          @change="write({ pace: { ...show.pace, voice: Number(text($event)) } }, $event)"
      /></label>
    </div>
    <fieldset class="grid gap-3 grid-cols-3">
      <legend class="label">Slots to have ready ahead</legend>
      <label
        ><span class="sub block mb-1">at least</span
        ><input
          class="field"
          type="number"
          min="0"
          :value="show.readyAhead"
          aria-label="Slots to have ready ahead, at least"
          @change="write({ readyAhead: Number(text($event)) }, $event)"
      /></label>
      <label
        ><span class="sub block mb-1">evergreen, at most</span
        ><input
          class="field"
          type="number"
          min="0"
          max="200"
          :value="show.readyMost?.evergreen ?? ''"
          placeholder="no end"
          @change="most('evergreen', $event)"
      /></label>
      <label
        ><span class="sub block mb-1">topical, at most</span
        ><input
          class="field"
          type="number"
          min="0"
          max="200"
          :value="show.readyMost?.topical ?? ''"
          placeholder="no end"
          @change="most('topical', $event)"
      /></label>
    </fieldset>
    <label
      ><span class="label">Notes on voice and look</span
      ><textarea
        class="field min-h-[70px]"
        :value="show.notes"
        @input="write({ notes: text($event) }, $event)"
      />
    </label>
  </section>
</template>
