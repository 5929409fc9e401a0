<script setup lang="ts">
import { computed } from 'vue'
import type { Lamp } from '@core/recipe/progress'
import { sayWhen } from '@core/partners/moves'
import { daysBetween } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { usePartners, type PersonHere } from '@app/stores/partners'
import LampMark from '@app/ui/LampMark.vue'
import type { VisitHere } from './usePartners'

/** Somebody in the list: how far it is with them, and on whose side the next move lies. */
const { of, visits, isHere } = defineProps<{
  of: PersonHere
  visits: readonly VisitHere[]
  isHere: boolean
}>()
const emit = defineEmits<{ choose: [] }>()
const moment = useMoment()
const partners = usePartners()
const deal = computed(() => of.deals[0])
/** The visit that is looked at: the next one that is not out yet, else the last. */
const visit = computed(() => visits.find((v) => v.state.kind !== 'out') ?? visits.at(-1))
const lamp = computed((): Lamp => {
  if (deal.value) {
    const { delivered, deal: d } = deal.value
    return delivered >= d.reads
      ? { state: 'lit', share: 1 }
      : { state: delivered > 0 ? 'working' : 'open', share: delivered / d.reads }
  }
  const dark: Lamp = { state: 'dark', share: 0 }
  switch (visit.value?.state.kind) {
    case 'recorded':
    case 'out':
      return { state: 'lit', share: 1 }
    case 'booked':
      return { state: 'working', share: 0.6 }
    case 'coming':
    case 'asked':
      return { state: 'working', share: 0.3 }
    default: {
      const back = of.known.jobs.filter((j) => j.back !== undefined).length
      return back > 0 ? { state: 'working', share: back / of.known.jobs.length } : dark
    }
  }
})
const stands = computed(() => {
  if (deal.value)
    return `${deal.value.delivered} of ${deal.value.deal.reads} ${deal.value.deal.reads === 1 ? 'read' : 'reads'}`
  const state = visit.value?.state
  if (state)
    return state.kind === 'booked' ? `booked, ${daysBetween(moment.today, state.booking.day)} d` : state.kind
  const { jobs } = of.known
  return jobs.length > 0 ? `${jobs.filter((j) => j.back !== undefined).length} of ${jobs.length} back` : ''
})
const moves = computed(() =>
  (['you', 'they'] as const).flatMap((who) => {
    const first = of.moves.find((m) => m.who === who)
    return first ? [{ who, what: first.what, on: first.episode, when: sayWhen(first, moment.today) }] : []
  }),
)
</script>

<template>
  <li>
    <button
      class="row w-full text-left grid grid-cols-[26px_26px_26px_minmax(0,1fr)] gap-x-1 px-3 py-2.5"
      :class="isHere ? 'here bg-raised' : ''"
      :aria-current="isHere || undefined"
      @click="emit('choose')"
    >
      <span /><LampMark :lamp="lamp" :size="22" hidden class="mx-auto" /><span />
      <span class="flex items-baseline gap-2 min-w-0"
        ><span class="font-semibold truncate">{{ of.known.name }}</span
        ><span class="sub truncate flex-1">{{ of.known.person?.work }}</span
        ><span class="text-12 whitespace-nowrap">{{ stands }}</span></span
      >
      <template v-for="m in moves" :key="m.who">
        <span class="flex justify-center"
          ><svg v-if="m.who === 'you'" width="16" height="16" aria-hidden="true" class="mt-0.5">
            <circle cx="8" cy="8" r="6" fill="none" stroke="var(--ink)" stroke-width="2" /></svg></span
        ><span /><span class="flex justify-center"
          ><LampMark v-if="m.who === 'they'" :lamp="{ state: 'waiting', share: 0 }" :size="18" hidden
        /></span>
        <span class="flex items-baseline gap-2 min-w-0 text-12"
          ><span class="truncate flex-1"
            ><span class="sr-only">{{ m.who === 'you' ? 'Your move:' : 'Theirs:' }} </span>{{ m.what }}{{ ' '
            }}<span v-if="m.on" class="text-ink-2" :class="m.on.phase.kind === 'idea' ? '' : 'num'">{{
              partners.called(m.on)
            }}</span></span
          ><span class="whitespace-nowrap" :class="m.who === 'they' ? 'text-sea' : ''">{{
            m.when
          }}</span></span
        >
      </template>
    </button>
  </li>
</template>

<style scoped>
.row {
  border-left: 3px solid transparent;
}
.row.here {
  border-left-color: var(--ink);
}
</style>
