<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { CalendarPlus, ChevronLeft, ChevronRight } from '@lucide/vue'
import { startStep, stopStep } from '@core/commands/work'
import {
  joinBlocks,
  layEpisode,
  layOnDay,
  leftToToday,
  orderDay,
  pinBlock,
  splitBlock,
  takeOffDay,
  takePlan,
} from '@core/commands/week'
import type { Outlook } from '@core/plan/forecast'
import { occurrencesOf } from '@core/plan/standing'
import { gains } from '@core/plan/work'
import { weekRows, type Shown, type WeekStep } from '@core/views/week'
import type { Day, Id, PlannedBlock, Standing } from '@core/records'
import { addDays, sayAway, sayDay, weekday } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useBoard } from '@app/stores/board'
import type { Card } from '@core/views/card'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { weekKeys } from './keymap'
import Flag from '@app/ui/Flag.vue'
import { stepGoal } from '../episode/steps'
import DaysChosen from './DaysChosen.vue'
import DayRow from './DayRow.vue'
import { vCarries, type Carried } from '@app/ui/drag/carry'

const BlockSheet = defineAsyncComponent(() => import('./BlockSheet.vue'))
const BusySheet = defineAsyncComponent(() => import('./BusySheet.vue'))
const PullSheet = defineAsyncComponent(() => import('./PullSheet.vue'))
const StandingSheet = defineAsyncComponent(() => import('./StandingSheet.vue'))

/**
 * The week: days as rows as long as their hours, steps as blocks as long as their minutes. Solid is laid by
 * hand or taken from a plan, dashed what planning would add.
 */
const library = useLibrary()
const board = useBoard()
const dialogs = useDialogs()
const plan = usePlan()
const router = useRouter()
plan.want()

const offset = ref(0)
const monday = computed(() => addDays(board.today, -weekday(board.today) + offset.value * 7))
const days = computed(() => Array.from({ length: 7 }, (_, i) => addDays(monday.value, i)))
const picked = ref(new Set<Day>())

const stored = computed(
  () =>
    new Map<string, PlannedBlock>(
      board.working.flatMap((c) =>
        c.steps.flatMap((s) => s.blocks.map((b) => [`${s.id} ${b.day}`, b] as const)),
      ),
    ),
)
const storedKeys = computed(() => new Set(stored.value.keys()))
const inPlan = computed(() => new Set(plan.proposal?.of.tasks.map((t) => t.id)))
const weekSteps = computed(
  () =>
    new Map<Id, WeekStep>(
      [...board.stepIn].map(([id, { state }]) => [id, { step: state.step, needs: state.needs }]),
    ),
)
/** The plan as it stands; a proposed one takes the place of what it is about. */
const blocks = computed(() =>
  plan.proposal
    ? [...board.load.blocks.filter((b) => !inPlan.value.has(b.id)), ...plan.proposal.plan.blocks]
    : board.load.blocks,
)
const rowsOf = (of: readonly Day[]) =>
  weekRows({
    days: of,
    today: board.today,
    zone: board.zone,
    hours: board.hours,
    blocks: blocks.value,
    steps: weekSteps.value,
    occurrences: occurrencesOf(
      library.records.standing.values(),
      of[0] ?? board.today,
      of.at(-1) ?? board.today,
    ),
    busy: [...library.records.busy.values()].sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : 1)),
    running: library.settings.running?.step,
  })
const rows = computed(() => rowsOf(days.value))
const shownBlocks = computed(() => rows.value.flatMap((r) => r.mine))
/** Pixels a minute: the longest day fits. */
const scale = computed(() => 560 / Math.max(240, ...rows.value.map((r) => Math.max(r.room, r.used))))
const left = computed(() => board.leftOver.map(({ card, state }) => ({ card, step: state.step })))
/** Blocks that lie before what they need: their work is planned after it. */
const broken = computed(() =>
  board.load.broken.flatMap((b) => {
    const found = board.stepIn.get(b.id)
    return found ? [{ ...b, ...found }] : []
  }),
)
const undated = computed(() =>
  board.unplaced
    .flatMap((c) =>
      c.standing.steps
        .filter((s) => !s.done && s.step.blocks.length === 0)
        .map((state) => ({ card: c, state })),
    )
    .slice(0, 14),
)
const totals = computed(() => ({
  room: rows.value.filter((r) => !r.past).reduce((s, r) => s + board.figuresOf(r.day).left, 0),
  laid: rows.value
    .flatMap((r) => r.mine)
    .filter((b) => b.kind === 'laid' || b.kind === 'pinned')
    .reduce((s, b) => s + b.minutes, 0),
  would: rows.value
    .flatMap((r) => r.mine)
    .filter((b) => b.kind === 'would')
    .reduce((s, b) => s + b.minutes, 0),
}))
const out = computed(() =>
  board.coming.slice(0, 9).map((card) => ({ card, outlook: plan.outlooks.get(card.episode.id) })),
)
const stepOf = (id: Id) => board.stepIn.get(id)
const pulling = ref<{ day: Day; free: number }>()
const laterBlocks = computed(() => board.load.blocks)
function pull(what: { step: Id; from: Day; minutes: number }) {
  const day = pulling.value?.day
  pulling.value = undefined
  if (day) void lay(what.step, day, what.from, what.minutes)
}

