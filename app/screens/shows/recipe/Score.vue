<script setup lang="ts">
import { computed, ref } from 'vue'
import { scaleLinear } from 'd3-scale'
import { Plus } from '@lucide/vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import type { Recipe, RecipeLine } from '@core/records'
import { leadAt, scoreOf } from '@core/recipe/score'
import { withStage } from '@core/recipe/edit'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import { keysOn } from '@app/ui/keymap'
import { scoreKeys } from './keymap'
import { useElementSize } from '@vueuse/core'
import { followPress } from '@app/ui/drag/press'

/**
 * A recipe as a score: a row a step, its dot on the day by which it is due; needs as thin lines, the ramp
 * as a heavy one.
 */
const { recipe, chosen } = defineProps<{
  recipe: Recipe
  chosen: { kind: 'step' | 'stage'; id: string } | undefined
}>()
const emit = defineEmits<{ choose: [{ kind: 'step' | 'stage'; id: string }]; write: [RecipeFields] }>()
const library = useLibrary()
const plan = usePlan()
const frame = ref<HTMLElement>()
const { width } = useElementSize(frame, { width: 480, height: 0 })

const height = 31
const dragged = ref<{ id: string; days: number }>()
const shown = computed(() =>
  dragged.value
    ? {
        ...recipe,
        lines: recipe.lines.map((l) =>
          l.id === dragged.value?.id ? { ...l, lead: leadAt(recipe.lines, l, dragged.value.days) } : l,
        ),
      }
    : recipe,
)
const score = computed(() => scoreOf(shown.value))
const reach = computed(() => {
  const s = scoreOf(recipe)
  return { before: s.before, after: s.after }
})
const x = computed(() =>
  scaleLinear()
    .domain([reach.value.before + 1, -Math.max(2, reach.value.after + 1)])
    .range([10, width.value - 12]),
)
const mid = (row: number) => row * height + height / 2
const daysOf = (row: number) => {
  const r = score.value.rows[row]
  return r?.kind === 'line' ? r.days : 0
}
const edges = computed(() =>
  score.value.needs.map(({ from, to }) => {
    const [x1, y1, x2, y2] = [x.value(daysOf(from)), mid(from), x.value(daysOf(to)), mid(to)]
    const bend = Math.max(14, Math.abs(y2 - y1) / 3)
    return {
      d: `M${x1},${y1} C${x1 + bend},${y1} ${x2 - bend},${y2} ${x2},${y2}`,
      backwards: daysOf(from) < daysOf(to),
      on:
        chosen?.kind === 'step' &&
        [score.value.rows[from], score.value.rows[to]].some(
          (r) => r?.kind === 'line' && r.line.id === chosen.id,
        ),
    }
  }),
)
/** Down the stages, each by the day on which the last of its steps is due. */
const ramp = computed(() => {
  let d = ''
  let reached = Infinity
  score.value.rows.forEach((row, i) => {
    if (row.kind !== 'stage' || row.due === undefined) return
    const rest = score.value.rows.slice(i + 1)
    const next = rest.findIndex((r) => r.kind === 'stage')
    reached = Math.min(reached, row.due)
    d += `${d === '' ? 'M' : 'L'}${x.value(reached)},${Math.max(16, i * height)} L${x.value(reached)},${(i + 1 + (next < 0 ? rest.length : next)) * height} `
  })
  return d
})
const ticks = computed(() => x.value.ticks(8).filter(Number.isInteger))
const days = (n: number) => (n >= 0 ? `${n} d before` : `${-n} d after`)
const picked = (line: RecipeLine) => chosen?.kind === 'step' && chosen.id === line.id
const takes = (line: RecipeLine) => {
  const pace = plan.paces.get(line.kind)
  return pace && pace.seen >= 4 ? Math.round((line.minutes * pace.median) / 5) * 5 : undefined
}

