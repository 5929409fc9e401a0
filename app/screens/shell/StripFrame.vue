<script setup lang="ts">
import { computed } from 'vue'
import type { Show } from '@core/records'
import { sayVerdict } from '@core/views/verdict'
import { sixLamps } from '@core/recipe/progress'
import { sayDay } from '@core/rhythm/days'
import type { Frame } from '@core/rhythm/film'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useWorkload } from '@app/stores/workload'
import { useForms } from '@app/stores/forms'
import { useDesk } from '@app/stores/desk'
import { usePictures } from '@app/stores/pictures'
import FormSign from '@app/ui/FormSign.vue'
import Flag from '@app/ui/Flag.vue'
import { saysOpen, saysRelease } from './frame-words'
import Glyph from '@app/ui/Glyph.vue'
import LampMark from '@app/ui/LampMark.vue'
import SpinMarks from './SpinMarks.vue'

/** One frame of the strip. Its right edge is its release. */
const { frame, lane, show, left, width, next, slim, tab, when } = defineProps<{
  frame: Frame
  lane: number
  show: Show
  left: number
  width: number
  next: boolean
  slim: boolean
  tab: boolean
  when: string
}>()
const emit = defineEmits<{ choose: [] }>()
const cards = useCards()
const moment = useMoment()
const promises = usePromises()
const workload = useWorkload()
const desk = useDesk()
const pictures = usePictures()
const card = computed(() => (frame.episode ? cards.cardOf(frame.episode) : undefined))
const lamps = computed(() => (card.value ? sixLamps(card.value.standing).flatMap((l) => l ?? []) : []))
const forms = useForms()
const form = computed(() => (frame.episode ? forms.of(frame.episode) : undefined))
/** Whether the sign of its kind has room beside its lamps; else its first letter stands by the number. */
const signFits = computed(() => {
  const said = late.value ? 56 : isScheduled.value ? 72 : outlook.value ? 8 * outlook.value.length : 0
  return width - 96 - said - when.length * 6.8 >= 12 + (form.value?.length ?? 0) * 5.2
})
/** Whether the days to go have room behind how it stands; that comes first. */
const whenFits = computed(
  () => !outlook.value || width - 96 >= (outlook.value.length + 3 + when.length) * 6.7,
)
const late = computed(() => (frame.kind === 'filled' ? card.value?.standing.late : undefined))
const number = computed(
  () =>
    card.value?.number ??
    (frame.slot ? `${show.prefix}${cards.numbers.get(show.id)?.open.get(frame.slot.original) ?? ''}` : ''),
)
/** In a daily show’s narrow frames the figure stands alone. */
const bare = computed(() => number.value.replace(show.prefix, ''))
const multiple = computed(() => (frame.episode ? cards.multiples.get(frame.episode.id) : undefined))
const picture = computed(() =>
  frame.kind === 'exposed' && width > 120 ? pictures.url(frame.episode?.chosenPicture) : undefined,
)
/** The best two for it, best first. */
const suggested = computed(() =>
  frame.kind === 'open' && frame.slot && width > 150 && !slim
    ? (desk.suggestions.get(frame.slot.key) ?? [])
    : [],
)
/** What an open frame is kept for. */
const kept = computed(() =>
  frame.kind === 'open' ? promises.keptFor(show.id, frame.slot?.original)?.reservation : undefined,
)
/** It is uploaded and comes out by itself. */
const isScheduled = computed(() => frame.kind === 'filled' && card.value?.standing.scheduled === true)
/** Said on the strip only where it is not on track. */
const outlook = computed(() => (frame.kind === 'filled' ? desk.doubtOf(frame.episode?.id) : undefined))
const narrow = computed(() => width < 84)
/** One offer for open frames in a row, on the first of them. */
const offers = computed(() => width > 150 && (frame.run?.index ?? 0) === 0)
const spun = computed(() => (frame.episode?.spinOffs ?? []).filter((s) => s.off !== true).length)
const label = computed(() => {
  const out = `${sayDay(frame.day, moment.today)}${when ? `, in ${when}` : ''}`
  if (frame.kind === 'open') return saysOpen(number.value, out, kept.value?.name, suggested.value)
  return frame.kind === 'skipped'
    ? `Skipped, ${out}. Take the skip back`
    : `${saysRelease(`${number.value} ${card.value?.title ?? ''}`, frame.kind, out, trouble.value, form.value)}${spun.value > 0 ? `, ${spun.value} made from it` : ''}`
})
/** What stands in the way of the release, or that nothing does any more. */
const trouble = computed(() => {
  if (isScheduled.value) return 'scheduled'
  if (!card.value || (!outlook.value && !late.value)) return undefined
  return sayVerdict(workload.verdict(card.value))
})
</script>