function lay(step: Id, day: Day, from: Day | undefined, minutes: number) {
  return library.perform(layOnDay, {
    step,
    day,
    from: storedKeys.value.has(`${step} ${from ?? ''}`) ? from : undefined,
    minutes,
  })
}
function layWhole(episode: Id) {
  return library.perform(layEpisode, {
    episode,
    monday: monday.value,
    hours: board.hours,
  })
}
/** Blocks of a day in another order: one before another, or one place earlier or later. */
function ordered(day: Day, step: Id, to: (at: number, row: Shown[]) => number) {
  const row = (rows.value.find((r) => r.day === day)?.mine ?? []).filter((b) => b.kind !== 'done')
  const at = row.findIndex((b) => b.step === step)
  const [one] = row.splice(at, 1)
  if (at < 0 || !one) return
  row.splice(Math.max(0, Math.min(row.length, to(at, row))), 0, one)
  void library.perform(orderDay, { day, row: row.map((b) => ({ step: b.step, minutes: b.minutes })) })
}
/** A day takes work and whole episodes; a block of it takes work of the same day, to stand before it. */
function dropped(carried: Carried, day: Day) {
  if (carried.kind === 'episode') void layWhole(carried.id)
  if (carried.kind === 'work' && carried.day !== day)
    void lay(carried.step, day, carried.day, carried.minutes)
}
function droppedOn(carried: Carried, b: Shown) {
  if (carried.kind === 'work')
    ordered(b.day, carried.step, (_at, row) => row.findIndex((x) => x.step === b.step))
}
const episodeOf = (card: Card): Carried => ({
  kind: 'episode',
  id: card.episode.id,
  show: card.show.id,
  label: card.title,
})
const focused = (): Shown | undefined =>
  shownBlocks.value.find(
    (b) =>
      b.kind !== 'done' &&
      b.key ===
        (document.activeElement instanceof HTMLElement ? document.activeElement.dataset['block'] : undefined),
  )
async function shift(by: 1 | -1) {
  const b = focused()
  if (!b) return
  const day = addDays(b.day, by)
  const moved = await lay(b.step, day, b.day, b.minutes)
  if (!moved.ok) return
  if (!days.value.includes(day)) offset.value += by
  await nextTick()
  document.querySelector<HTMLElement>(`[data-block="${CSS.escape(`${b.step} ${day}`)}"]`)?.focus()
}
function step(by: 1 | -1) {
  const all = [...document.querySelectorAll<HTMLElement>('[data-block]')]
  const at = all.findIndex((x) => x === document.activeElement)
  all[at < 0 ? 0 : Math.min(all.length - 1, Math.max(0, at + by))]?.focus()
}
/** A dashed block of a proposal is chosen or not; any other is gone to. */
function press(b: Shown) {
  if (plan.proposal && b.kind === 'would' && inPlan.value.has(b.step)) choose(b.key)
  else open(b.step)
}
function open(id: Id) {
  const found = stepOf(id)
  if (found)
    void router.push({
      name: 'episode',
      params: { code: found.card.episode.code, stage: stepGoal(found.card, found.state.step) },
    })
}
async function split(b: Shown) {
  await library.perform(splitBlock, { step: b.step, day: b.day, minutes: b.minutes, to: addDays(b.day, 1) })
}
async function pin(b: Shown) {
  if (storedKeys.value.has(b.key))
    await library.perform(pinBlock, { step: b.step, day: b.day, pinned: b.kind !== 'pinned' })
  else await lay(b.step, b.day, undefined, b.minutes)
}
function join(b: Shown) {
  void library.perform(joinBlocks, { step: b.step, day: b.day })
}
const acting = ref<Shown>()
function act(what: 'open' | 'pin' | 'split' | 'join' | 'off' | 'timer') {
  const b = acting.value
  acting.value = undefined
  if (!b) return
  switch (what) {
    case 'open':
      open(b.step)
      return
    case 'pin':
      void pin(b)
      return
    case 'split':
      void split(b)
      return
    case 'join':
      join(b)
      return
    case 'off':
      void library.perform(takeOffDay, { step: b.step, day: b.day })
      return
    case 'timer':
      timer(b.step)
  }
}
const standing = ref<{ work?: Standing; day?: Day }>()
const busyOpen = ref(false)
function timer(id: Id) {
  if (library.settings.running?.step === id) void library.perform(stopStep, {})
  else void library.perform(startStep, { step: id })
}
/** What a key does to the block in focus; without one the key is left to others. */
const onFocused = (act: (b: Shown) => unknown) => () => {
  const b = focused()
  if (!b) return false
  act(b)
  return true
}
useKeymap(weekKeys, {
  go: ({ which }) => {
    step(which === 0 ? -1 : 1)
  },
  day: ({ which }) => {
    void shift(which === 0 ? -1 : 1)
  },
  order: ({ which }) =>
    onFocused((b) => {
      const { key } = b
      ordered(b.day, b.step, (at) => at + (which === 0 ? -1 : 1))
      void nextTick(() => document.querySelector<HTMLElement>(`[data-block="${CSS.escape(key)}"]`)?.focus())
    })(),
  join: onFocused(join),
  pin: () => {
    const b = focused()
    if (b) void pin(b)
    else void propose()
  },
  split: onFocused(split),
  off: onFocused((b) => library.perform(takeOffDay, { step: b.step, day: b.day })),
  timer: onFocused((b) => {
    timer(b.step)
  }),
})

