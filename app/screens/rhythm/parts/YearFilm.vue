<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { sayMinutes } from '@core/script/timecode'
import type { RhythmView } from '@core/views/rhythm'
import { useWidth } from '@app/ui/width'
import { rows, useYearFilm } from './useYearFilm'

/**
 * The period as film, true to time: every release in its picture, below it how far ahead it was ready, and how it did
 * against the usual over the hours that it took.
 */
const { view } = defineProps<{ view: RhythmView }>()
const room = useTemplateRef<HTMLElement>('room')
const width = useWidth(room, 'rhythm-year', 1240)
const height = 330
const { wide, at, frameWidth, leads, times, frames, flags, named, coming, months, middles, now } =
  useYearFilm(() => view, width)
</script>

<template>
  <div ref="room" class="min-w-0">
    <svg
      :width="wide"
      :height="height"
      role="img"
      class="block"
      aria-label="Releases of this time: on their day, ready ahead, against the usual and the hours they took"
    >
      <g class="marks">
        <text v-for="f in flags" :key="f.says" :x="f.x" :y="rows.late" class="late-name">⚑ {{ f.says }}</text>
      </g>
      <g v-for="f in frames" :key="f.made.episode.id">
        <title>
          {{ f.number }} {{ f.title }}{{ f.usual ? `, ${f.usual.times.toFixed(1)} times the usual` : '' }},
          {{ sayMinutes(f.made.minutes) }}
        </title>
        <rect :x="f.x" :y="rows.film" :width="f.w" :height="rows.filmHeight" class="frame" />
        <image
          v-if="f.url"
          :href="f.url"
          :x="f.x"
          :y="rows.film"
          :width="f.w"
          :height="rows.filmHeight"
          preserveAspectRatio="xMidYMid slice"
          :opacity="f.isBest ? 1 : 0.55"
        />
        <rect v-if="f.late" :x="f.x" :y="rows.film" :width="f.w" :height="rows.filmHeight" class="was-late" />
        <rect :x="f.x" :y="rows.lead - f.lead" :width="f.w" :height="f.lead" class="bar" />
        <rect
          :x="f.x"
          :y="rows.usual - f.up"
          :width="f.w"
          :height="f.up"
          class="bar"
          :class="f.isBest ? 'best' : ''"
        />
        <rect :x="f.x" :y="rows.usual + 3" :width="f.w" :height="f.down" class="bar dim" />
      </g>
      <g v-for="c in coming" :key="c.key">
        <rect
          :x="c.x"
          :y="rows.film"
          :width="frameWidth"
          :height="rows.filmHeight"
          class="next"
          :class="c.isLate ? 'may-late' : ''"
        />
        <text
          v-if="frameWidth > 20"
          :x="c.x + frameWidth / 2"
          :y="rows.film + 24"
          text-anchor="middle"
          class="small"
        >
          {{ c.number.replace('#', '') }}
        </text>
      </g>
      <g v-for="d in view.skipped" :key="d">
        <line
          :x1="at(d) - frameWidth"
          :y1="rows.film"
          :x2="at(d)"
          :y2="rows.film + rows.filmHeight"
          class="cross"
        />
        <line
          :x1="at(d)"
          :y1="rows.film"
          :x2="at(d) - frameWidth"
          :y2="rows.film + rows.filmHeight"
          class="cross"
        />
      </g>
      <line x1="38" :x2="wide" :y1="rows.lead" :y2="rows.lead" class="axis" />
      <text x="0" :y="rows.lead - rows.leadHeight + 8" class="small">{{ leads.domain()[1] }} d</text>
      <text x="0" :y="rows.lead" class="small">ready</text>
      <g v-for="m in middles" :key="m.says">
        <line :x1="m.from" :x2="m.to" :y1="m.y" :y2="m.y" class="middle" />
        <text :x="m.from" :y="m.top" class="named">{{ m.says }}</text>
      </g>
      <text v-for="m in months" :key="m.x" :x="m.x" :y="rows.months" class="small">{{ m.says }}</text>
      <line x1="38" :x2="wide" :y1="rows.usual - times(1)" :y2="rows.usual - times(1)" class="usual" />
      <text x="0" :y="rows.usual - times(1) + 3" class="small">usual</text>
      <text x="0" :y="rows.usual + 14" class="small">hours</text>
      <text v-for="n in named" :key="n.says" :x="n.x" :y="n.y" text-anchor="middle" class="named">
        {{ n.says }}
      </text>
      <line :x1="now" :x2="now" y1="14" :y2="height - 12" class="now" />
    </svg>
  </div>
</template>

<style scoped>
text {
  font-family: var(--font-mono);
  font-size: 11px;
  fill: var(--ink-2);
}
.named {
  fill: var(--ink);
}
.late-name {
  fill: var(--rose);
}
.frame {
  fill: oklch(0.3 0.02 70);
}
.bar {
  fill: oklch(0.62 0.02 75);
}
.best {
  fill: var(--ink);
}
.dim {
  fill: oklch(0.42 0.02 70);
}
.was-late,
.next,
.cross {
  fill: none;
  stroke: var(--rose);
  stroke-width: 2;
}
.next {
  stroke: var(--ring);
  stroke-width: 1;
  stroke-dasharray: 3 2;
}
.next.may-late {
  stroke: var(--rose);
}
.cross {
  stroke: var(--ring);
  stroke-width: 1;
}
.axis {
  stroke: var(--ring);
}
.usual {
  stroke: var(--ink-2);
  stroke-dasharray: 2 3;
}
.middle {
  stroke: var(--ink);
  stroke-width: 2;
}
.now {
  stroke: var(--lamp);
  stroke-width: 1.5;
}
</style>
