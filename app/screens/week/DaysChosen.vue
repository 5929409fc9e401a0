<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { placeOnSlot, takeOff } from '@core/commands/schedule'
import { setDays } from '@core/commands/week'
import type { Outlook } from '@core/plan/outlook'
import type { Day } from '@core/records'
import type { Change } from '@core/commands/change'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useSchedule } from '@app/stores/schedule'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import NumberField from '@app/ui/fields/NumberField.vue'
import { useChance } from './forecast/chance'
import OutlookShift from './forecast/OutlookShift.vue'

/**
 * Days chosen together: lost, or with other hours; what it does to the releases, and what would mend that,
 * before anything is written.
 */
const { days } = defineProps<{ days: Day[] }>()
const emit = defineEmits<{ done: [] }>()
const library = useLibrary()
const cards = useCards()
const schedule = useSchedule()
const plan = usePlan()
const chance = useChance()
const hours = ref(4)
const looking = ref<'lost' | 'hours'>('lost')
interface Mend {
  name: string
  after: Outlook | undefined
  act: () => Promise<unknown>
}
interface Break {
  card: Card
  before: Outlook
  after: Outlook
  mends: Mend[]
}
const breaks = shallowRef<Break[]>()
let turn = 0
async function look() {
  const mine = ++turn
  const minutes = looking.value === 'lost' ? 0 : Math.round(hours.value * 60)
  const change = library.look(setDays, { days, minutes })
  const after = await plan.afterwards(change)
  if (mine !== turn) return
  const found = [...plan.outlooks.values()]
    .flatMap((before): Break[] => {
      const next = after.get(before.episode)
      const card = cards.card(before.episode)
      return next && card && Math.abs(next.chance - before.chance) >= 0.005
        ? [{ card, before, after: next, mends: [] }]
        : []
    })
    .sort((a, b) => (a.before.release < b.before.release ? -1 : 1))
  breaks.value = found
  // Ways out for what gets worse, with the days already lost.
  for (const b of found
    .filter((x) => x.after.is !== 'on track' && x.after.chance < x.before.chance)
    .slice(0, 3)) {
    const mends = await mendsOf(b, change)
    if (mine !== turn) return
    breaks.value = breaks.value.map((x) => (x.card === b.card ? { ...x, mends } : x))
  }
}
async function mendsOf(b: Break, change: readonly Change[]): Promise<Mend[]> {
  const list: Mend[] = []
  const { card } = b
  const { place } = card.episode
  const next = schedule.openOf(card.show, 12).find((s) => s.day > b.before.release)
  if (next) {
    const move = library.look(placeOnSlot, { episode: card.episode.id, day: next.original }, change)
    list.push({
      name: `move it to ${sayDay(next.day)}`,
      after: (await plan.afterwards([...change, ...move])).get(card.episode.id),
      act: () => library.perform(placeOnSlot, { episode: card.episode.id, day: next.original }, 'quietly'),
    })
  }
  const spare = cards.spares.find((x) => x.show.id === card.show.id && x.standing.ready)
  if (spare && place.kind === 'slot')
    list.push({
      name: `send the spare “${spare.title}”`,
      after: undefined,
      act: async () => {
        const off = await library.perform(takeOff, { episode: card.episode.id }, 'quietly')
        if (off.ok)
          await library.perform(placeOnSlot, { episode: spare.episode.id, day: place.day }, 'quietly')
      },
    })
  return list
}
watch(
  [() => days.join(), looking, hours],
  () => {
    void look()
  },
  { immediate: true },
)
async function set(minutes: number | undefined, mend?: Mend) {
  const done = await library.perform(setDays, { days, minutes }, mend ? 'quietly' : 'aloud')
  if (done.ok && mend) {
    await mend.act()
    library.say(
      `${days.length === 1 ? 'The day is' : 'The days are'} set, and: ${mend.name}. Each is a step of undo.`,
    )
  }
  if (done.ok) emit('done')
}
const minutes = computed(() => (looking.value === 'lost' ? 0 : Math.round(hours.value * 60)))
</script>

<template>
  <section class="panel border-ring p-3 mb-3" aria-label="Days chosen">
    <div class="flex flex-wrap items-center gap-3">
      <strong class="flex-1 min-w-[180px]">{{
        [...days]
          .sort()
          .map((d) => sayDay(d))
          .join(', ')
      }}</strong>
      <button class="btn btn-small" @mouseenter="looking = 'lost'" @focus="looking = 'lost'" @click="set(0)">
        Lost, no hours
      </button>
      <span class="flex items-center gap-1.5"
        ><button
          class="btn btn-small"
          @focus="looking = 'hours'"
          @mouseenter="looking = 'hours'"
          @click="set(Math.round(hours * 60))"
        >
          {{ hours }} h each</button
        ><NumberField
          v-model="hours"
          field="field num w-[64px] min-h-[28px] py-0"
          label="Hours on each day chosen"
          hidden
          eager
          :min="0"
          :max="24"
          :step="0.5"
          @focusin="looking = 'hours'"
      /></span>
      <button class="btn btn-small" @click="set(undefined)">The usual hours</button
      ><button class="btn btn-bare btn-small" @click="emit('done')">None</button>
    </div>
    <p class="sub mt-1">{{ looking === 'lost' ? 'If they are lost' : `With ${hours} h each` }}:</p>
    <ul v-if="breaks" class="grid gap-1 text-12" aria-label="What it does to the releases">
      <li v-for="b in breaks" :key="b.card.episode.id" class="flex flex-wrap items-center gap-x-2 gap-y-1">
        <span
          ><span class="num">{{ b.card.number }}</span> {{ b.card.title }}:
          <OutlookShift :before="b.before" :after="b.after" /></span
        ><button
          v-for="m in b.mends"
          :key="m.name"
          class="btn btn-small min-h-[24px] text-11"
          @click="set(minutes, m)"
        >
          and {{ m.name
          }}<template v-if="m.after"
            >: {{ m.after.is }} <span class="num">{{ chance.say(m.after) }}</span></template
          >
        </button>
      </li>
      <li v-if="breaks.length === 0" class="text-ink-2">No release changes by it.</li>
    </ul>
    <p v-else class="sub">Looking at the releases…</p>
  </section>
</template>
