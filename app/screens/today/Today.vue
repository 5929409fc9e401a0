<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { markReleased } from '@core/commands/release'
import { correctLog, endStep, putAway, startStep, stopStep, tickStep } from '@core/commands/work'
import { markStanding } from '@core/commands/standing'
import { occurrencesOf } from '@core/plan/standing'
import { ranFor } from '@core/commands/work/logged'
import { layOnDay, leftToToday } from '@core/commands/week'
import { isOthers } from '@core/plan/work'
import { inDayOrder, joinedBlocks } from '@core/views/day'
import { addDays, daysBetween, sayAway, sayDay, sayDayLong } from '@core/rhythm/days'
import { sayLeft, sayUntil } from '@core/rhythm/zone'
import { sayMinutes, sayTime } from '@core/script/timecode'
import { scriptFigures } from '@core/script/timing'
import { useBoard, type Card } from '@app/stores/board'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys } from '../shell/keymap'
import { endings, todayKeys } from './keymap'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'
import { download } from '@app/ui/download'
import NextOut from './NextOut.vue'
import WantToKnow from './WantToKnow.vue'
import WereTheyOut from './WereTheyOut.vue'
import type { Step } from '@core/records'
import { stepGoal, stepTicks } from '../episode/steps'
import NumberField from '@app/ui/fields/NumberField.vue'

const Drop = defineAsyncComponent(() => import('@app/ui/Drop.vue'))
const ReadyAhead = defineAsyncComponent(() => import('../schedule/ReadyAhead.vue'))
const PullSheet = defineAsyncComponent(() => import('../week/PullSheet.vue'))

const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const dialogs = useDialogs()
const router = useRouter()

const figures = computed(() => board.figuresOf(board.today))
const room = computed(() => figures.value.left)
/**
 * In the order of the day: by clock time, then as the week has them, then as planned, nothing before what
 * it needs.
 */
const blocks = computed(() => {
  const laid = joinedBlocks(board.load.blocks.filter((b) => b.day === board.today))
  // What has had all its minutes and is not ended yet stands here until it is.
  const used = [...board.stepIn].flatMap(([id, { state }]) =>
    !state.done && state.free && state.minutesLeft === 0 && state.step.logged > 0 && !isOthers(state.step)
      ? [{ id, day: board.today, minutes: 0, fixed: false }]
      : [],
  )
  const all = [...laid, ...used.filter((u) => !laid.some((b) => b.id === u.id))]
  return inDayOrder(
    all.flatMap((b) => {
      const found = board.stepIn.get(b.id)
      const own = found?.state.step.blocks.find((x) => x.day === b.day)
      return found
        ? [
            {
              ...found,
              step: b.id,
              needs: found.state.needs,
              minutes: b.minutes,
              whole: b.minutes === found.state.minutesLeft,
              at: own?.at,
              place: own?.place,
            },
          ]
        : []
    }),
  )
})
/** Setting up is part of the day. */
const planned = computed(() => figures.value.planned)
/** A share of the day's hours, in per cent. */
const share = (minutes: number) =>
  (minutes / Math.max(1, figures.value.whole - figures.value.taken, figures.value.worked + planned.value)) *
  100
const undated = computed(() =>
  board.unplaced.flatMap((card) =>
    card.standing.next
      ? [{ card, state: card.standing.next, minutes: card.standing.next.minutesLeft, whole: true }]
      : [],
  ),
)
/**
 * The one thing to do now: first what is laid on today; on a day without hours, what is due first; else
 * something undated.
 */