function grab(event: PointerEvent, line: RecipeLine) {
  emit('choose', { kind: 'step', id: line.id })
  const left = frame.value?.getBoundingClientRect().left ?? 0
  followPress(event, {
    move: (_dx, _dy, at) => {
      dragged.value = { id: line.id, days: x.value.invert(at.clientX - left) }
    },
    drop: () => {
      const to = dragged.value
      dragged.value = undefined
      if (to) move(line, to.days)
    },
    cancel: () => {
      dragged.value = undefined
    },
  })
}
function move(line: RecipeLine, to: number) {
  const lead = leadAt(recipe.lines, line, to)
  if (lead.days !== line.lead.days)
    emit('write', { lines: recipe.lines.map((l) => (l.id === line.id ? { ...l, lead } : l)) })
}
const keyed = keysOn<'due', [RecipeLine, number]>(scoreKeys, {
  due: ({ which }, line, at) => {
    move(line, at + (which === 0 ? 1 : -1))
  },
})
function stageAdded() {
  const release = recipe.stages.find((s) => s.kind === 'release')
  const behind = release?.after[0] ?? recipe.stages.at(-1)?.id ?? ''
  const id = library.newId()
  emit('write', { stages: withStage(recipe, { id, name: 'Own stage' }, behind).stages })
  emit('choose', { kind: 'stage', id })
}
function stepAdded(stage: string) {
  const id = library.newId()
  const last = recipe.lines.findLastIndex((l) => l.stage === stage)
  const due = recipe.lines[last]?.lead
  const line: RecipeLine = {
    id,
    stage,
    name: 'New step',
    kind: recipe.lines[last]?.kind ?? 'admin',
    minutes: 30,
    lead: due?.kind === 'after' ? due : { kind: 'before', days: due?.kind === 'before' ? due.days : 1 },
    needs: [],
    required: true,
  }
  emit('write', { lines: [...recipe.lines.slice(0, last + 1), line, ...recipe.lines.slice(last + 1)] })
  emit('choose', { kind: 'step', id })
}
</script>

