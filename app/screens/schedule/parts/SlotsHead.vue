<script setup lang="ts">
import { computed } from 'vue'
import { peopleOf, type Narrowing } from '@core/views/slots'
import { useCards } from '@app/stores/cards'
import ScheduleTabs from '../ScheduleTabs.vue'
import WhichEpisodes from './WhichEpisodes.vue'
import CalendarDrop from './CalendarDrop.vue'

/** Which slots are looked at, and what they are narrowed to. */
const narrow = defineModel<Narrowing>('narrow', { required: true })
const cards = useCards()
const people = computed(() => peopleOf(cards.working))
const plain: readonly (readonly [
  Narrowing & { kind: 'all' | 'ready' | 'work' | 'late' | 'open' },
  string,
])[] = [
  [{ kind: 'all' }, 'Every slot'],
  [{ kind: 'ready' }, 'Ready'],
  [{ kind: 'work' }, 'Needs work'],
  [{ kind: 'late' }, 'Late'],
  [{ kind: 'open' }, 'Open'],
]
const wishes = computed<(readonly [Narrowing, string])[]>(() => [
  ...plain,
  [{ kind: 'move', who: 'me' }, 'My move'],
  ...people.value.movers.map((who) => [{ kind: 'move', who }, `${who}’s move`] as const),
  ...people.value.waited.map((who) => [{ kind: 'waits', who }, `Waits on ${who}`] as const),
])
const keyOf = (n: Narrowing) => ('who' in n ? `${n.kind} ${n.who}` : n.kind)
const choices = computed(() => wishes.value.map(([n, says]) => [keyOf(n), says] as const))
const narrowed = computed({
  get: () => keyOf(narrow.value),
  set: (key) => {
    narrow.value = wishes.value.find(([n]) => keyOf(n) === key)?.[0] ?? { kind: 'all' }
  },
})
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
    <h1>Schedule</h1>
    <ScheduleTabs />
    <WhichEpisodes />
    <select v-model="narrowed" class="field w-auto" aria-label="Narrow it to">
      <option v-for="[key, says] in choices" :key="key" :value="key">{{ says }}</option>
    </select>

    <CalendarDrop />
  </header>
</template>
