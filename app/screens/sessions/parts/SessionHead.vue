<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { editSession } from '@core/commands/sessions'
import type { Session } from '@core/records'
import { localAt } from '@core/rhythm/zone'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { endOf } from '@core/session/kinds'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import TimeField from '@app/ui/fields/TimeField.vue'
import { sessionKeys } from '../keymap'
import type { SessionSeen } from '../useSession'
import type { SessionDeeds } from '../useSessionDeeds'

/** When it is, how it goes, and the one thing to do next. */
const { session, seen, deeds } = defineProps<{ session: Session; seen: SessionSeen; deeds: SessionDeeds }>()
const Drop = defineAsyncComponent(() => import('@app/ui/Drop.vue'))
const library = useLibrary()
const moment = useMoment()
const run = computed(() => session.run)
const clock = computed(() => seen.clock.value)
const ahead = computed(() => Math.round(clock.value?.ahead ?? 0))
const keeps = computed(() =>
  ahead.value === 0
    ? 'on time'
    : `${sayMinutes(Math.abs(ahead.value))} ${ahead.value < 0 ? 'behind' : 'ahead'}`,
)
const isShots = computed(() => seen.words.value.items === 'shots')
const changes = computed(() => seen.changes.value)
const wantsLight = computed(() => seen.row.value.some((i) => i.shot.daylight))
const edit = (to: { at?: string; light?: string }) =>
  library.perform(editSession, { session: session.id, to }, 'quietly')
const words = computed(() => endOf(session.kind))
const end = computed(() => (words.value.end === 'end' ? 'End' : 'Strike'))
const what = computed(() => (seen.words.value.items === 'steps' ? '' : `${seen.words.value.items} `))
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-4 gap-y-2 mb-3">
    <h1>{{ seen.words.value.name }}</h1>
    <p class="text-ink-2">
      {{ sayDay(session.day, moment.today)
      }}<template v-if="seen.episodes.value.length > 0"
        >,
        {{
          seen.episodes.value.length === 1 ? 'one episode' : `${seen.episodes.value.length} episodes`
        }}</template
      >
    </p>
    <p v-if="run.kind === 'planned' && isShots && seen.row.value.length > 1" class="sub">
      {{ changes.now.changes }} {{ changes.now.changes === 1 ? 'change' : 'changes' }} of set-up<template
        v-if="changes.given.minutes > changes.now.minutes"
        >, {{ changes.given.changes }} episode by episode; saves
        {{ sayMinutes(changes.given.minutes - changes.now.minutes) }}</template
      ><template v-if="changes.now.dark.length > 0"
        >. <Flag /><span class="late">{{ changes.now.dark.length }} after the light</span></template
      >
    </p>
    <span class="flex-1" />
    <p v-if="clock" class="text-ink-2" aria-live="off">
      <strong class="text-ink">{{ seen.got.value }}</strong> of {{ seen.row.value.length }} {{ what }}·
      <span :class="ahead < -2 ? 'late' : ''"><Flag v-if="ahead < -2" />{{ keeps }}</span>
      · done about <strong class="num text-14 text-ink">{{ localAt(clock.ends, moment.zone).time }}</strong>
    </p>
    <p v-else-if="run.kind === 'struck'" class="text-ink-2">
      <strong class="text-ink">{{ run.got }}</strong> of {{ run.of }} {{ words.got }} in
      {{ sayMinutes(run.minutes)
      }}<template v-if="run.setup > 0">, set up in {{ sayMinutes(run.setup) }}</template>
    </p>
    <RouterLink v-if="session.kind === 'write'" to="/scripts" class="btn btn-small">The desk</RouterLink>
    <Drop v-if="run.kind === 'planned'" label="When" small right
      ><div class="grid gap-2">
        <TimeField
          :model-value="session.at ?? ''"
          label="Begins"
          @update:model-value="edit({ at: $event || undefined })"
        /><TimeField
          v-if="wantsLight"
          :model-value="session.light ?? ''"
          label="Light ends"
          @update:model-value="edit({ light: $event || undefined })"
        /></div
    ></Drop>
    <button v-if="run.kind === 'running' && isShots" class="btn btn-small" @click="deeds.reorder">
      Order anew <KeySign :line="sessionKeys.lines.order" />
    </button>
    <button v-if="run.kind === 'planned'" class="btn btn-main" @click="deeds.go">
      {{ seen.setup.value > 0 ? 'Begin setting up' : 'Begin' }} <KeySign :line="sessionKeys.lines.go" />
    </button>
    <button v-else-if="run.kind === 'setting up'" class="btn btn-main" @click="deeds.go">
      {{ run.warned ? 'Go on all the same' : 'First one' }} <KeySign :line="sessionKeys.lines.go" />
    </button>
    <button
      v-if="run.kind === 'running' || run.kind === 'setting up'"
      class="btn"
      :class="seen.open.value.length === 0 && run.kind === 'running' ? 'btn-main' : ''"
      @click="deeds.strike"
    >
      {{ seen.open.value.length === 0 ? end : `${end} here` }}
      <KeySign :line="sessionKeys.lines.strike" />
    </button>
    <RouterLink v-if="run.kind === 'struck'" to="/sessions" class="btn">All sessions</RouterLink>
  </header>
</template>
