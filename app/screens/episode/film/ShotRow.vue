<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { ShotPlan } from '@core/records'
import type { Item } from '@core/session/items'
import { tickedIn } from '@app/ui/fields/event'
import { keysOn } from '@app/ui/keymap'
import { usePictures } from '@app/stores/pictures'
import { shotKeys } from '../keymap'
import PlanFields from './PlanFields.vue'
import type { KnownPlans } from './shot-plans'
import ShotPicture from './ShotPicture.vue'

/** One shot: ticked when it is got; opened, where and how it is filmed. Alt ↑ ↓ puts it elsewhere. */
const { of, known, others, dark, open } = defineProps<{
  of: Item
  known: KnownPlans
  others: readonly Item[]
  /** The light does not reach it. */
  dark: boolean
  open: boolean
}>()
const emit = defineEmits<{
  tick: [on: boolean]
  open: []
  move: [by: -1 | 1]
  plan: [to: Partial<ShotPlan>]
}>()
const pictures = usePictures()
const shown = useTemplateRef<InstanceType<typeof ShotPicture>>('shown')
/** A picture that is pasted or dropped while it is open becomes its own. */
function given(event: ClipboardEvent | DragEvent) {
  const from = event instanceof ClipboardEvent ? event.clipboardData : event.dataTransfer
  const files = [...(from?.files ?? [])]
  if (files.length === 0 || !shown.value) return
  event.preventDefault()
  void shown.value.take(files)
}
const keyed = keysOn(shotKeys, {
  move: ({ which }) => {
    emit('move', which === 0 ? -1 : 1)
  },
})
</script>

<template>
  <li
    class="px-4 py-2"
    @keydown="keyed"
    @paste="given"
    @drop="given"
    @dragover="open && $event.preventDefault()"
  >
    <div class="flex items-start gap-3">
      <label class="flex items-start gap-3 flex-1 min-w-0 cursor-pointer"
        ><input
          type="checkbox"
          class="tick mt-0.5"
          :checked="of.got"
          @change="emit('tick', tickedIn($event))"
        /><img
          v-if="!open && pictures.url(of.picture)"
          :src="pictures.url(of.picture)"
          alt=""
          class="w-[64px] h-[36px] rounded object-cover flex-none"
        /><span class="flex-1 min-w-0"
          ><span class="block" :class="of.got ? 'text-ink-2' : 'font-medium'"
            >{{ of.name }}<span v-if="!of.shot.must" class="sub font-normal">, could be left</span></span
          ><span class="sub line-clamp-1">{{ of.where ? `${of.where}: ` : '' }}{{ of.words }}</span></span
        ></label
      ><span v-if="dark" class="late text-12">after the light</span
      ><span class="num">{{ of.shot.minutes }} min</span
      ><button
        class="btn btn-bare btn-small px-1.5"
        :aria-expanded="open"
        :aria-label="`How ${of.name} is filmed`"
        @click="emit('open')"
      >
        ⋯
      </button>
    </div>
    <PlanFields v-if="open" :of="[of]" :known="known" :others="others" @plan="emit('plan', $event)">
      <ShotPicture ref="shown" class="col-span-full" :of="of" />
      <p class="col-span-full flex gap-1.5">
        <button class="btn btn-small" @click="emit('move', -1)">Earlier</button
        ><button class="btn btn-small" @click="emit('move', 1)">Later</button
        ><button
          v-if="of.plan.behind !== undefined"
          class="btn btn-small btn-bare"
          @click="emit('plan', { behind: undefined })"
        >
          Put by hand; let it go where it fits
        </button>
      </p>
    </PlanFields>
  </li>
</template>