const soonest = computed(
  () =>
    board.placed
      .flatMap((card) =>
        card.standing.next && !card.standing.next.step.waiting
          ? [{ card, state: card.standing.next, minutes: card.standing.next.minutesLeft, whole: true }]
          : [],
      )
      .sort((a, b) => ((a.state.due ?? '') < (b.state.due ?? '') ? -1 : 1))[0],
)
/** What runs stands above; what is next follows it. */
const upcoming = computed(() => blocks.value.filter((b) => b.state.step.id !== running.value?.state.step.id))
const first = computed(
  () => upcoming.value[0] ?? (running.value ? undefined : (soonest.value ?? undated.value[0])),
)
const rest = computed(() => upcoming.value.slice(1))
const late = computed(() =>
  board.placed
    .flatMap((card) =>
      card.standing.steps
        .filter(
          (s) =>
            s.late &&
            s.step.required &&
            s.free &&
            s.step.id !== first.value?.state.step.id &&
            s.step.id !== running.value?.state.step.id &&
            !rest.value.some((r) => r.state.step.id === s.step.id),
        )
        .map((state) => ({ card, state })),
    )
    .sort((a, b) => (b.state.late ?? 0) - (a.state.late ?? 0)),
)
const waiting = computed(() =>
  board.working.flatMap((card) =>
    card.standing.steps.flatMap((s) =>
      s.step.waiting && !s.done ? [{ card, state: s, waiting: s.step.waiting }] : [],
    ),
  ),
)
const scripts = computed(() =>
  board.working
    .filter(
      (c) =>
        c.standing.stages.some((s) => s.stage.kind === 'script' && s.lamp.state !== 'lit') &&
        !c.episode.spare,
    )
    .slice(0, 4)
    .map((card) => ({
      card,
      figures: scriptFigures(card.script, card.show.pace),
      due: card.standing.steps.find((s) => s.step.part === 'script')?.due,
    })),
)
const next = computed(() => board.coming[0])
const vacant = computed(() => board.rows.find((r) => r.slot && !r.slot.skipped))
const overdue = computed(() => board.overdue[0])
/**
 * Released lately, with people who wanted to be told; and what was parked until after something that is out
 * now.
 */
const told = computed(() =>
  board.released
    .slice(0, 20)
    .filter((e) => e.idea.asked.some((a) => a.tell && a.mail !== '' && a.told === undefined)),
)
const takenUp = computed(() =>
  [...library.records.episodes.values()].filter(
    (e) =>
      e.phase.name === 'parked' &&
      e.phase.after !== undefined &&
      library.records.episodes.get(e.phase.after)?.phase.name === 'released',
  ),
)
const running = computed(() => {
  const r = library.settings.running
  const found = r && board.stepIn.get(r.step)
  return r && found ? { ...found, since: r.since } : undefined
})
const leftOver = computed(() => board.leftOver.map(({ card, state }) => ({ card, step: state.step })))
function correct(id: string, minutes: number) {
  void library.perform(correctLog, { step: id, minutes }, 'quietly')
}
function end(id: string, took: 'shorter' | 'as planned' | 'longer') {
  void library.perform(endStep, { step: id, took })
}
/** Ends a step as one key says; for one that was done the day before, back then. */
function ended(id: string, took: 'shorter' | 'as planned' | 'longer', yesterday = false) {
  return library.perform(endStep, { step: id, took, day: yesterday ? addDays(board.today, -1) : undefined })
}
function endHere(took: 'shorter' | 'as planned' | 'longer', close: () => void, yesterday = false) {
  if (first.value) void ended(first.value.state.step.id, took, yesterday)
  close()
}
const ending = computed(() => {
  const s = running.value ?? first.value
  return s && stepTicks(s.state.step) ? s.state.step.id : undefined
})
function endFirst(took: 'shorter' | 'as planned' | 'longer') {
  if (ending.value) void ended(ending.value, took)
}
/** What follow-ons put here. */
const notes = computed(() =>
  board.working.flatMap((card) =>
    (card.episode.followed ?? []).filter((f) => f.shows !== undefined).map((f) => ({ card, f })),
  ),
)
async function saveFolder(card: Card, id: string) {
  const { episodeFolders } = await import('../episode/folders')
  const zip = episodeFolders(card)
  download(zip.name, zip.bytes, 'application/zip')
  await library.perform(putAway, { episode: card.episode.id, followed: id }, 'quietly')
}
const standing = computed(() =>
  occurrencesOf(library.records.standing.values(), board.today, board.today).filter(
    (o) => o.state === 'to do',
  ),
)
/** Waited for longer than was said: a nudge is due. */
const nudgeDue = (w: { since: string; nudge?: number | undefined }) =>
  daysBetween(w.since, board.today) >= (w.nudge ?? board.settings.nudgeAfter ?? 4)
