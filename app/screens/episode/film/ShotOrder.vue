<script setup lang="ts">
import { computed, ref } from 'vue'
import { planShots, writeScript } from '@core/commands/episode'
import { changeCosts } from '@core/plan/shots'
import { sayMinutes } from '@core/script/timecode'
import type { ShotPlan } from '@core/records'
import { shotsOf } from '@core/session/items'
import { shotList } from '@core/views/shot-list'
import type { Card } from '@core/views/card'
import { remembered } from '@app/stores/remembered'
import { useLibrary } from '@app/stores/library'
import { useShotOrder } from '@app/stores/shot-order'
import type { Item } from '@core/session/items'
import type { SetUp } from '@core/session/order'
import { firstRows, useGradually } from '@app/ui/gradually'
import Flag from '@app/ui/Flag.vue'
import TimeField from '@app/ui/fields/TimeField.vue'
import { knownPlans, minutesBetween } from './shot-plans'
import PlanFields from './PlanFields.vue'
import ShotRow from './ShotRow.vue'

/** The shots of an episode in the order in which least is changed between them, by set-up; ticked as they are got. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const clock = (key: string, usual: string) =>
  remembered(`lamp-reel.filming-${key}`, usual, (kept) => (typeof kept === 'string' ? kept : undefined))
const begins = clock('begins', '10:00')
const lightEnds = clock('light', '')
const light = computed(() =>
  lightEnds.value === '' ? Infinity : minutesBetween(begins.value, lightEnds.value),
)
const day = computed(() => ({ costs: changeCosts([card.show]), light: light.value }))
const shots = computed(() => shotsOf(card))
const { order } = useShotOrder(
  () => shots.value.map((i) => i.shot),
  () => day.value,
)
const list = computed(() => shotList(shots.value, order.value, day.value))
const drawn = useGradually(() => shots.value.length)
const shown = computed(() => firstRows<Item, SetUp>(list.value.setUps, drawn.value))
const got = computed(() => shots.value.filter((s) => s.got).length)
const wantsLight = computed(() => shots.value.some((s) => s.shot.daylight))
const saved = computed(() => list.value.before.minutes - list.value.now.minutes)
/** What is known of places, framings, light and clothes, over the show's scripts. */
const known = computed(() => knownPlans(library.tables, card.show.id))
const open = ref<string>()
const episode = computed(() => card.episode.id)
function tick(cue: string, on: boolean) {
  void library.perform(
    writeScript,
    { episode: episode.value, wish: { kind: 'get cue', cue, got: on } },
    'quietly',
  )
}
function plan(shots: string[], to: Partial<ShotPlan>) {
  void library.perform(planShots, { episode: episode.value, shots, to }, 'quietly')
}
/** Puts a shot over its neighbour; there it stays. */
function move(cue: string, by: -1 | 1) {
  const row = list.value.now.order
  const at = row.indexOf(cue)
  const rest = row.toSpliced(at, 1)
  const to = at + by
  if (to < 0 || to > rest.length) return
  void library.perform(planShots, {
    episode: episode.value,
    shots: [cue],
    to: { behind: rest[to - 1] ?? '' },
  })
}
</script>

<template>
  <section class="mb-5" aria-labelledby="to-film">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1 mb-1">
      <h2 id="to-film">{{ card.show.kind === 'audio' ? 'To record' : 'To film' }}</h2>
      <p class="num">{{ got }} of {{ shots.length }}</p>
      <span class="flex-1" /><slot />
    </div>
    <p v-if="list.setUps.length > 1" class="sub mb-2">
      {{ list.now.changes }} {{ list.now.changes === 1 ? 'change' : 'changes' }} of set-up<template
        v-if="saved > 0"
        >, {{ list.before.changes }} in the order of the script; saves {{ sayMinutes(saved) }}</template
      ><template v-if="list.now.dark.length > 0"
        >. <Flag /><span class="late">{{ list.now.dark.length }} after the light</span></template
      >
    </p>
    <div v-if="wantsLight" class="flex gap-3 mb-2">
      <TimeField v-model="begins" label="Filming begins" required /><TimeField
        v-model="lightEnds"
        label="Light ends"
      />
    </div>
    <section
      v-for="({ group: s, items }, i) in shown"
      :key="i"
      class="mb-3"
      :aria-label="s.name || 'Set-up not said'"
    >
      <h3 class="flex gap-3 text-14 mb-1">
        <span class="flex-1" :class="s.name ? '' : 'text-ink-2 font-normal'">{{
          s.name || 'Where and how is not said yet'
        }}</span><span class="num font-normal"
          >{{ s.got }} of {{ s.items.length }} · {{ sayMinutes(s.minutes) }}</span
        ><button
          v-if="s.items.length > 1"
          class="btn btn-bare btn-small px-1.5 font-normal"
          :aria-expanded="open === `all ${i}`"
          :aria-label="`How all ${s.items.length} of ${s.name || 'these'} are filmed`"
          @click="open = open === `all ${i}` ? undefined : `all ${i}`"
        >
          ⋯
        </button>
      </h3>
      <PlanFields
        v-if="open === `all ${i}`"
        class="mb-3"
        :of="s.items"
        :known="known"
        :others="[]"
        @plan="
          plan(
            s.items.map((x) => x.id),
            $event,
          )
        "
      />
      <ul class="panel divide-y divide-faint">
        <ShotRow
          v-for="c in items"
          :key="c.id"
          :of="c"
          :known="known"
          :others="shots"
          :dark="list.now.dark.includes(c.id)"
          :open="open === c.id"
          @tick="tick(c.id, $event)"
          @open="open = open === c.id ? undefined : c.id"
          @move="move(c.id, $event)"
          @plan="plan([c.id], $event)"
        />
      </ul>
    </section>
  </section>
</template>
