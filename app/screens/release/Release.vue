<script setup lang="ts">
import { useKeymap } from '@app/ui/keymap'
import LampMark from '@app/ui/LampMark.vue'
import { keyed, releaseKeys } from './keymap'
import HandOver from './parts/HandOver.vue'
import ReleaseFilm from './parts/ReleaseFilm.vue'
import ThisWeek from './parts/ThisWeek.vue'
import { useRelease } from './useRelease'

/** What goes out in the next two weeks, at every outlet: what is missing, what helps most, and the handing over. */
const of = useRelease()
const { lead, here, view } = of
const legend = [
  ['there', { state: 'lit', share: 1 }],
  ['begun', { state: 'working', share: 0.5 }],
  ['to make', { state: 'open', share: 0 }],
  ['waits', { state: 'waiting', share: 0 }],
  ['not asked', { state: 'dark', share: 0 }],
] as const
useKeymap(releaseKeys, {
  turn: ({ which }) => {
    of.turn(which === 0 ? -1 : 1)
  },
  move: () => {
    const [first] = view.value.moves
    if (!first) return false
    of.mend(first)
    return true
  },
  copy: of.copyNext,
  state: ({ which }) => {
    const state = keyed[which]
    if (here.value && state) of.say(here.value, state)
  },
  hand: () => {
    if (!here.value?.outlet.line) return false
    void of.hand(here.value)
    return true
  },
  anew: of.copyAnew,
})
</script>

<template>
  <div>
    <header class="flex flex-wrap items-center gap-x-5 gap-y-1 px-5 py-3">
      <h1>Release</h1>
      <p class="flex-1 text-16 font-medium min-w-[280px]">{{ lead }}</p>
      <RouterLink class="btn btn-small" :to="{ name: 'write' }">Write in one sitting</RouterLink>
      <ul class="flex flex-wrap gap-x-3.5 text-12 text-ink-2" aria-label="What the signs mean">
        <li v-for="[says, lamp] in legend" :key="says" class="flex items-center gap-1.5">
          <LampMark :lamp="lamp" :size="12" hidden />{{ says }}
        </li>
      </ul>
    </header>
    <template v-if="view.rows.length > 0">
      <ReleaseFilm :of="of" />
      <div
        class="grid grid-cols-1 gap-8 px-5 py-5 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] lg:grid-cols-2 max-sm:px-3"
      >
        <ThisWeek :of="of" />
        <HandOver v-if="here" :of="of" :thing="here" />
      </div>
    </template>
    <section v-else class="mx-auto max-w-[520px] p-10 text-center">
      <h2>Nothing has a release yet</h2>
      <p class="sub mt-2 mb-5">
        Here stands what goes out in the next two weeks, at every outlet of your shows.
      </p>
      <RouterLink to="/schedule" class="btn btn-main">To the schedule</RouterLink>
    </section>
  </div>
</template>