<template>
  <section class="panel p-4" aria-labelledby="score">
    <div class="flex items-center gap-3 mb-2">
      <h2 id="score" class="flex-1">Stages and steps</h2>
      <button class="btn btn-small" @click="stageAdded">
        <Plus :size="14" aria-hidden="true" /> Stage of your own
      </button>
    </div>
    <div class="grid grid-cols-[minmax(250px,36%)_minmax(0,1fr)] max-sm:grid-cols-1">
      <ul aria-label="Stages and steps" class="min-w-0">
        <li
          v-for="row in score.rows"
          :key="row.kind === 'stage' ? `stage ${row.id}` : row.line.id"
          :style="{ height: `${height}px` }"
          class="flex items-center gap-2 min-w-0"
        >
          <template v-if="row.kind === 'stage'"
            ><button
              class="row stage"
              :class="{ on: chosen?.kind === 'stage' && chosen.id === row.id }"
              :aria-pressed="chosen?.kind === 'stage' && chosen.id === row.id"
              :aria-label="`Stage ${row.name}`"
              @click="emit('choose', { kind: 'stage', id: row.id })"
            >
              {{ row.name }}</button
            ><button
              class="btn btn-bare btn-small px-1 text-ink-2"
              :aria-label="`Add a step to ${row.name}`"
              @click="stepAdded(row.id)"
            >
              <Plus :size="13" /></button
          ></template>
          <button
            v-else
            class="row"
            :class="{ on: chosen?.kind === 'step' && chosen.id === row.line.id }"
            :aria-pressed="chosen?.kind === 'step' && chosen.id === row.line.id"
            :aria-label="`Step ${row.line.name}`"
            @click="emit('choose', { kind: 'step', id: row.line.id })"
          >
            <span class="flex-1 truncate" :class="row.line.required ? '' : 'text-ink-2'">{{
              row.line.name
            }}</span><span v-if="row.line.owner" class="text-11 text-ink-2 truncate max-w-[70px]">{{
              row.line.owner
            }}</span
            ><span
              class="num text-11"
              :title="
                takes(row.line) === undefined
                  ? undefined
                  : `You plan ${row.line.minutes}, it takes ${takes(row.line)}`
              "
              >{{ row.line.minutes
              }}<template v-if="takes(row.line) !== undefined && takes(row.line) !== row.line.minutes">
                → {{ takes(row.line) }}</template
              ></span
            >
          </button>
        </li>
      </ul>
      <div
        ref="frame"
        class="relative min-w-0 border-l border-faint max-sm:hidden"
        :style="{ height: `${score.rows.length * height + 22}px` }"
      >
        <svg class="absolute inset-0 w-full h-full" aria-hidden="true">
          <g v-for="t in ticks" :key="t">
            <line :x1="x(t)" :x2="x(t)" y1="16" :y2="score.rows.length * height" stroke="var(--faint)" />
            <text :x="x(t)" y="11" text-anchor="middle" class="tick-text">
              {{ t === 0 ? 'release' : t > 0 ? t : `+${-t}` }}
            </text>
            <text :x="x(t)" :y="score.rows.length * height + 15" text-anchor="middle" class="tick-text">
              {{ t === 0 ? 'release' : t > 0 ? t : `+${-t}` }}
            </text>
          </g>
          <path :d="ramp" fill="none" stroke="var(--ink)" stroke-width="2" />
          <path
            v-for="(e, i) in edges"
            :key="i"
            :d="e.d"
            fill="none"
            :stroke="e.backwards ? 'var(--rose)' : e.on ? 'var(--ink)' : 'var(--ring)'"
            :stroke-width="e.on ? 1.5 : 1"
            :stroke-dasharray="e.backwards ? '3 3' : undefined"
          />
          <line
            :x1="x(0)"
            :x2="x(0)"
            y1="16"
            :y2="score.rows.length * height"
            stroke="var(--lamp-line)"
            stroke-width="2"
          />
        </svg>
        <template v-for="(row, i) in score.rows" :key="row.kind === 'stage' ? `s ${row.id}` : row.line.id">
          <button
            v-if="row.kind === 'line'"
            class="dot"
            :class="{ on: picked(row.line), soft: !row.line.required, moving: dragged?.id === row.line.id }"
            role="slider"
            :aria-label="`${row.line.name}, due`"
            :aria-valuenow="row.days"
            :aria-valuetext="days(row.days)"
            :aria-valuemin="-365"
            :aria-valuemax="365"
            :style="{ left: `${x(row.days) - 9}px`, top: `${mid(i) - 9}px` }"
            @pointerdown="grab($event, row.line)"
            @keydown="keyed($event, row.line, row.days)"
          >
            <span v-if="dragged?.id === row.line.id || picked(row.line)" class="due">{{
              days(row.days)
            }}</span>
          </button>
        </template>
      </div>
    </div>
    <p class="sub">
      Days before release.<template v-if="edges.some((e) => e.backwards)">
        A dashed line in rose: the step it needs is due later than it; counting back makes that one due
        earlier.</template
      >
    </p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex: 1;
  align-items: center;
  gap: 8px;
  min-width: 0;
  padding: 3px 8px;
  text-align: left;
  border-radius: 6px;
}
.row:hover {
  background: var(--raised);
}
.row.on {
  background: var(--raised);
  box-shadow: inset 2px 0 var(--ink);
}
.row:not(.stage) {
  padding-left: 18px;
}
.stage {
  font-weight: 600;
}
.dot {
  position: absolute;
  width: 18px;
  height: 18px;
  border-radius: 50%;
  cursor: ew-resize;
}
.dot::before {
  content: '';
  position: absolute;
  inset: 3.5px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  background: var(--ground);
}
.dot.soft::before {
  border-style: dotted;
}
.dot.on::before,
.dot.moving::before {
  background: var(--ink);
}
.due {
  position: absolute;
  left: 20px;
  top: 0;
  padding: 0 5px;
  white-space: nowrap;
  font: 500 11px/18px var(--font-mono);
  color: var(--ink);
  background: var(--panel);
  border-radius: 4px;
  pointer-events: none;
}
.tick-text {
  font: 11px var(--font-mono);
  fill: var(--ink-2);
}
</style>