async function nudge(w: (typeof waiting.value)[number]) {
  await navigator.clipboard.writeText(
    `Hello ${w.waiting.who}, may I ask how ${w.waiting.what || w.state.step.name.toLowerCase()} is coming on? It is for “${w.card.title}”${w.card.standing.release ? `, which goes out on ${sayDayLong(w.card.standing.release.day)}` : ''}. Thank you.`,
  )
  library.say('A friendly line is copied; paste it where you write to them.')
}
async function remind(on: boolean) {
  const { useReminders } = await import('@app/stores/reminders')
  await useReminders().turn(on)
}
const guidance = (card: Card, step: Step) => card.recipe.lines.find((l) => l.id === step.line)?.guidance
const pulling = ref<number>()
function pull({ step, from, minutes }: { step: string; from: string; minutes: number }) {
  pulling.value = undefined
  const laid = board.stepIn.get(step)?.state.step.blocks.some((b) => b.day === from)
  void library.perform(layOnDay, {
    step,
    day: board.today,
    from: laid ? from : undefined,
    minutes,
  })
}
const outlook = (card: Card) => desk.outlooks.get(card.episode.id)
const nothing = computed(() => board.working.length === 0)

function stageName(card: Card, id: string): string {
  return card.standing.stages.find((s) => s.stage.id === id)?.stage.name ?? ''
}
function open(card: Card, stepId?: string) {
  const state = card.standing.steps.find((s) => s.step.id === stepId)
  void router.push({
    name: 'episode',
    params: { code: card.episode.code, stage: state ? stepGoal(card, state.step) : undefined },
  })
}
const several = useTemplateRef<InstanceType<typeof WereTheyOut>>('several')
async function out() {
  if (several.value) {
    await several.value.answer()
    return
  }
  const card = overdue.value
  if (!card) return
  const first = board.released.length === 0
  const done = await library.perform(markReleased, { episode: card.episode.id })
  if (done.ok && first)
    library.say('The Catalogue has joined the bar: what has gone out is kept there.', 'done', [
      done.value.line ?? 0,
    ])
}
function done(id: string) {
  void library.perform(tickStep, { step: id, done: true })
}
useKeymap(todayKeys, {
  open: () => {
    const here = running.value ?? first.value
    if (here) open(here.card, here.state.step.id)
  },
  timer: () => {
    if (running.value) void library.perform(stopStep, {})
    else if (first.value) void library.perform(startStep, { step: first.value.state.step.id })
  },
  end: ({ which }) => {
    const took = endings[which]
    if (took) endFirst(took)
  },
  out,
})
</script>