<template>
  <div class="absolute inset-y-0" :style="{ left: `${left}px`, width: `${width}px` }">
    <button
      class="frame"
      :class="[frame.kind, show.kind, { next, late, narrow, slim }]"
      :aria-label="label"
      :title="label"
      :tabindex="tab ? 0 : -1"
      data-frame
      :data-lane="lane"
      :data-to="frame.to"
      @click="emit('choose')"
    >
      <img
        v-if="picture"
        :src="picture"
        alt=""
        class="h-[27px] w-[48px] object-cover flex-none rounded-[2px]"
        loading="lazy"
      />
      <span class="words" :class="{ one: slim || narrow || frame.kind !== 'filled' }">
        <template v-if="frame.kind === 'skipped'"
          ><span class="text-12 text-ink-3 bg-base px-2">skipped</span></template
        >
        <template v-else-if="frame.kind === 'open'">
          <span class="num text-ink-3">{{ narrow ? bare : number }}</span>
          <span v-if="kept && !narrow" class="flex flex-col min-w-0 text-11 leading-[14px]"
            ><span class="text-ink-2">kept for</span
            ><span class="truncate font-semibold">{{ kept.name }}</span></span
          >
          <span
            v-else-if="suggested.length > 0"
            class="flex flex-col min-w-0 text-11 leading-[14px] text-ink-2"
            ><span v-for="s in suggested" :key="s.episode.id" class="truncate">{{
              s.episode.title
            }}</span></span
          >
          <template v-else-if="!narrow"
            ><span class="text-12 text-ink-2 truncate">{{
              offers ? sayDay(frame.day) : `open, ${sayDay(frame.day)}`
            }}</span></template
          >
        </template>
        <template v-else>
          <span class="flex gap-1.5 items-baseline min-w-0"
            ><span class="num text-11 text-ink-2">{{ narrow ? bare : number }}</span
            ><FormSign
              v-if="frame.kind === 'filled' && !narrow && (slim || !signFits)"
              :name="form?.slice(0, 1)"
            /><strong v-if="!narrow" class="text-12 font-semibold truncate">{{ card?.title }}</strong></span
          >
          <template v-if="frame.kind === 'filled' && !slim && !narrow">
            <span
              class="flex items-center gap-[2px] h-[15px]"
              :class="isScheduled ? 'invisible' : ''"
              aria-hidden="true"
              ><LampMark v-for="(l, i) in lamps" :key="i" :lamp="l" :size="10" hidden />
              <FormSign v-if="signFits" class="ml-1" :name="form" /><SpinMarks
                v-if="frame.episode"
                class="ml-1"
                :episode="frame.episode"
            /></span>
          </template>
          <Glyph v-else-if="frame.kind === 'filled' && !narrow" :lamps="lamps" :size="15" class="flex-none" />
        </template>
      </span>
      <span
        v-if="frame.kind === 'filled' && !slim && !narrow"
        class="num text-11 absolute right-2 bottom-[2px] leading-[14px]"
        aria-hidden="true"
        ><template v-if="late"><Flag :size="9" /><span class="text-rose">late</span> · </template
        ><template v-else-if="isScheduled">scheduled · </template
        ><template v-else-if="outlook">{{ outlook }}{{ whenFits ? ' · ' : '' }}</template
        ><template v-if="late || isScheduled || whenFits">{{ when }}</template></span
      >
      <span v-if="frame.kind === 'open' && offers" class="text-12 font-semibold ml-auto" aria-hidden="true"
        >Choose</span
      >
      <SpinMarks
        v-if="frame.kind === 'exposed' && frame.episode && !narrow && !slim"
        class="absolute right-2 bottom-[3px]"
        :episode="frame.episode"
      />
      <span
        v-if="frame.kind === 'exposed' && multiple && !narrow"
        class="num text-11 ml-auto pl-1"
        :class="multiple >= 1.5 ? 'text-ink font-bold' : ''"
        >{{ multiple.toFixed(1) }}×</span
      >
    </button>
  </div>
</template>

<style scoped src="./strip-frame.css"></style>
