<script setup lang="ts">
import { Settings as Gear } from '@lucide/vue'
import { computed, onMounted, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useSessions } from '@app/stores/sessions'
import { sayDay } from '@core/rhythm/days'
import { places, type Place } from '../registry'
import Capture from './Capture.vue'

const library = useLibrary()
const cards = useCards()
const sessions = useSessions()
const moment = useMoment()
const route = useRoute()
const bar = useTemplateRef<HTMLElement>('bar')
/** The Week, Sessions, Release and the Catalogue join the bar when there is first something in them. */
const screens = computed(() =>
  places.filter((p) => p.icon !== undefined && (p.joins === undefined || hasJoined(p.joins))),
)
function hasJoined(joins: NonNullable<Place['joins']>): boolean {
  if (joins === 'together') return sessions.hasAny
  if (joins === 'going') return cards.placed.length > 0 && moment.shows.some((s) => s.outlets.length > 1)
  return cards[joins].length > 0
}
/** On a phone the bar is pushed along once all have joined: where one is stays in sight. */
function showHere(): void {
  const here = bar.value?.querySelector<HTMLElement>('.here')
  if (here && bar.value)
    bar.value.scrollLeft = here.offsetLeft + (here.offsetWidth - bar.value.clientWidth) / 2
}
onMounted(showHere)
watch([() => route.name, () => screens.value.length], showHere, { flush: 'post' })
</script>

<template>
  <header class="bar flex items-center gap-x-4 border-b border-faint px-5 h-[52px] max-sm:px-3">
    <RouterLink
      to="/today"
      class="flex items-center gap-2.5 no-underline font-title font-bold text-16 rounded-control"
      aria-label="Lamp Reel, to Today"
    >
      <img src="/mark.svg" width="27" height="27" alt="" /><span class="max-lg:hidden whitespace-nowrap"
        >Lamp Reel</span
      >
    </RouterLink>
    <nav ref="bar" aria-label="Screens" class="screens flex gap-0.5">
      <RouterLink
        v-for="s in screens"
        :key="s.name"
        :to="{ name: s.name }"
        class="screen"
        active-class="here"
      >
        <component :is="s.icon" :size="20" class="sm:hidden" aria-hidden="true" /><span>{{ s.title }}</span>
      </RouterLink>
    </nav>
    <span v-if="library.world === 'demo'" class="flex items-center gap-2 text-12 text-ink-2 max-md:hidden">
      <span class="border border-dashed border-ring rounded-control px-2 py-0.5 whitespace-nowrap">Demo</span>
      <button
        v-if="library.demoOf"
        class="btn btn-small"
        :title="`It was laid out for ${sayDay(library.demoOf)}; what you did in it goes.`"
        @click="library.layDemoAnew()"
      >
        {{ library.progress?.what ?? 'Lay it out for today' }}
      </button>
      <button
        class="btn btn-small btn-bare underline underline-offset-2 whitespace-nowrap"
        @click="library.enter('own')"
      >
        Leave it
      </button>
    </span>
    <Capture class="ml-auto" />
    <RouterLink
      :to="{ name: 'settings' }"
      class="btn btn-bare px-1.5"
      active-class="bg-raised"
      aria-label="Settings"
      ><Gear :size="19"
    /></RouterLink>
  </header>
</template>

<style scoped>
.screen {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  padding: 5px 10px;
  border-radius: 6px;
  font-weight: 500;
  color: var(--ink-2);
  text-decoration: none;
}
.screen:hover {
  color: var(--ink);
}
.here {
  background: var(--raised);
  color: var(--ink);
}
@media (max-width: 1379px) {
  .screen {
    padding-inline: 7px;
  }
}
@media (max-width: 639px) {
  .screens {
    position: fixed;
    inset: auto 0 0;
    z-index: 30;
    overflow-x: auto;
    scrollbar-width: none;
    padding: 4px 6px calc(4px + env(safe-area-inset-bottom));
    background: var(--panel);
    border-top: 1px solid var(--line);
  }
  .screen {
    flex-direction: column;
    /* Once all have joined they do not fit beside each other: then the bar is pushed along. */
    flex: 1 0 50px;
    font-size: 11px;
    padding: 5px 1px;
  }
}
</style>

<style>
@media (max-width: 639px) {
  body {
    padding-bottom: 64px;
  }
}
</style>