const scope = ref<'week' | 'all'>('all')
const chosen = ref(new Set<string>())
function propose() {
  chosen.value = new Set()
  return plan.propose(scope.value === 'week' ? addDays(monday.value, 6) : undefined)
}
/** Why the block that is pointed at stands where the proposal has it. */
const reason = ref('')
function explain(b: Shown) {
  const found = stepOf(b.step)
  reason.value =
    plan.proposal && b.kind === 'would' && found
      ? `${found.state.step.name}, ${found.card.number}: ${plan.reason({ id: b.step, day: b.day, minutes: b.minutes })}`
      : ''
}
const won = computed(() => (plan.proposal ? gains(plan.proposal.before, plan.proposal.plan.score) : []))
async function take(only: boolean) {
  const p = plan.proposal
  if (!p) return
  const mine = p.plan.blocks.filter((b) => !b.fixed && (!only || chosen.value.has(`${b.id} ${b.day}`)))
  const done = await library.perform(takePlan, { blocks: mine })
  if (done.ok) plan.forget()
}
function choose(key: string) {
  const next = new Set(chosen.value)
  if (next.has(key)) next.delete(key)
  else next.add(key)
  chosen.value = next
}

function toggle(day: Day) {
  const next = new Set(picked.value)
  if (next.has(day)) next.delete(day)
  else next.add(day)
  picked.value = next
}
const percent = (o: Outlook | undefined) =>
  o && o.is !== 'too far ahead' ? `${Math.round(o.chance * 100)} %` : ''
/** What a plan leaves worse, by name. */
const worse = computed(() =>
  (plan.proposal?.worse ?? []).map(({ episode, chance: [was, is], inHand: [had, has] }) => {
    const chance = is < was - 0.02 ? `${Math.round(was * 100)} → ${Math.round(is * 100)} %` : ''
    const days = had !== undefined && has !== had ? `${had} → ${has ?? 'no'} days in hand` : ''
    return `${board.card(episode)?.number ?? ''} ${[chance, days].filter(Boolean).join(', ')}`
  }),
)
</script>

