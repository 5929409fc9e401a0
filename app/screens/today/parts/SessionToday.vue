<script setup lang="ts">
import { computed } from 'vue'
import type { Session } from '@core/records'
import { changeCosts } from '@core/plan/shots'
import { sayMinutes } from '@core/script/timecode'
import { clockOf } from '@core/session/clock'
import { episodesIn, itemsIn, sessionMinutes } from '@core/session/items'
import { sessionKinds, setUpKind } from '@core/session/kinds'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'

/** A session of today, or one that is on its way: what several episodes have done in one go. */
const { session, quiet } = defineProps<{
  session: Session
  /** Something else runs. */
  quiet: boolean
}>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const episodes = computed(() => episodesIn(session, cards.stepIn))
const items = computed(() => itemsIn(session, cards.stepIn))
const setup = computed(() => library.settings.setup[setUpKind(session.kind)] ?? 0)
/** How long it is; on its way, what is left of it. */
const minutes = computed(() => {
  const costs = changeCosts(episodes.value.map((c) => c.show))
  const clock = clockOf(session, items.value, setup.value, costs, moment.now)
  return clock
    ? Math.max(0, Math.round((clock.ends - moment.now) / 60_000))
    : sessionMinutes(session, cards.stepIn, setup.value)
})
const words = computed(() => sessionKinds[session.kind])
const stands = computed(() =>
  session.run.kind === 'planned'
    ? session.at
      ? `from ${session.at}`
      : 'today'
    : session.run.kind === 'setting up'
      ? 'setting up'
      : `${items.value.filter((i) => i.got).length} of ${items.value.length} got`,
)
</script>

<template>
  <section
    class="panel p-4 flex flex-wrap items-center gap-4"
    :class="quiet ? '' : 'border-lamp-line'"
    :aria-label="`Session: ${words.name}`"
  >
    <div class="flex-1 min-w-[200px]">
      <p class="sub">Session, {{ stands }}</p>
      <h2 class="text-20 leading-7">{{ words.name }}</h2>
      <p class="text-ink-2">
        <template v-for="(c, i) in episodes" :key="c.episode.id"
          >{{ i > 0 ? ', ' : '' }}<span class="num">{{ c.number }}</span> {{ c.title }}</template
        ><template v-if="episodes.length === 0">for no episode yet</template>
      </p>
    </div>
    <p class="num text-20 text-ink">
      {{ sayMinutes(minutes) }}{{ session.run.kind === 'running' ? ' left' : '' }}
    </p>
    <RouterLink
      :to="{ name: 'session', params: { session: session.id } }"
      class="btn"
      :class="quiet ? '' : 'btn-main'"
      >Go to it</RouterLink
    >
  </section>
</template>
