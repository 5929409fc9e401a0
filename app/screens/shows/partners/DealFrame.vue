<script setup lang="ts">
import { computed } from 'vue'
import type { DealFrame } from '@core/partners/deal-film'
import type { Show } from '@core/records'
import { titleOf } from '@core/release/parts'
import { sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import { usePictures } from '@app/stores/pictures'
import Chalk from '@app/ui/Chalk.vue'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'

/** One frame of a deal's film: a read with its picture, a slot that is kept, or a date that would do. */
const { frame, show, isHere } = defineProps<{ frame: DealFrame; show: Show; isHere: boolean }>()
const emit = defineEmits<{ look: [] }>()
const moment = useMoment()
const partners = usePartners()
const pictures = usePictures()
const stands = {
  delivered: 'counts',
  fails: 'does not count',
  'to come': 'to come',
  'cannot be told': 'to be settled',
}
const read = computed(() => (frame.kind === 'read' ? frame.read : undefined))
const number = computed(() => (read.value ? partners.numberOf(read.value.episode) : ''))
const title = computed(() => (read.value ? titleOf(read.value.episode) : ''))
const picture = computed(() => pictures.url(read.value?.episode.chosenPicture))
const label = computed(() => {
  if (!read.value) return ''
  const { day, standing } = read.value
  const when = day === undefined ? 'no date yet' : sayDay(day, moment.today)
  return `${number.value} ${title.value}, ${when}: ${stands[standing]}`
})
</script>

<template>
  <button
    v-if="read"
    class="frame"
    :class="{ here: isHere, fails: read.standing === 'fails' }"
    :aria-label="label"
    :aria-pressed="isHere"
    :title="label"
    @click="emit('look')"
  >
    <span class="pic" :class="{ square: show.kind === 'audio' }"
      ><img v-if="picture" :src="picture" alt="" class="w-full h-full object-cover" /><Chalk
        v-else
        :title="title" /></span
    ><span class="flex items-center gap-1 px-1 h-[20px]"
      ><span class="num text-11 flex-1 text-left truncate">{{ number }}</span
      ><Flag v-if="read.standing === 'fails'" :size="10" /><LampMark
        v-else
        :lamp="read.standing === 'delivered' ? { state: 'lit', share: 1 } : { state: 'open', share: 0 }"
        :size="13"
        hidden
    /></span>
  </button>
  <p v-else class="frame empty" :class="frame.kind">
    <span class="num text-11">{{ frame.day ? sayDay(frame.day).replace(/^\w+ /, '') : '' }}</span><span
      class="text-11 text-ink-2"
      >{{ frame.kind === 'kept' ? 'kept' : 'open' }}</span
    >
  </p>
</template>

<style scoped>
.frame {
  display: block;
  width: 100%;
  border: 1px solid var(--line);
  border-radius: 4px;
  overflow: hidden;
  background: var(--panel);
}
.frame.here {
  border-color: var(--ink);
  box-shadow: 0 0 0 1px var(--ink);
}
.frame.fails {
  border-color: var(--rose);
}
.pic {
  display: block;
  aspect-ratio: 16 / 9;
  overflow: hidden;
}
.pic.square {
  aspect-ratio: 1;
}
.frame.empty {
  display: grid;
  align-content: center;
  justify-items: center;
  min-height: 56px;
  border-style: dashed;
  background: transparent;
}
.frame.kept {
  border-style: solid;
  border-color: var(--ink-2);
}
</style>
