<script setup lang="ts">
import { sayAway, sayDay } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import type { Today } from '@core/views/today'
import { useMoment } from '@app/stores/moment'

/** What lies with helpers, since when, and what they ask. */
const { jobs } = defineProps<{ jobs: Today['jobs'] }>()
const whats = { cut: 'the cut', release: 'the hand-over', review: 'a look at the cut' } as const
const moment = useMoment()
const dayOf = (at: string) => dayAt(Date.parse(at), moment.zone)
</script>

<template>
  <section aria-labelledby="with-helpers">
    <h2 id="with-helpers" class="mb-2">With helpers</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="j in jobs" :key="j.job.id">
        <RouterLink
          :to="
            j.job.kind !== 'release'
              ? { name: 'episode', params: { code: j.card.episode.code, stage: j.stage } }
              : { name: 'release' }
          "
          class="flex items-center gap-3 px-4 py-2 no-underline hover:bg-raised"
        >
          <span class="flex-1 min-w-0"
            ><span class="block font-semibold truncate">{{ j.job.who }}</span
            ><span class="sub block truncate"
              >{{ whats[j.job.kind] }}, <span class="num">{{ j.card.number }}</span><template v-if="j.says"
                >, {{ j.says }}</template
              ></span
            ><span v-if="j.question" class="block truncate">asks: “{{ j.question }}”</span></span
          ><span class="text-right text-12"
            ><span class="text-sea font-medium">{{
              sayAway(dayOf(j.job.given), moment.today).replace(' ago', '')
            }}</span
            ><br /><span class="text-ink-2">since {{ sayDay(dayOf(j.job.given)) }}</span></span
          >
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
