<script setup lang="ts">
import { computed } from 'vue'
import { MoreHorizontal, Pin } from '@lucide/vue'
import { sayMinutes } from '@core/script/timecode'
import { sessionKinds } from '@core/session/kinds'
import type { DayBlock } from '@core/views/week'
import { useCards } from '@app/stores/cards'
import { usePlan } from '@app/stores/plan'
import { vCarries, vTakes, type Carried, type Target } from '@app/ui/drag/carry'
import Flag from '@app/ui/Flag.vue'

/** Work on a day as a block as long as its minutes: laid, pinned, proposed or done. */
const { block, scale, chosen } = defineProps<{
  block: DayBlock
  /** Pixels a minute. */
  scale: number
  /** Chosen of a proposal. */
  chosen: boolean
}>()
const emit = defineEmits<{ dropOn: [Carried]; point: []; press: []; more: [] }>()
const cards = useCards()
const plan = usePlan()
const work = computed(() => cards.stepIn.get(block.step))
const name = computed(() =>
  block.session ? sessionKinds[block.session.kind].name : (work.value?.state.step.name ?? ''),
)
const number = computed(() => {
  if (!block.session) return work.value?.card.number ?? ''
  const all = (block.parts ?? []).flatMap((b) => cards.stepIn.get(b.step)?.card.number ?? [])
  return [...new Set(all)].join(' ')
})
const proposed = computed(() => plan.proposal !== undefined && block.kind === 'would')
const title = computed(() => {
  const why = proposed.value
    ? `. ${plan.reason({ id: block.step, day: block.day, minutes: block.minutes })}`
    : ''
  const of = block.session ? '' : (work.value?.card.title ?? '')
  return `${name.value}, ${number.value} ${of}, ${sayMinutes(block.minutes)}${why}`
})
const says = computed(() => {
  const at = block.at ? [`at ${block.at}`] : []
  if (block.session)
    return [`Session: ${name.value}`, number.value, sayMinutes(block.minutes), ...at].join(', ')
  const kind =
    block.kind === 'would' ? 'proposed' : block.kind === 'done' && !block.finished ? 'worked' : block.kind
  const late = work.value?.state.late ? ['late'] : []
  return [name.value, number.value, sayMinutes(block.minutes), ...at, kind, ...late].join(', ')
})
/** What is done stays where it is. */
const carried = computed<Carried | undefined>(() => {
  const { kind, step, day, minutes, session } = block
  if (session)
    return session.run.kind === 'planned'
      ? { kind: 'session', id: session.id, day, label: name.value }
      : undefined
  return kind === 'done' ? undefined : { kind: 'work', step, day, minutes, label: name.value }
})
/** Work of the same day is carried onto it, to stand before it. */
const target = computed<Target | undefined>(() =>
  block.kind === 'done' || block.session
    ? undefined
    : {
        takes: (c) => c.kind === 'work' && c.day === block.day && c.step !== block.step,
        drop: (c) => {
          emit('dropOn', c)
        },
      },
)
</script>

<template>
  <span class="wrap" :style="{ width: `${Math.max(34, block.minutes * scale - 2)}px` }"
    ><button
      v-carries="carried"
      v-takes="target"
      class="stint"
      :class="[
        block.kind,
        work?.card.show.kind,
        { running: block.running, late: work?.state.late && !block.session, chosen },
      ]"
      :data-block="block.key"
      :title="title"
      :aria-label="says"
      :aria-pressed="proposed ? chosen : undefined"
      @mouseenter="emit('point')"
      @focus="emit('point')"
      @click="emit('press')"
    >
      <template v-if="block.minutes * scale >= 74"
        ><span class="block truncate font-semibold leading-[17px]"
          ><Pin v-if="block.kind === 'pinned'" :size="11" class="inline -mt-0.5" aria-hidden="true" /><Flag
            v-if="work?.state.late && block.kind !== 'done' && !block.session"
            :size="9"
          />{{ block.finished ? '✓ ' : '' }}{{ name }}</span
        ><span class="num text-11 block truncate leading-[14px]"
          >{{ block.at ? `${block.at} · ` : '' }}{{ number }} · {{ sayMinutes(block.minutes) }}</span
        ></template
      >
      <template v-else
        ><span class="num text-11 block leading-[17px]">{{ number.replace(' ', '') }}</span
        ><span class="num text-11 block leading-[14px]">{{ block.minutes }}</span></template
      ></button
    ><button
      v-if="!plan.proposal && !block.session && block.minutes * scale >= 44"
      class="dots"
      :aria-label="`More for ${name}, ${number}`"
      @click="emit('more')"
    >
      <MoreHorizontal :size="13" /></button
  ></span>
</template>

<style scoped>
.wrap {
  position: relative;
  flex: none;
  height: 100%;
}
.wrap .stint {
  width: 100%;
}
.dots {
  position: absolute;
  right: 2px;
  top: 2px;
  padding: 1px 3px;
  border-radius: 4px;
  background: var(--raised);
  opacity: 0;
}
.wrap:hover .dots,
.dots:focus-visible {
  opacity: 1;
}
</style>
