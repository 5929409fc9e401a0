<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { changeSteps, moveSession, planSession, removeSession } from '@core/commands/sessions'
import type { Day, Id, SessionKind } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { sessionKinds, setUpKind } from '@core/session/kinds'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useSessions } from '@app/stores/sessions'
import { useKeymap } from '@app/ui/keymap'
import { sessionsKeys } from './keymap'
import HeldRow from './parts/HeldRow.vue'
import NewSession from './parts/NewSession.vue'
import PlannedRow from './parts/PlannedRow.vue'
import ProposedSession from './parts/ProposedSession.vue'
import SmallProposal from './parts/SmallProposal.vue'

/** Who could go together, the sessions that are laid, and those that were held. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const sessions = useSessions()
const router = useRouter()
const first = computed(() => sessions.together[0])
const others = computed(() => sessions.together.slice(1))

async function lay(of: { kind: SessionKind; day: Day; steps: readonly Id[]; minutes?: number | undefined }) {
  const id = library.newId()
  const done = await library.perform(planSession, { id, ...of })
  if (done.ok && of.kind === 'stock') void router.push({ name: 'session', params: { session: id } })
  return done.ok
}
const open = (session: Id) => void router.push({ name: 'session', params: { session } })
const chosen = ref<{ day: Day; steps: Id[] }>()
useKeymap(sessionsKeys, {
  lay: () => {
    const of = first.value
    if (!of) return false
    const steps = of.candidates.flatMap((c) => c.steps.map((s) => s.state.step.id))
    void lay({ kind: of.kind, ...(chosen.value ?? { day: of.day, steps }) })
    return true
  },
  open: () => {
    const next = sessions.running ?? sessions.coming[0]
    if (next) open(next.id)
    return next !== undefined
  },
})
const many = ['', '', 'Two episodes', 'Three episodes', 'Four episodes']
const leading = computed(() => {
  const of = first.value
  const next = sessions.running ?? sessions.coming[0]
  if (sessions.running) return 'A session is on its way.'
  if (next && next.day <= moment.today) return `${sessionKinds[next.kind].name} is today.`
  if (of) {
    const how =
      of.kind === 'film'
        ? 'filmed with one set-up'
        : of.kind === 'record'
          ? 'recorded with one set-up'
          : 'done in one go'
    return `${many[of.candidates.length] ?? 'Several'} could be ${how}.`
  }
  if (next) return `Next: ${sessionKinds[next.kind].name.toLowerCase()}, ${sayDay(next.day, moment.today)}.`
  return 'Episodes that can be filmed, recorded or edited in one go stand here.'
})
</script>

<template>
  <div class="mx-auto max-w-[1160px] px-5 py-4 grid gap-6 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>Sessions</h1>
      <p class="flex-1 min-w-[240px] text-ink-2">{{ leading }}</p>
      <RouterLink to="/scripts" class="btn btn-small">Scripts on the desk</RouterLink
      ><NewSession :candidates="sessions.candidates" @lay="lay" />
    </header>
    <section v-if="sessions.coming.length > 0" aria-labelledby="laid">
      <h2 id="laid" class="mb-2">Laid</h2>
      <ul class="panel divide-y divide-faint">
        <PlannedRow
          v-for="s in sessions.coming"
          :key="s.id"
          :session="s"
          :step-in="cards.stepIn"
          :setup="library.settings.setup[setUpKind(s.kind)] ?? 0"
          :candidates="sessions.candidates(s.kind)"
          @steps="library.perform(changeSteps, { session: s.id, steps: $event })"
          @move="library.perform(moveSession, { session: s.id, day: $event })"
          @remove="library.perform(removeSession, { session: s.id })"
        />
      </ul>
    </section>
    <ProposedSession
      v-if="first"
      :key="`${first.kind} ${first.day} ${first.candidates.length}`"
      :of="first"
      @lay="lay"
      @choose="chosen = $event"
    />
    <section v-if="others.length > 0" aria-labelledby="also">
      <h2 id="also" class="mb-2">Also in one go</h2>
      <ul class="panel divide-y divide-faint">
        <SmallProposal v-for="o in others" :key="o.kind" :of="o" @lay="lay" />
      </ul>
    </section>
    <div v-if="sessions.all.length === 0 && sessions.together.length === 0" class="panel p-6">
      <p class="mb-3 max-w-[60ch]">
        When two episodes wait to be filmed, recorded or edited, this screen says who goes together, on which
        day, and what setting up once saves.
      </p>
      <RouterLink to="/ideas" class="btn">Start another idea</RouterLink>
    </div>
    <details v-if="sessions.held.length > 0">
      <summary class="cursor-pointer font-title font-semibold text-16">
        Held <span class="num font-normal">{{ sessions.held.length }}</span>
      </summary>
      <ul class="panel divide-y divide-faint mt-2">
        <HeldRow v-for="s in sessions.held" :key="s.id" :session="s" />
      </ul>
    </details>
  </div>
</template>