<template>
  <div
    class="mx-auto max-w-[1360px] px-5 py-4 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_416px] max-sm:px-3"
  >
    <div class="grid grid-cols-1 gap-4 content-start min-w-0">
      <header class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h1 class="flex-1 whitespace-nowrap">{{ sayDayLong(board.today) }}</h1>
        <div v-if="!nothing" class="w-[306px] max-sm:w-full">
          <div
            class="h-[15px] flex gap-[2px] border border-dashed border-ring rounded-[4px] p-[1px] overflow-hidden"
            role="img"
            :aria-label="`${figures.worked > 0 ? `${sayMinutes(figures.worked)} done, ` : ''}${sayMinutes(planned)} planned of ${sayMinutes(room)}`"
          >
            <span
              v-if="figures.worked > 0"
              class="h-full rounded-[2px] bg-ink-2"
              :style="{ width: `${share(figures.worked)}%` }"
              title="Done today"
            />
            <span
              v-if="room > 0 && (board.load.setup.get(board.today) ?? 0) > 0"
              class="h-full rounded-[2px] border border-line bg-[repeating-linear-gradient(135deg,var(--line)_0_2px,transparent_2px_5px)]"
              :style="{ width: `${share(board.load.setup.get(board.today) ?? 0)}%` }"
              title="Setting up"
            />
            <span
              v-for="(b, i) in blocks"
              :key="b.state.step.id"
              class="h-full rounded-[2px] border"
              :class="i === 0 ? 'bg-lamp border-lamp-line' : 'bg-raised border-line'"
              :style="{ width: `${share(b.minutes)}%` }"
            />
          </div>
          <p class="flex justify-between text-12 text-ink-2 mt-1">
            <span
              ><template v-if="figures.worked > 0">{{ sayMinutes(figures.worked) }} done, </template
              ><strong class="text-ink font-semibold">{{ sayMinutes(planned) }}</strong> planned of
              {{ sayMinutes(room) }}{{ figures.worked > 0 ? ' left' : '' }}</span
            ><button
              v-if="figures.free >= 20"
              class="underline underline-offset-2"
              @click="pulling = figures.free"
            >
              {{ sayMinutes(figures.free) }} free, pull something forward</button
            ><span v-else>{{
              figures.over > 0
                ? `${sayMinutes(figures.over)} over`
                : figures.free > 0
                  ? `${sayMinutes(figures.free)} free`
                  : figures.whole === 0
                    ? 'a day off'
                    : 'full'
            }}</span>
          </p>
        </div>
      </header>

      <WereTheyOut v-if="board.overdue.length > 1" ref="several" />
      <section
        v-else-if="overdue"
        class="panel border-lamp-line p-4 flex flex-wrap items-center gap-4"
        aria-labelledby="isout"
      >
        <div class="flex-1 min-w-[220px]">
          <h2 id="isout" class="text-20 leading-7">Is it out?</h2>
          <p>
            <span class="num">{{ overdue.number }}</span> {{ overdue.title }}
          </p>
          <p class="sub">
            was to go out {{ sayDay(overdue.standing.release?.day ?? board.today) }},
            {{ sayLeft(board.now, overdue.standing.release?.at ?? 0)
            }}<template v-if="!overdue.standing.ready">
              · <Flag />{{ overdue.standing.missing.length }} still open</template
            >
          </p>
        </div>
        <button class="btn" @click="dialogs.show({ kind: 'missed', episode: overdue.episode.id })">
          Not yet…
        </button>
        <button class="btn btn-main" @click="out">
          Yes, it is out <KeySign :line="todayKeys.lines.out" />
        </button>
      </section>

      <section
        v-if="running"
        class="panel border-lamp-line p-4 flex flex-wrap items-center gap-4"
        aria-label="Running"
      >
        <LampMark
          :lamp="{
            state: 'working',
            share: Math.min(
              1,
              (running.state.step.logged + ranFor(running.since, board.now)) /
                Math.max(1, running.state.step.minutes),
            ),
          }"
          :size="30"
          hidden
        />
        <div class="flex-1 min-w-[200px]">
          <p class="sub">
            running, <span class="num">{{ ranFor(running.since, board.now) }}</span> min now<template
              v-if="running.state.step.logged > 0"
              >,
              <label class="inline-flex items-center gap-1"
                ><NumberField
                  :model-value="running.state.step.logged"
                  field="quiet-field mx-0 w-[58px] num border-line"
                  label="Minutes worked before"
                  hidden
                  :min="0"
                  :max="6000"
                  @update:model-value="correct(running.state.step.id, $event)"
                />
                before</label
              ></template
            >
            of {{ sayMinutes(running.state.step.minutes) }} planned
          </p>
          <h2 class="text-20 leading-7">{{ running.state.step.name }}</h2>
          <p class="text-ink-2">
            <span class="num">{{ running.card.number }}</span> {{ running.card.title }}
          </p>
          <p v-if="guidance(running.card, running.state.step)" class="text-12 mt-1 max-w-[52ch]">
            {{ guidance(running.card, running.state.step) }}
          </p>
        </div>
        <button class="btn" @click="open(running.card, running.state.step.id)">
          Go to it <KeySign :line="todayKeys.lines.open" />
        </button>
        <button class="btn" @click="library.perform(stopStep, {})">
          Stop <KeySign :line="todayKeys.lines.timer" />
        </button>
        <span
          v-if="stepTicks(running.state.step)"
          class="flex gap-1.5 items-center"
          role="group"
          aria-label="Done, and it took"
          ><span class="sub">Done:</span
          ><button
            v-for="(t, i) in endings"
            :key="t"
            class="btn btn-small"
            @click="end(running.state.step.id, t)"
          >
            {{ t }} <KeySign :line="todayKeys.lines.end" :which="i" /></button
        ></span>
      </section>

      <section
        v-if="leftOver.length > 0"
        class="panel px-4 py-3 flex flex-wrap items-center gap-3"
        aria-label="Left over"
      >
        <p class="flex-1">
          <strong>Left over:</strong>
          {{ leftOver.map((l) => `${l.step.name} of ${l.card.number}`).join(', ') }}
        </p>
        <button
          class="btn btn-small"
          @click="library.perform(leftToToday, { steps: leftOver.map((l) => l.step.id) })"
        >
          Put on today
        </button>
      </section>

      <section
        v-if="first"
        class="panel p-4 flex flex-wrap items-center gap-4"
        :class="overdue || running ? '' : 'border-lamp-line'"
        aria-label="Next step"
      >
        <LampMark
          :lamp="
            first.state.step.logged > 0
              ? { state: 'working', share: first.state.step.logged / first.state.step.minutes }
              : { state: 'open', share: 0, late: first.state.late }
          "
          :size="30"
          hidden
        />
        <div class="flex-1 min-w-[200px]">
          <p class="sub">
            {{ stageName(first.card, first.state.step.stage)
            }}<template v-if="first.state.due"
              >,
              <template v-if="first.state.late"
                ><Flag /><span class="late">late {{ first.state.late }} d</span>, was due
                {{ sayDay(first.state.due)
                }}<template v-if="outlook(first.card)"
                  >; its release is
                  <button
                    class="underline underline-offset-2"
                    @click="dialogs.show({ kind: 'forecast', episode: first.card.episode.id })"
                  >
                    {{ outlook(first.card)?.is === 'on track' ? 'still on track' : outlook(first.card)?.is }}
                  </button></template
                ></template
              ><template v-else
                >due {{ sayDay(first.state.due) }}, {{ sayAway(first.state.due, board.today) }}</template
              ></template
            ><template v-else>, no date yet</template>
          </p>
          <h2 class="text-20 leading-7">{{ first.state.step.name }}</h2>
          <p class="text-ink-2">
            <span class="num">{{ first.card.number }}</span> {{ first.card.title }}
          </p>
          <p v-if="guidance(first.card, first.state.step)" class="text-12 mt-1 max-w-[52ch]">
            {{ guidance(first.card, first.state.step) }}
          </p>
        </div>
        <p class="num text-20 text-ink">{{ sayMinutes(first.minutes) }}</p>
        <button
          v-if="!running"
          class="btn"
          @click="library.perform(startStep, { step: first.state.step.id })"
        >
          Start <KeySign :line="todayKeys.lines.timer" />
        </button>
        <span v-if="stepTicks(first.state.step)" class="flex"
          ><button class="btn rounded-r-none" @click="done(first.state.step.id)">Done</button
          ><Drop label="How long it took" right class="-ml-px"
            ><template #default="{ close }"
              ><div class="grid gap-1.5">
                <button
                  v-for="(t, i) in endings"
                  :key="t"
                  class="btn btn-small justify-between"
                  @click="endHere(t, close)"
                >
                  Done, {{ t }} <KeySign :line="todayKeys.lines.end" :which="i" /></button
                ><button class="btn btn-small" @click="endHere('as planned', close, true)">
                  It was done yesterday
                </button>
              </div></template
            ><template #label><span class="unseen">How long it took</span></template></Drop
          ></span
        >
        <button
          class="btn"
          :class="overdue || running ? '' : 'btn-main'"
          @click="open(first.card, first.state.step.id)"
        >
          Go to it <KeySign v-if="!running" :line="todayKeys.lines.open" />
        </button>
      </section>

      <section
        v-for="l in late.slice(0, 3)"
        :key="l.state.step.id"
        class="panel border-rose px-4 py-3 flex items-center gap-4"
        aria-label="Late"
      >
        <LampMark :lamp="{ state: 'open', share: 0, late: l.state.late }" :size="26" hidden />
        <div class="flex-1 min-w-0">
          <p>
            <strong class="font-semibold">{{ l.state.step.name }}</strong> <Flag /><span class="late"
              >late {{ l.state.late }} d</span
            ><span class="sub">, was due {{ l.state.due ? sayDay(l.state.due) : '' }}</span>
          </p>
          <p class="sub truncate">
            <span class="num">{{ l.card.number }}</span> {{ l.card.title }}, out
            {{
              l.card.standing.release
                ? `${sayDay(l.card.standing.release.day)}, ${sayAway(l.card.standing.release.day, board.today)}`
                : ''
            }}<template v-if="outlook(l.card)">: still {{ outlook(l.card)?.is }}</template>
          </p>
        </div>
        <button class="btn" @click="dialogs.show({ kind: 'forecast', episode: l.card.episode.id })">
          What mends it
        </button>
        <button class="btn" @click="open(l.card, l.state.step.id)">Go to it</button>
      </section>

      <section
        v-for="n in notes"
        :key="n.f.id"
        class="panel px-4 py-3 flex flex-wrap items-center gap-3"
        :aria-label="`Note: ${n.f.says}`"
      >
        <div class="flex-1 min-w-[220px]">
          <p class="font-semibold">{{ n.f.shows === 'folder' ? 'Its folders can be saved' : n.f.says }}</p>
          <p class="sub truncate">
            <span class="num">{{ n.card.number }}</span> {{ n.card.title }}, since
            {{ sayDay(board.dayOn(n.f.at)) }}
          </p>
        </div>
        <button v-if="n.f.shows === 'folder'" class="btn" @click="saveFolder(n.card, n.f.id)">
          Save the folders</button
        ><button
          class="btn"
          :class="n.f.shows === 'folder' ? 'btn-bare' : ''"
          @click="library.perform(putAway, { episode: n.card.episode.id, followed: n.f.id })"
        >
          {{ n.f.shows === 'folder' ? 'Not now' : 'Seen to' }}
        </button>
      </section>

      <WantToKnow v-for="e in told" :key="e.id" :episode="e" />

      <section
        v-for="e in takenUp"
        :key="e.id"
        class="panel px-4 py-3 flex items-center gap-4"
        :aria-label="`${e.title} can be taken up again`"
      >
        <div class="flex-1 min-w-0">
          <p class="font-semibold truncate">{{ e.title }}</p>
          <p class="sub truncate">
            was parked until after
            {{ board.card(e.phase.name === 'parked' ? (e.phase.after ?? '') : '')?.title }}, which is out
          </p>
        </div>
        <button class="btn" @click="dialogs.show({ kind: 'place', episode: e.id })">Put on a slot</button>
      </section>

      <section v-if="rest.length > 0" aria-labelledby="plannedtoday">
        <h2 id="plannedtoday" class="mb-2">
          Then today
          <span class="sub font-sans font-normal ml-1"
            >{{ rest.length }} more {{ rest.length === 1 ? 'step' : 'steps' }},
            {{ sayMinutes(sum(rest, (b) => b.minutes)) }}</span
          >
        </h2>
        <ul class="panel divide-y divide-faint">
          <li v-for="b in rest" :key="b.state.step.id" class="flex items-center gap-4 px-4 py-2.5">
            <LampMark
              :lamp="
                b.state.step.logged > 0
                  ? { state: 'working', share: b.state.step.logged / b.state.step.minutes }
                  : { state: 'open', share: 0, late: b.state.late }
              "
              :size="24"
              hidden
            />
            <div class="flex-1 min-w-0">
              <p class="font-semibold truncate">
                <span v-if="b.at" class="num mr-2">{{ b.at }}</span>{{ b.state.step.name
                }}<span v-if="!b.whole" class="sub font-normal"> a part of it</span>
              </p>
              <p class="sub truncate">
                <span class="num">{{ b.card.number }}</span> {{ b.card.title }} ·
                {{ stageName(b.card, b.state.step.stage) }}
              </p>
            </div>
            <p class="sub max-sm:hidden">
              {{
                b.state.due
                  ? b.state.late
                    ? ''
                    : `due ${sayDay(b.state.due)}, ${sayAway(b.state.due, board.today)}`
                  : ''
              }}<template v-if="b.state.late"
                ><Flag /><span class="late">late {{ b.state.late }} d</span></template
              >
            </p>
            <p class="num w-[64px] text-right">{{ sayMinutes(b.minutes) }}</p>
            <button class="btn btn-small" @click="open(b.card, b.state.step.id)">Go to it</button>
          </li>
        </ul>
      </section>

      <section
        v-if="desk.mayRemind && board.coming.length > 0 && library.world === 'own'"
        class="panel px-4 py-3 flex flex-wrap items-center gap-3"
        aria-label="Reminders"
      >
        <p class="flex-1 min-w-[240px]">
          Shall Lamp Reel remind you the day before a release that isn’t ready, and of nudges?
        </p>
        <button class="btn" @click="remind(true)">Yes, remind me</button
        ><button class="btn btn-bare" @click="remind(false)">No</button>
      </section>

      <section v-if="standing.length > 0" aria-labelledby="besides">
        <h2 id="besides" class="mb-2">Besides</h2>
        <ul class="panel divide-y divide-faint">
          <li v-for="o in standing" :key="o.work.id" class="flex items-center gap-4 px-4 py-2">
            <p class="flex-1 font-medium">
              {{ o.work.name }}<span v-if="o.work.at" class="num ml-2">{{ o.work.at }}</span>
            </p>
            <p class="num">{{ sayMinutes(o.work.minutes) }}</p>
            <button
              class="btn btn-small btn-bare"
              :aria-label="`Skip ${o.work.name} this once`"
              @click="library.perform(markStanding, { standing: o.work.id, day: o.day, as: 'skipped' })"
            >
              Skip</button
            ><button
              class="btn btn-small"
              :aria-label="`${o.work.name} is done`"
              @click="library.perform(markStanding, { standing: o.work.id, day: o.day, as: 'done' })"
            >
              Done
            </button>
          </li>
        </ul>
      </section>

      <section v-if="nothing" class="panel p-6" aria-labelledby="start">
        <h2 id="start" class="text-20 mb-1">
          {{
            board.ideas.length === 0
              ? 'Nothing is in work yet'
              : `${board.ideas.length} ${board.ideas.length === 1 ? 'idea waits' : 'ideas wait'} for a slot`
          }}
        </h2>
        <p class="sub mb-4">
          {{
            board.ideas.length === 0
              ? 'The steps that are due will stand here, with their minutes. Jot a first idea, then put it on a frame of the strip.'
              : 'Put one on a frame of the strip, and its steps get their due dates.'
          }}
        </p>
        <button v-if="board.ideas.length === 0" class="btn btn-main" @click="desk.toCapture++">
          Jot an idea <KeySign :line="shellKeys.lines.jot" />
        </button>
        <RouterLink v-else to="/ideas" class="btn btn-main">Choose one</RouterLink>
      </section>

      <div class="grid grid-cols-1 gap-5 md:grid-cols-2">
        <section v-if="undated.length > 0" aria-labelledby="undated">
          <h2 id="undated" class="mb-2">Started, no slot yet</h2>
          <ul class="panel divide-y divide-faint">
            <li v-for="u in undated" :key="u.card.episode.id" class="flex items-center gap-3 px-4 py-2">
              <div class="flex-1 min-w-0">
                <p class="font-semibold truncate">{{ u.card.title }}</p>
                <p class="sub truncate">next: {{ u.state.step.name }}, {{ sayMinutes(u.minutes) }}</p>
              </div>
              <button
                class="btn btn-small"
                @click="dialogs.show({ kind: 'place', episode: u.card.episode.id })"
              >
                Place
              </button>
            </li>
          </ul>
        </section>
        <section v-if="waiting.length > 0" aria-labelledby="waits">
          <h2 id="waits" class="mb-2">Waiting on others</h2>
          <ul class="panel divide-y divide-faint">
            <li v-for="w in waiting" :key="w.state.step.id" class="flex items-center gap-3 px-4 py-2">
              <button class="flex-1 min-w-0 text-left" @click="open(w.card, w.state.step.id)">
                <span class="block font-semibold truncate">{{ w.waiting.who }}</span><span
                  class="sub block truncate"
                  >{{ w.waiting.what || w.state.step.name }},
                  <span class="num">{{ w.card.number }}</span></span
                >
              </button>
              <p class="text-right text-12">
                <span class="text-sea font-medium"
                  >waits {{ sayAway(w.waiting.since, board.today).replace(' ago', '') }}</span
                ><br /><span class="text-ink-2">since {{ sayDay(w.waiting.since) }}</span>
              </p>
              <button
                v-if="nudgeDue(w.waiting)"
                class="btn btn-small"
                :aria-label="`Nudge ${w.waiting.who}`"
                title="Copies a friendly line"
                @click="nudge(w)"
              >
                Nudge
              </button>
            </li>
          </ul>
        </section>
        <section v-if="scripts.length > 0" aria-labelledby="desk">
          <h2 id="desk" class="mb-2">Scripts on the desk</h2>
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
                      >, due {{ sayDay(s.due) }}, {{ sayAway(s.due, board.today) }}</template
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
      </div>
    </div>
    <div v-if="next" class="grid gap-4 content-start min-w-0">
      <NextOut :card="next" />
      <section class="panel p-4 grid gap-2.5 text-12" aria-label="Ready ahead">
        <h2>Ready ahead</h2>
        <ReadyAhead v-for="s in board.shows.slice(0, 3)" :key="s.id" :show="s" plain />
      </section>
    </div>
    <aside v-else-if="vacant" class="panel p-4 self-start" aria-labelledby="vacant">
      <div class="flex justify-between mb-2">
        <h2 id="vacant" class="font-sans font-normal text-14 text-ink-2">Next out</h2>
        <p class="text-lamp-text font-semibold">
          {{ sayDay(vacant.day) }} {{ vacant.time }}, {{ sayUntil(board.now, vacant.at, vacant.show.zone) }}
        </p>
      </div>
      <p class="mb-3">
        Nothing is on it yet.
        {{ board.ideas.length === 0 ? 'The first line you jot can be.' : 'Any idea can take it.' }}
      </p>
      <button class="btn" @click="vacant.slot && dialogs.show({ kind: 'fill', slot: vacant.slot })">
        Choose an idea
      </button>
    </aside>
    <PullSheet
      v-if="pulling !== undefined"
      :day="board.today"
      :free="pulling"
      :blocks="board.load.blocks"
      @pull="pull"
      @close="pulling = undefined"
    />
  </div>
</template>
