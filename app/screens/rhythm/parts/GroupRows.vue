<script setup lang="ts">
import { group } from 'd3-array'
import { computed } from 'vue'
import { enough } from '@core/learnt/claims'
import type { GroupTimes } from '@core/learnt/findings'
import ChartFrame from './ChartFrame.vue'

/** Topics, kinds, weekdays and lengths against the usual: a mark at its middle, with how many it is the middle of. */
const { groups } = defineProps<{ groups: readonly GroupTimes[] }>()
const names = { topic: 'Topics', kind: 'Kinds', weekday: 'Weekdays', length: 'Lengths' } as const
const by = computed(() => [...group(groups, (g) => g.by)])
/** What may be said of one: too few cases to tell, no clear difference, or that it differs. */
const says = (g: GroupTimes) =>
  g.isOther ? 'differs from the rest' : !g.isEnough ? 'too few to tell' : 'no clear difference'
const most = computed(() => Math.max(2, ...groups.flatMap((g) => g.mine)))
const other = computed(() => groups.filter((g) => g.isOther))
const lead = computed(() => {
  const [first] = [...other.value].sort((a, b) => Math.abs(Math.log(b.times)) - Math.abs(Math.log(a.times)))
  return first
    ? `${first.name} does ${first.times.toFixed(1)} times your usual, over ${first.cases} episodes.`
    : 'No topic, kind, day or length clearly stands out.'
})
const rows = computed(() => groups.map((g) => [names[g.by], g.name, g.cases, g.times, says(g)]))
</script>

<template>
  <details>
    <summary class="cursor-pointer font-title font-semibold text-16">{{ lead }}</summary>
    <p class="text-12 text-ink-2 mt-1 mb-3">
      Each mark is an episode against your usual; the ring is the median. With fewer than
      {{ enough }} episodes in a group, or outside it, there are too few to tell.
    </p>
    <ChartFrame
      :picture="false"
      name="What did how"
      :columns="['By', 'Which', 'Episodes', 'Times usual', 'Difference']"
      :rows="rows"
    >
      <div class="grid grid-cols-1 gap-x-8 gap-y-4 md:grid-cols-2 xl:grid-cols-4">
        <section v-for="[name, all] in by" :key="name" :aria-label="names[name]">
          <h3 class="text-12 font-semibold mb-1">{{ names[name] }}</h3>
          <ul>
            <li
              v-for="(g, i) in all"
              :key="g.name"
              class="grid grid-cols-[minmax(0,1fr)_90px_64px] items-center gap-2 py-0.5"
            >
              <span
                v-if="i === 0 || says(g) !== says(all[i - 1] ?? g)"
                class="col-span-3 text-12 text-ink-2 pt-1"
                >{{ says(g) }}</span
              >
              <span class="truncate" :class="g.isOther ? 'font-semibold' : ''">{{ g.name }}</span><span
                class="scale"
                aria-hidden="true"
                ><span
                  v-for="(m, n) in g.mine"
                  :key="n"
                  class="case"
                  :style="{ left: `${(100 * m) / most}%` }" /><span
                  class="one"
                  :style="{ left: `${100 / most}%` }" /><span
                  class="dot"
                  :class="g.isOther ? 'sure' : ''"
                  :style="{ left: `${(100 * g.times) / most}%` }" /></span
              ><span class="num text-right" :class="g.isEnough ? '' : 'text-ink-3'"
                >{{ g.times.toFixed(1) }}× <span class="text-ink-3">{{ g.cases }}</span></span
              >
            </li>
          </ul>
        </section>
      </div>
    </ChartFrame>
  </details>
</template>

<style scoped>
.scale {
  position: relative;
  height: 10px;
  border-bottom: 1px solid var(--line);
}
.case {
  position: absolute;
  bottom: 0;
  height: 5px;
  border-left: 1px solid var(--ink-3);
}
.one,
.dot {
  position: absolute;
  bottom: -4px;
  height: 8px;
}
.one {
  border-left: 1px dashed var(--ring);
}
.dot {
  width: 8px;
  margin-left: -4px;
  border: 1px solid var(--ink-2);
  border-radius: 50%;
}
.dot.sure {
  background: var(--ink);
}
</style>
