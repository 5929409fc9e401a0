<script setup lang="ts">
import { ref } from 'vue'
import { Plus } from '@lucide/vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import type { Recipe, RecipeLine } from '@core/records'
import { leadAt } from '@core/recipe/score'
import { withNewLine, withStage } from '@core/recipe/edit'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import { keysOn } from '@app/ui/keymap'
import { scoreKeys } from './keymap'
import { rowHeight, useScoreShape, type Dragged } from './score-shape'
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

const dragged = ref<Dragged>()
const { score, x, mid, edges, ramp, ticks } = useScoreShape(
  () => recipe,
  () => chosen,
  dragged,
  width,
)
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
  emit('write', { lines: withNewLine(recipe.lines, stage, id) })
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
          :style="{ height: `${rowHeight}px` }"
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
        :style="{ height: `${score.rows.length * rowHeight + 22}px` }"
      >
        <svg class="absolute inset-0 w-full h-full" aria-hidden="true">
          <g v-for="t in ticks" :key="t">
            <line :x1="x(t)" :x2="x(t)" y1="16" :y2="score.rows.length * rowHeight" stroke="var(--faint)" />
            <text :x="x(t)" y="11" text-anchor="middle" class="tick-text">
              {{ t === 0 ? 'release' : t > 0 ? t : `+${-t}` }}
            </text>
            <text :x="x(t)" :y="score.rows.length * rowHeight + 15" text-anchor="middle" class="tick-text">
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
            :y2="score.rows.length * rowHeight"
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

<style scoped src="./score.css"></style>
