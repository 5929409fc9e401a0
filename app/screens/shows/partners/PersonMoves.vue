<script setup lang="ts">
import { computed } from 'vue'
import { usualDays } from '@core/helpers/jobs'
import { sayWhen, type PersonMove } from '@core/partners/moves'
import { sayDay } from '@core/rhythm/days'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePartners, type PersonHere } from '@app/stores/partners'
import { titleOf } from '@core/release/parts'

/** What lies with somebody and since when, with the days that they usually take. */
const { of } = defineProps<{ of: PersonHere }>()
const moment = useMoment()
const partners = usePartners()
const library = useLibrary()
const theirs = computed(() => of.moves.filter((m) => m.deed.kind !== 'visit'))
/** Where what lies with them is looked at: its step's stage, else the edit. */
const stageOf = ({ deed }: PersonMove) =>
  (deed.kind === 'step' ? library.tables.steps.get(deed.step)?.stage : undefined) ?? 'edit'
const usual = computed(() => usualDays(of.known.jobs))
const isHelper = computed(() => of.known.jobs.length + of.known.owns.length > 0)
const past = computed(() =>
  of.known.jobs
    .filter((j) => j.back !== undefined)
    .sort((a, b) => ((a.back ?? '') < (b.back ?? '') ? 1 : -1))
    .slice(0, 6)
    .map((j) => {
      const days = Math.round((Date.parse(j.back ?? j.given) - Date.parse(j.given)) / 86_400_000)
      const e = library.tables.episodes.get(j.episode)
      return { job: j, days, number: e ? partners.numberOf(e) : '' }
    }),
)
const most = computed(() => Math.max(1, ...past.value.map((p) => p.days)))
</script>

<template>
  <section v-if="isHelper || theirs.length > 0" class="grid gap-3" aria-labelledby="desk">
    <h3 id="desk" class="font-title font-semibold">
      {{ theirs.length === 0 ? 'Nothing lies with them' : 'On their desk' }}
    </h3>
    <ul v-if="theirs.length > 0" class="panel divide-y divide-faint">
      <li v-for="(m, i) in theirs" :key="i" class="px-4 py-2 flex flex-wrap items-baseline gap-x-3">
        <span class="flex-1"
          >{{ m.what
          }}<span v-if="m.episode" class="sub">
            · {{ partners.numberOf(m.episode) }} {{ titleOf(m.episode) }}</span
          ></span
        ><span :class="m.who === 'they' ? 'text-sea' : ''">{{ sayWhen(m, moment.today) }}</span>
        <RouterLink
          v-if="m.episode"
          class="btn btn-small"
          :to="{ name: 'episode', params: { code: m.episode.code, stage: stageOf(m) } }"
          >{{ m.who === 'you' ? 'See it' : 'Open' }}</RouterLink
        >
      </li>
    </ul>
    <p v-if="usual">
      They usually take <strong>{{ usual.days }} {{ usual.days === 1 ? 'day' : 'days' }}</strong
      >, the middle of {{ usual.of }} that came back.
    </p>
    <ul v-if="past.length > 0" class="grid gap-1 max-w-[520px]" aria-label="What came back">
      <li
        v-for="p in past"
        :key="p.job.id"
        class="grid grid-cols-[120px_minmax(0,1fr)_44px] gap-2 items-center text-12"
      >
        <span class="num text-ink-2"
          >{{ p.number }}{{ ' ' }}<span>{{ sayDay(moment.dayOn(p.job.given), moment.today) }}</span></span
        >
        <span class="h-[8px] rounded-full bg-ink-3" :style="{ width: `${(100 * p.days) / most}%` }" />
        <span class="num text-right">{{ p.days }} d</span>
      </li>
    </ul>
  </section>
</template>
