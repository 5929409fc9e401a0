<script setup lang="ts">
import { nextTick } from 'vue'
import { sixLamps } from '@core/recipe/progress'
import { sayAway, sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { moveOf } from '@core/views/slots'
import { sayState } from '@core/views/state-words'
import type { WorkRows } from '@core/views/work-rows'
import { useForms } from '@app/stores/forms'
import { useMoment } from '@app/stores/moment'
import { vCarries, vTakes, type Target } from '@app/ui/drag/carry'
import Flag from '@app/ui/Flag.vue'
import FormSign from '@app/ui/FormSign.vue'
import Glyph from '@app/ui/Glyph.vue'
import KeySign from '@app/ui/KeySign.vue'
import { keysOn } from '@app/ui/keymap'
import { carriedEpisode } from '../carried'
import { workKeys } from '../keymap'
import type { WorkRowsSeen } from '../useWorkRows'

/** Everything in work in rows under headings: next step, what is missing, whose move it is, when it goes out. */
const { seen } = defineProps<{ seen: WorkRowsSeen }>()
const moment = useMoment()
const forms = useForms()
const keyed = keysOn<keyof (typeof workKeys)['lines'], [WorkRows, Card]>(workKeys, {
  order: ({ which }, group, card) => {
    const done = seen.nudge(group, card, which === 0 ? -1 : 1)
    void done?.then(async () => {
      await nextTick()
      document.querySelector<HTMLElement>(`[data-work="${group.key} ${card.episode.id}"]`)?.focus()
    })
    return done !== undefined
  },
})
const target = (group: WorkRows, card: Card): Target => ({
  takes: (c) => c.kind === 'episode' && group.cards.some((x) => x.episode.id === c.id),
  drop: (c) => {
    if (c.kind === 'episode') seen.before(group, c.id, card)
  },
})
/** What is missing where it stands, and how much more there is. */
function missing({ standing }: Card): string {
  if (standing.ready || standing.scheduled) return sayState(standing)
  const stage = standing.where?.stage
  const here = standing.missing.filter((m) =>
    m.kind === 'part'
      ? stage?.parts.includes(m.part)
      : m.kind === 'step'
        ? m.step.stage === stage?.id
        : m.stage === stage?.id,
  )
  const names = [...new Set((here.length > 0 ? here : standing.missing).map((m) => m.name))].slice(0, 3)
  const more = standing.missing.length - names.length
  return more > 0 ? `${names.join(', ')} and ${more} more` : names.join(', ')
}
function move(card: Card): string {
  const of = moveOf(card)
  return of === undefined ? '' : of.who === 'me' ? 'mine' : of.waits ? `waits on ${of.who}` : of.who
}
function goesOut({ standing, episode }: Card): string {
  const { release } = standing
  if (release) return `${sayDay(release.day, moment.today)}, ${sayAway(release.day, moment.today)}`
  return episode.spare ? 'spare' : 'no date'
}
</script>

<template>
  <div class="panel overflow-x-auto">
    <table class="w-full border-collapse work">
      <caption class="unseen">
        Everything in work
      </caption>
      <thead>
        <tr>
          <th scope="col">Episode</th>
          <th scope="col" class="w-[210px]">Next step</th>
          <th scope="col" class="w-[240px]">Missing</th>
          <th scope="col" class="w-[120px]">Whose move</th>
          <th scope="col" class="w-[150px]">Goes out</th>
        </tr>
      </thead>
      <tbody v-for="g in seen.rows.value" :key="g.key" :aria-label="g.name">
        <tr>
          <th scope="rowgroup" colspan="5" class="heading">
            {{ g.name }} <span class="num font-normal">{{ g.cards.length }}</span><span
              v-if="g.minutes > 0"
              class="sub font-normal"
            >
              · {{ seen.left(g) }}</span
            >
          </th>
        </tr>
        <tr
          v-for="c in g.cards"
          :key="c.episode.id"
          v-carries="carriedEpisode(c)"
          v-takes="target(g, c)"
          class="line"
        >
          <th scope="row">
            <span class="flex items-center gap-2.5 min-w-0"
              ><Glyph :size="22" :lamps="sixLamps(c.standing)" :name="c.title" class="flex-none" /><RouterLink
                :to="{ name: 'episode', params: { code: c.episode.code } }"
                class="no-underline min-w-0 truncate font-semibold"
                :data-work="`${g.key} ${c.episode.id}`"
                @keydown="keyed($event, g, c)"
                >{{ c.title }}</RouterLink
              ><FormSign :name="forms.of(c.episode)" /><span class="num text-11 text-ink-2 flex-none">{{
                c.number
              }}</span></span
            >
          </th>
          <td>
            <template v-if="c.standing.next"
              >{{ c.standing.next.step.name
              }}<span v-if="c.standing.next.due" class="block text-11 text-ink-2"
                >due {{ sayDay(c.standing.next.due, moment.today) }}</span
              ></template
            >
          </td>
          <td class="text-ink-2">{{ missing(c) }}</td>
          <td>{{ move(c) }}</td>
          <td>
            {{ goesOut(c)
            }}<span v-if="c.standing.late !== undefined" class="block text-11"
              ><Flag :size="9" /><span class="late">late {{ c.standing.late }} d</span></span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="seen.rows.value.length === 0" class="p-5 sub">
      Nothing is in work here. Start an idea, or put one on a slot.
    </p>
  </div>
  <p v-if="seen.shown.value.length > 1" class="sub mt-2">
    Drag a row, or press <KeySign :line="workKeys.lines.order" /> on its title, to put it before another of
    its heading.
  </p>
</template>

<style scoped>
.work thead th {
  padding: 8px 10px 6px;
  font: 400 11px/13px var(--font-sans);
  color: var(--ink-2);
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.work .heading {
  padding: 12px 14px 4px;
  text-align: left;
  font-weight: 600;
  border-bottom: 1px solid var(--faint);
}
.work .line th,
.work .line td {
  padding: 5px 10px;
  height: 42px;
  font-size: 12px;
  line-height: 16px;
  text-align: left;
  font-weight: 400;
  border-bottom: 1px solid var(--faint);
}
.work .line th {
  padding-left: 14px;
  font-size: 14px;
  max-width: 0;
}
.work .line[data-goal] {
  box-shadow: inset 0 2px var(--ink);
}
</style>
