<script setup lang="ts">
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayTime } from '@core/script/timecode'
import type { Today } from '@core/views/today'
import { useMoment } from '@app/stores/moment'

/** Scripts that are being written, with their running time against the aim. */
const { scripts } = defineProps<{ scripts: Today['scripts'] }>()
const moment = useMoment()
</script>

<template>
  <section aria-labelledby="desk">
    <div class="flex items-baseline mb-2">
      <h2 id="desk" class="flex-1">Scripts on the desk</h2>
      <RouterLink to="/scripts" class="sub">all scripts</RouterLink>
    </div>
    <ul class="panel divide-y divide-faint">
      <li v-for="s in scripts" :key="s.card.episode.id">
        <RouterLink
          :to="{ name: 'episode', params: { code: s.card.episode.code, stage: 'script' } }"
          class="flex items-center gap-3 px-4 py-2 no-underline hover:bg-raised"
          ><span class="flex-1 min-w-0"
            ><span class="block font-semibold truncate"
              >{{ s.card.title }} <span class="num font-normal">{{ s.card.number }}</span></span
            ><span class="sub block"
              >{{
                s.figures.words === 0
                  ? 'not begun'
                  : `${s.figures.blank} ${s.figures.blank === 1 ? 'beat' : 'beats'} unwritten`
              }}<template v-if="s.due"
                >, due {{ sayDay(s.due) }}, {{ sayAway(s.due, moment.today) }}</template
              ></span
            ></span
          ><span class="text-right"
            ><span class="num text-14 text-ink">{{ sayTime(s.figures.seconds) }}</span
            ><br /><span class="sub"
              >aim {{ s.card.show.aim.from }} to {{ s.card.show.aim.to }} min</span
            ></span
          ></RouterLink
        >
      </li>
    </ul>
  </section>
</template>