<template>
  <div
    class="mx-auto max-w-[1360px] px-5 py-4 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_272px] max-sm:px-3"
  >
    <div class="min-w-0">
      <header class="flex flex-wrap items-center gap-x-3 gap-y-2 mb-3">
        <h1>Week of {{ sayDay(monday).replace(/^\w+ /, '') }}</h1>
        <span class="flex"
          ><button class="btn btn-bare btn-small px-1" aria-label="The week before" @click="offset--">
            <ChevronLeft :size="17" /></button
          ><button v-if="offset !== 0" class="btn btn-bare btn-small" @click="offset = 0">This week</button
          ><button class="btn btn-bare btn-small px-1" aria-label="The week after" @click="offset++">
            <ChevronRight :size="17" /></button
        ></span>
        <p class="sub flex-1">
          <strong class="text-ink font-semibold">{{ sayMinutes(totals.laid) }} laid</strong> of the
          {{ sayMinutes(totals.room) }} left<template v-if="totals.would > 0"
            >, {{ sayMinutes(totals.would) }} more with the plan,
            <span class="border border-dashed border-ring rounded-[4px] px-1">dashed</span></template
          >
        </p>
        <template v-if="!plan.proposal"
          ><select v-model="scope" class="field w-auto" aria-label="How far to plan">
            <option value="all">all that is due</option>
            <option value="week">this week</option></select
          ><button class="btn btn-main" @click="propose">
            Plan it for me <KeySign :line="weekKeys.lines.pin" /></button
        ></template>
      </header>
      <section
        v-if="plan.proposal"
        class="panel border-ring p-3 mb-3 flex flex-wrap items-center gap-3"
        aria-label="The proposed plan"
      >
        <p class="flex-1 min-w-[240px]" role="status">
          <strong>{{ plan.proposal.done ? 'Planned.' : 'Planning…' }}</strong>
          {{
            won.length > 0
              ? `${won.join(', ')}.`
              : plan.proposal.better
                ? 'Work ends earlier.'
                : 'As good as the plan that stands.'
          }}<template v-if="worse.length > 0"> <Flag />For that, {{ worse.join('; ') }}.</template
          ><template v-if="plan.proposal.plan.missed.length > 0">
            <Flag />{{ plan.proposal.plan.missed.map((id) => board.card(id)?.number).join(', ') }} cannot be
            made with these hours.</template
          >
        </p>
        <span
          v-if="!plan.proposal.done"
          class="w-[110px] h-[5px] rounded-full bg-faint overflow-hidden"
          aria-hidden="true"
          ><span class="block h-full bg-ink-2" :style="{ width: `${plan.proposal.share * 100}%` }"
        /></span>
        <button v-if="!plan.proposal.done" class="btn btn-small" @click="plan.stop()">Stop here</button>
        <p class="sub w-full order-last" aria-live="polite">
          {{
            reason ||
            'Point at a dashed block, or go to it with the keys, and it says why it stands there. Click those you want to take.'
          }}
        </p>
        <button v-if="chosen.size > 0" class="btn btn-small" @click="take(true)">
          Take the {{ chosen.size }} chosen
        </button>
        <button class="btn btn-small btn-main" @click="take(false)">Take all</button>
        <button class="btn btn-small" @click="plan.forget()">Take none</button>
      </section>
      <DaysChosen v-if="picked.size > 0" :days="[...picked]" @done="picked = new Set()" />
      <ol aria-label="Days of the week">
        <li v-if="left.length > 0 && offset === 0" class="day" aria-label="Left over">
          <div>
            <strong>Left over</strong
            ><span class="sub block">{{ left.length }} {{ left.length === 1 ? 'step' : 'steps' }}</span>
          </div>
          <div class="flex flex-wrap gap-2 items-center">
            <span
              v-for="l in left"
              :key="l.step.id"
              class="border border-line rounded-control px-2 py-1 text-12"
              >{{ l.step.name }} <span class="num">{{ l.card.number }}</span></span
            ><button
              class="btn btn-small"
              @click="library.perform(leftToToday, { steps: left.map((l) => l.step.id) })"
            >
              Put on today
            </button>
          </div>
        </li>
        <li v-for="b in broken" :key="`${b.id} ${b.day}`" class="day" aria-label="Out of order">
          <div>
            <strong>{{ sayDay(b.day).replace(/ \w+$/, '') }}</strong><span class="sub block"
              >out of order</span
            >
          </div>
          <div class="flex flex-wrap gap-2 items-center">
            <p class="flex-1">
              <Flag />{{ b.state.step.name }} of <span class="num">{{ b.card.number }}</span> lies before what
              it needs; it is planned after it.
            </p>
            <button class="btn btn-small" @click="library.perform(takeOffDay, { step: b.id, day: b.day })">
              Take it off the day
            </button>
          </div>
        </li>
        <DayRow
          v-for="r in rows"
          :key="r.day"
          :r="r"
          :scale="scale"
          :picked="picked.has(r.day)"
          :chosen="chosen"
          @pick="toggle(r.day)"
          @pull="pulling = { day: r.day, free: r.free }"
          @busy="busyOpen = true"
          @drop="dropped($event, r.day)"
          @standing="standing = { work: $event.work, day: $event.day }"
          @drop-on="droppedOn"
          @point="explain"
          @press="press"
          @more="acting = $event"
        />
      </ol>
      <p class="flex flex-wrap gap-2 mt-3">
        <button class="btn btn-small" @click="standing = {}">Standing work</button
        ><button class="btn btn-small" @click="busyOpen = true">Busy time from a calendar</button>
      </p>
      <p class="sub mt-3">
        Drag a block to another day, or press <KeySign :line="weekKeys.lines.day" /> on it,
        <KeySign :line="weekKeys.lines.order" /> for its place in the day;
        <KeySign :line="weekKeys.lines.pin" /> pins it, <KeySign :line="weekKeys.lines.split" /> splits it,
        <KeySign :line="weekKeys.lines.join" /> joins it, <KeySign :line="weekKeys.lines.timer" /> starts it.
        Choose days to change their hours.
      </p>
    </div>
    <aside class="grid gap-5 content-start">
      <section aria-labelledby="ontime">
        <h2 id="ontime" class="border-b border-line pb-2 mb-1">Going out on time</h2>
        <ul>
          <li v-for="o in out" :key="o.card.episode.id" v-carries="episodeOf(o.card)" class="relative">
            <button
              class="w-full text-left py-1.5 grid grid-cols-[52px_1fr_auto] gap-x-2 items-baseline border-b border-faint hover:bg-raised"
              :aria-label="`${o.card.number} ${o.card.title}: ${o.outlook?.is ?? (o.card.standing.ready ? 'ready' : 'not forecast yet')}. Open its forecast`"
              @click="dialogs.show({ kind: 'forecast', episode: o.card.episode.id })"
            >
              <span class="num">{{ o.card.number }}</span><strong class="font-semibold">{{
                o.outlook?.is ?? (o.card.standing.ready ? 'ready' : '…')
              }}</strong
              ><span class="num text-11">{{ percent(o.outlook) }}</span
              ><span class="sub col-start-2 col-span-2 truncate">{{
                o.outlook && o.outlook.chance < 0.995 && o.outlook.last
                  ? stepOf(o.outlook.last)?.state.step.waiting
                    ? `waits on ${stepOf(o.outlook.last)?.state.step.waiting?.who}`
                    : stepOf(o.outlook.last)?.state.step.name
                  : sayAway(o.card.standing.release?.day ?? board.today, board.today)
              }}</span></button
            ><button
              class="lay"
              :aria-label="`Lay all of ${o.card.number} on this week`"
              title="Lay all of it on this week"
              @click="layWhole(o.card.episode.id)"
            >
              <CalendarPlus :size="14" />
            </button>
          </li>
        </ul>
      </section>
      <section v-if="undated.length > 0" aria-labelledby="noday">
        <h2 id="noday" class="border-b border-line pb-2 mb-1">On no day yet</h2>
        <p class="flex flex-wrap gap-1.5 py-1">
          <button
            v-for="c in board.unplaced"
            :key="c.episode.id"
            v-carries="episodeOf(c)"
            class="btn btn-small text-11 min-h-[24px] max-w-full"
            :aria-label="`Lay all of ${c.title} on this week`"
            @click="layWhole(c.episode.id)"
          >
            <CalendarPlus :size="13" aria-hidden="true" /><span class="truncate">{{ c.title }}</span>
          </button>
        </p>
        <ul>
          <li
            v-for="u in undated"
            :key="u.state.step.id"
            v-carries="{
              kind: 'work',
              step: u.state.step.id,
              day: undefined,
              minutes: Math.max(15, u.state.minutesLeft),
              label: u.state.step.name,
            }"
            class="py-1.5 border-b border-faint cursor-grab"
          >
            <span class="block font-medium"
              >{{ u.state.step.name }} <span class="num">{{ sayMinutes(u.state.minutesLeft) }}</span></span
            ><span class="sub block truncate">{{ u.card.title }}</span>
          </li>
        </ul>
      </section>
    </aside>
    <BlockSheet
      v-if="acting"
      :block="acting"
      :running="library.settings.running?.step === acting.step"
      @act="act"
      @close="acting = undefined"
    />
    <StandingSheet v-if="standing" :work="standing.work" :day="standing.day" @close="standing = undefined" />
    <BusySheet v-if="busyOpen" @close="busyOpen = false" />
    <PullSheet
      v-if="pulling"
      :day="pulling.day"
      :free="pulling.free"
      :blocks="laterBlocks"
      @pull="pull"
      @close="pulling = undefined"
    />
  </div>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  min-height: 66px;
  padding: 9px 0;
  border-top: 1px solid var(--faint);
}
.lay {
  position: absolute;
  right: 0;
  bottom: 5px;
  padding: 3px;
  border-radius: 4px;
  color: var(--ink-2);
  background: var(--ground);
  opacity: 0;
}
li:hover > .lay,
.lay:focus-visible {
  opacity: 1;
}
@media (max-width: 639px) {
  .day {
    grid-template-columns: 1fr;
  }
}
</style>
