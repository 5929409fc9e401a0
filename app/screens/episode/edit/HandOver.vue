<script setup lang="ts">
import { computed, ref } from 'vue'
import { packageParts, type PackagePart } from '@core/edit/package-parts'
import type { Cut } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { remembered } from '@app/stores/remembered'
import { useMoment } from '@app/stores/moment'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'
import TextField from '@app/ui/fields/TextField.vue'
import type { CutInHand } from './useCut'

/** Hands the cut over to who makes the next: one package, and a message that goes with it. */
const { cut, of, card } = defineProps<{ cut: Cut; of: CutInHand; card: Card }>()
const moment = useMoment()
const isPart = (x: unknown): x is PackagePart => typeof x === 'string' && Object.hasOwn(packageParts, x)
const all = Object.keys(packageParts).filter(isPart)
const chosen = remembered<PackagePart[]>('lamp-reel.package', all, (kept) =>
  Array.isArray(kept) ? kept.filter(isPart) : undefined,
)
const copied = ref(false)
/** The day on which the next open step of the edit is due. */
const due = computed(() => {
  const edit = card.standing.stages.find((s) => s.stage.kind === 'edit')
  const days = edit?.steps.filter((s) => s.left && s.due).map((s) => s.due ?? '') ?? []
  const first = days.sort()[0]
  return first === undefined ? '' : sayDay(first, moment.today)
})
const sources = () => ({
  card,
  cut,
  rate: of.rate.value,
  due: due.value,
  parts: new Set(chosen.value),
})
function turn(part: PackagePart) {
  chosen.value = chosen.value.includes(part)
    ? chosen.value.filter((p) => p !== part)
    : all.filter((p) => p === part || chosen.value.includes(p))
}
async function save() {
  const { packageZip } = await import('@core/formats/cut-package')
  const zip = packageZip(sources())
  download(zip.name, zip.bytes, 'application/zip')
}
async function copy() {
  const { packageMessage } = await import('@core/formats/cut-package')
  await navigator.clipboard.writeText(packageMessage(sources()))
  copied.value = true
}
</script>

<template>
  <Drop label="Hand over" small right>
    <TextField
      :model-value="cut.from"
      lazy
      label="Who cuts it"
      placeholder="I do"
      @update:model-value="of.keep({ from: $event.trim() })"
    />
    <fieldset class="grid gap-1.5 my-3">
      <legend class="label">What goes along</legend>
      <label v-for="(says, part) in packageParts" :key="part" class="flex items-start gap-2 text-12"
        ><input type="checkbox" class="tick" :checked="chosen.includes(part)" @change="turn(part)" />{{
          says
        }}</label
      >
    </fieldset>
    <div class="grid gap-1.5">
      <button class="btn btn-small" @click="save">Save the package</button
      ><button class="btn btn-small" @click="copy">{{ copied ? 'Copied' : 'Copy the message' }}</button>
    </div>
  </Drop>
</template>
