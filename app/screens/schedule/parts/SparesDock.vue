<script setup lang="ts">
import { useRouter } from 'vue-router'
import { sixLamps } from '@core/recipe/progress'
import type { Show } from '@core/records'
import { useCards } from '@app/stores/cards'
import { useSchedule } from '@app/stores/schedule'
import { vCarries } from '@app/ui/drag/carry'
import Glyph from '@app/ui/Glyph.vue'
import { carriedEpisode } from '../carried'

/** What has no date yet, and ready episodes kept for a bad week, to be carried onto an open slot. */
const { show } = defineProps<{ show: Show | undefined }>()
const cards = useCards()
const schedule = useSchedule()
const router = useRouter()
</script>

<template>
  <aside class="panel p-3 grid gap-3" aria-label="Without a date, and spares">
    <template v-if="cards.unplaced.length > 0">
      <h2>
        Without a date <span class="num font-normal">{{ cards.unplaced.length }}</span>
      </h2>
      <ul class="grid gap-2 border-b border-faint pb-3">
        <li v-for="c in cards.unplaced" :key="c.episode.id">
          <button
            v-carries="carriedEpisode(c)"
            class="flex gap-2 items-center text-left w-full"
            :aria-label="`${c.title}, no date, at ${c.standing.where?.stage.name ?? 'ready'}. Drag it onto an open slot`"
            @click="router.push({ name: 'episode', params: { code: c.episode.code } })"
          >
            <Glyph :size="24" :lamps="sixLamps(c.standing)" :name="c.title" /><span class="text-12"
              >{{ c.title }}<span class="sub block">{{ c.standing.where?.stage.name ?? 'ready' }}</span></span
            >
          </button>
        </li>
      </ul>
    </template>
    <h2>
      Spares <span class="num font-normal">{{ cards.spares.length }}</span>
    </h2>
    <ul class="grid gap-2">
      <li v-for="c in cards.spares" :key="c.episode.id">
        <button
          v-carries="carriedEpisode(c)"
          class="flex gap-2 items-center text-left w-full"
          :aria-label="`${c.title}, spare, ${c.standing.ready ? 'ready' : 'on its way'}. Drag it onto an open slot`"
          @click="router.push({ name: 'episode', params: { code: c.episode.code } })"
        >
          <Glyph :size="24" :lamps="sixLamps(c.standing)" :name="c.title" /><span class="text-12"
            >{{ c.title }}<span class="sub block">{{ c.standing.ready ? 'ready' : 'on its way' }}</span></span
          >
        </button>
      </li>
    </ul>
    <p v-if="cards.spares.length === 0" class="sub">
      A ready, evergreen episode kept off the schedule for a bad week stands here.
    </p>
    <p v-if="show" class="sub border-t border-faint pt-2">
      <strong class="text-ink">{{ schedule.readyRun(show).run }}</strong> of {{ show.readyAhead }} ready ahead
    </p>
  </aside>
</template>
