<script setup lang="ts">
import { max, sum } from 'd3-array'
import { computed } from 'vue'
import { sixLamps } from '@core/recipe/progress'
import type { Session } from '@core/records'
import { sayAway } from '@core/rhythm/days'
import { localAt, momentAt } from '@core/rhythm/zone'
import type { Cell } from '@core/session/clock'
import { endOf } from '@core/session/kinds'
import { setUpName } from '@core/session/order'
import { useMoment } from '@app/stores/moment'
import { useGradually } from '@app/ui/gradually'
import Flag from '@app/ui/Flag.vue'
import Glyph from '@app/ui/Glyph.vue'
import type { SessionSeen } from '../useSession'

/**
 * The session as film: time to the right, a row an episode, what is got exposed, and the clock where it stands. Widths
 * are minutes.
 */
const { session, seen } = defineProps<{ session: Session; seen: SessionSeen }>()
const moment = useMoment()
const rows = computed(() => [
  ...seen.episodes.value.map((card) => ({ id: card.episode.id, card })),
  ...(session.shots.length > 0 ? [{ id: undefined, card: undefined }] : []),
])
const whole = computed(() => Math.max(30, max(seen.cells.value, (c) => c.start + c.minutes) ?? 0))
const left = (c: Cell) => `${(c.start / whole.value) * 100}%`
const width = (c: Cell) => `${(c.minutes / whole.value) * 100}%`
const items = computed(() => seen.cells.value.filter((c) => c.kind === 'item'))
const drawn = useGradually(() => seen.cells.value.length)
const numbered = computed(() => new Map(items.value.map((c, i) => [c.item?.id, i + 1])))
/** Where something else is set up, with its name as far as there is room for it. */
const turns = computed(() => {
  const found = items.value.filter((c) => c.turns)
  return found.map((c, i) => {
    const next = found[i + 1]
    const until = next ? next.start - next.change : whole.value
    const { item } = c
    const name = item ? (item.kind === 'step' || item.kind === 'section' ? '' : setUpName(item.shot)) : ''
    return { key: item?.id, name, start: c.start, share: (until - c.start) / whole.value }
  })
})
const countOf = (episode: string | undefined) => {
  const mine = items.value.filter((c) => c.item?.episode === episode)
  return { got: sum(mine, (c) => Number(c.item?.got)), of: mine.length }
}
const clockAt = computed(() => {
  const at = seen.clock.value?.at
  return at === undefined ? undefined : `${(Math.min(whole.value, at) / whole.value) * 100}%`
})
/** Where the light ends, where that is within the film. */
const lightAt = computed(() => {
  const { light, run } = session
  if (light === undefined || run.kind === 'struck') return undefined
  const from =
    run.kind === 'planned' ? momentAt(session.day, session.at ?? '10:00', moment.zone) : Date.parse(run.begun)
  const at = (momentAt(session.day, light, moment.zone) - from) / 60_000
  return at > 0 && at < whole.value ? `${(at / whole.value) * 100}%` : undefined
})
</script>

<template>
  <section
    class="film film-edge score"
    :style="{ '--rows': rows.length }"
    :aria-label="`${seen.words.value.name} on film: ${seen.got.value} of ${seen.row.value.length} ${endOf(session.kind).got}`"
  >
    <ul class="names">
      <li v-for="r in rows" :key="r.id ?? 'own'" class="flex items-center gap-2.5 min-w-0">
        <template v-if="r.card"
          ><Glyph :lamps="sixLamps(r.card.standing)" :size="22" :name="r.card.title" /><span
            class="min-w-0 flex-1"
            ><span class="block truncate font-semibold text-12"
              ><span class="num">{{ r.card.number }}</span> {{ r.card.title }}</span
            ><span class="block sub text-11 truncate"
              ><template v-if="r.card.standing.late"
                ><Flag :size="9" /><span class="late">late {{ r.card.standing.late }} d</span>, </template
              >{{
                r.card.standing.release
                  ? `out ${sayAway(r.card.standing.release.day, moment.today)}`
                  : 'no date'
              }}</span
            ></span
          ></template
        ><span v-else class="flex-1 text-12 font-semibold">For no episode yet</span
        ><span class="num text-12"
          ><strong class="text-ink">{{ countOf(r.id).got }}</strong
          >/{{ countOf(r.id).of }}</span
        >
      </li>
    </ul>
    <div class="track" aria-hidden="true">
      <span
        v-for="t in turns"
        :key="t.key"
        class="turn"
        :style="{ left: `${(t.start / whole) * 100}%`, width: `${t.share * 100}%` }"
        ><span class="truncate">{{ t.share > 0.045 ? t.name : '' }}</span></span
      >
      <template v-for="(c, i) in seen.cells.value.slice(0, drawn)" :key="c.item?.id ?? i"
        ><span
          v-if="c.kind === 'setup' && c.minutes > 0"
          class="cell setup"
          :style="{ left: left(c), width: width(c) }"
          >{{ c.minutes / whole > 0.06 ? 'Set up' : '' }}</span
        ><span
          v-else-if="c.kind === 'break'"
          class="cell break"
          :style="{ left: left(c), width: width(c) }"
        /><span
          v-else-if="c.item"
          class="cell item"
          :class="{
            got: c.item.got,
            here: c.item.id === seen.here.value?.id,
            could: !c.item.shot.must,
          }"
          :style="{
            left: left(c),
            width: `max(3px, calc(${width(c)} - 2px))`,
            '--row': Math.max(
              0,
              rows.findIndex((r) => r.id === c.item?.episode),
            ),
          }"
          >{{ c.minutes / whole > 0.022 ? numbered.get(c.item.id) : '' }}</span
        ></template
      >
      <span v-if="lightAt" class="light" :style="{ left: lightAt }"
        ><span>light till {{ session.light }}</span></span
      >
      <span v-if="clockAt" class="clock" :style="{ left: clockAt }"
        ><span class="num">{{ localAt(seen.now.value, moment.zone).time }}</span></span
      >
    </div>
  </section>
</template>

<style scoped src="./session-film.css"></style>
