<script setup lang="ts">
import { computed, ref } from 'vue'
import { isPackagePart, packageParts, type PackagePart } from '@core/edit/package-parts'
import type { Cut, Id } from '@core/records'
import type { Card } from '@core/views/card'
import { remembered } from '@app/stores/remembered'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'
import TextField from '@app/ui/fields/TextField.vue'
import type { JobInHand } from '../helper/useJob'
import type { CutInHand } from './useCut'
import { usePackage } from './usePackage'

/** Hands the cut over to who makes the next: a page of their own, or one package; and a message that goes with it. */
const { cut, of, card, job } = defineProps<{
  cut?: Cut | undefined
  of: CutInHand
  card: Card
  job: JobInHand
}>()
const all = Object.keys(packageParts).filter(isPackagePart)
const chosen = remembered<PackagePart[]>('lamp-reel.package', all, (kept) =>
  Array.isArray(kept) ? kept.filter(isPackagePart) : undefined,
)
const shelf = ref<Id[]>([])
const links = computed(() => card.episode.idea.sources.filter((s) => s.url.trim() !== ''))
/** Before there is a cut nobody has made one: who is to is typed here. */
const typed = ref('')
const who = computed(() => cut?.from ?? typed.value)
const fault = ref('')
const made = usePackage(
  () => card,
  () => cut,
  () => of.rate.value,
)
const choice = () => ({
  parts: new Set(chosen.value),
  shelf: links.value.filter((l) => shelf.value.includes(l.id)),
})
function turn(part: PackagePart) {
  chosen.value = chosen.value.includes(part)
    ? chosen.value.filter((p) => p !== part)
    : all.filter((p) => p === part || chosen.value.includes(p))
}
function turnLink(id: Id) {
  shelf.value = shelf.value.includes(id) ? shelf.value.filter((s) => s !== id) : [...shelf.value, id]
}
function name(to: string) {
  fault.value = ''
  if (cut) of.keep({ from: to.trim() })
  else typed.value = to
}
async function give(close: () => void) {
  const done = await job.give(who.value, chosen.value, shelf.value)
  if (done.ok) close()
  else fault.value = done.problem.sentence
}
async function save() {
  const zip = await made.zip(choice())
  download(zip.name, zip.bytes, 'application/zip')
}
async function copy() {
  await job.copy(await made.message(choice(), job.address.value))
}
</script>

<template>
  <Drop v-slot="{ close }" label="Hand over" small right>
    <TextField
      :model-value="who"
      lazy
      label="Who cuts it"
      placeholder="I do"
      :fault="fault"
      @update:model-value="name"
    />
    <button v-if="!job.job.value" class="btn btn-small btn-main mt-3 w-full" @click="give(close)">
      Give them a page
    </button>
    <div class="grid grid-cols-2 gap-1.5 mt-1.5">
      <button class="btn btn-small px-1" @click="save">Save the package</button
      ><button class="btn btn-small px-1" @click="copy">
        {{ job.copied.value ? 'Copied' : 'Copy the message' }}
      </button>
    </div>
    <details class="mt-3" :open="links.length > 0">
      <summary class="text-12">What goes along, {{ chosen.length + shelf.length }} parts</summary>
      <ul class="grid gap-1.5 mt-2">
        <li v-for="(says, part) in packageParts" :key="part">
          <label class="flex items-start gap-2 text-12"
            ><input type="checkbox" class="tick" :checked="chosen.includes(part)" @change="turn(part)" />{{
              says
            }}</label
          >
        </li>
        <li v-for="l in links" :key="l.id">
          <label class="flex items-start gap-2 text-12"
            ><input
              type="checkbox"
              class="tick"
              :checked="shelf.includes(l.id)"
              @change="turnLink(l.id)"
            /><span class="min-w-0 break-words">from the shelf: {{ l.text || l.url }}</span></label
          >
        </li>
      </ul>
    </details>
  </Drop>
</template>
