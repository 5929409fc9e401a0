<script setup lang="ts">
import { sayMoney } from '@core/partners/money'
import { sum } from 'd3-array'
import { computed } from 'vue'
import { supportLaunch } from '@core/commands/schedule'
import type { LaunchStanding, Supporter } from '@core/plan/launch'
import type { Launch } from '@core/records'
import { lastViews } from '@core/results/at-age'
import { daysBetween, sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { campaignSums } from '@core/partners/campaigns'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMade } from '@app/stores/made'
import { useMoment } from '@app/stores/moment'
import { useOut } from '@app/stores/out'
import Flag from '@app/ui/Flag.vue'
import { rewrite, typedIn } from '@app/ui/fields/event'

/** One launch: its line of time, what is missing around it, what it cost and brought, and how its episodes did. */
const { launch, standing, mine } = defineProps<{
  launch: Launch
  standing: LaunchStanding
  mine: readonly Supporter[]
}>()
const emit = defineEmits<{ edit: [] }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const made = useMade()
const out = useOut()
made.want()
function support(event: Event) {
  const episode = typedIn(event)
  if (episode === '') return
  void library.perform(supportLaunch, { launch: launch.id, episode, supports: true })
  rewrite(event)
}
/** Where days lie on its small line, from the beginning of its run-up to its end. */
function share(day: string): number {
  const { from, to } = standing.window
  return Math.max(0, Math.min(100, (100 * daysBetween(from, day)) / Math.max(1, daysBetween(from, to))))
}
const currency = computed(() => library.settings.currency ?? '')
const minutes = computed(() =>
  sum(mine, ({ episode }) => {
    const past = made.all.find((m) => m.episode.id === episode.id)
    return past?.minutes ?? sum(cards.cardOf(episode)?.steps ?? [], (s) => s.logged)
  }),
)
const campaigns = computed(() => [...library.tables.campaigns.values()].filter((c) => c.launch === launch.id))
const cost = computed(() => (launch.cost ?? 0) + campaignSums(campaigns.value).spent)
const money = computed(() => {
  const { earned } = launch
  const say = (n: number) => sayMoney(n, currency.value)
  return [
    cost.value > 0 ? `cost ${say(cost.value)}` : '',
    earned === undefined ? '' : `brought ${say(earned)}`,
    earned === undefined || cost.value === 0 ? '' : `${say(earned - cost.value)} left`,
    minutes.value > 0 ? `${sayMinutes(minutes.value)} of work` : '',
  ].filter(Boolean)
})
/** How its episodes did that are out. */
const results = computed(() =>
  mine.flatMap((s) => {
    if (s.episode.phase.kind !== 'released') return []
    const views = lastViews(s.episode)
    const row = out.rows.find((r) => r.episode.id === s.episode.id)
    return views ? [{ ...s, views, times: row?.times }] : []
  }),
)
</script>

<template>
  <li class="px-4 py-3 grid gap-x-6 gap-y-2 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
    <div class="min-w-0">
      <p>
        <button class="font-semibold underline decoration-dotted underline-offset-2" @click="emit('edit')">
          {{ launch.name }}</button>{{ ' ' }}
        <span class="sub"
          >{{ sayDay(launch.from, moment.today) }} to {{ sayDay(launch.to, moment.today) }},
          {{ sayAway(launch.from, moment.today) }}</span
        >
      </p>
      <div
        class="relative h-[22px] mt-2 border-t border-line"
        role="img"
        :aria-label="`Run-up from ${sayDay(standing.window.from)}, ${standing.support} of ${launch.wanted} episodes within it`"
      >
        <span
          class="absolute top-0 h-[7px] bg-ink-3"
          :style="{ left: `${share(launch.from)}%`, right: '0' }"
        /><span
          v-for="s in mine.filter((m) => m.release)"
          :key="s.episode.id"
          class="absolute -top-[5px] w-[9px] h-[9px] rounded-full border-2 border-ink bg-panel -ml-[4px]"
          :style="{ left: `${share(s.release ?? '')}%` }"
          :title="`${s.number} ${s.title}`"
        /><span class="absolute top-[7px] left-0 text-11 text-ink-2 leading-[14px]"
          >run-up {{ sayDay(standing.window.from) }}</span
        >
      </div>
      <p v-if="money.length > 0" class="sub mt-1">{{ money.join(', ') }}</p>
    </div>
    <div class="min-w-0">
      <p v-for="m in standing.missing" :key="m" class="text-12"><Flag :size="9" />{{ m }}</p>
      <p v-if="standing.missing.length === 0" class="text-12">
        Nothing is missing: {{ standing.support }}
        {{ standing.support === 1 ? 'episode leads' : 'episodes lead' }} up to it.
      </p>
      <p v-for="r in results" :key="r.episode.id" class="text-12">
        <span class="num">{{ r.number }}</span> {{ r.views.views.toLocaleString('en') }} views after
        {{ r.views.age }} days<template v-if="r.times"
          >, {{ r.times.toFixed(1) }}× the usual at a week</template
        >
      </p>
      <p class="flex flex-wrap gap-x-3 gap-y-1 items-center mt-1">
        <span v-for="s in mine" :key="s.episode.id" class="text-12"
          ><span class="num">{{ s.number }}</span> {{ s.title }}
          <button
            class="text-ink-2"
            :aria-label="`${s.title} no longer supports it`"
            @click="
              library.perform(supportLaunch, { launch: launch.id, episode: s.episode.id, supports: false })
            "
          >
            ×
          </button></span
        >
        <select
          class="field w-auto text-12 min-h-[28px] py-0.5"
          :aria-label="`An episode that supports ${launch.name}`"
          @change="support"
        >
          <option value="">Add an episode…</option>
          <option
            v-for="c in cards.working.filter((w) => !launch.episodes.includes(w.episode.id))"
            :key="c.episode.id"
            :value="c.episode.id"
          >
            {{ c.number }} {{ c.title }}
          </option>
        </select>
      </p>
    </div>
  </li>
</template>
