<script setup lang="ts">
import { computed } from 'vue'
import type { Session } from '@core/records'
import { sayTime } from '@core/script/timecode'
import { changeBetween } from '@core/plan/shots'
import { useCards } from '@app/stores/cards'
import { usePictures } from '@app/stores/pictures'
import Chalk from '@app/ui/Chalk.vue'
import Flag from '@app/ui/Flag.vue'
import { hasTakes, takesRemarks } from '@core/session/item-kinds'
import { endOf } from '@core/session/kinds'
import KeySign from '@app/ui/KeySign.vue'
import { marks, reasons, sessionKeys } from '../keymap'
import type { SessionSeen } from '../useSession'
import type { SessionDeeds } from '../useSessionDeeds'

/** What is in hand, large: its words, its takes, and what comes next; what can be done with it by one key each. */
const { session, seen, deeds } = defineProps<{ session: Session; seen: SessionSeen; deeds: SessionDeeds }>()
const emit = defineEmits<{ say: [what: 'remark' | 'add']; read: [] }>()
const cards = useCards()
const pictures = usePictures()
const run = computed(() => session.run)
/** Before the first shot it is the one that comes first. */
const item = computed(() => {
  const here = seen.here.value
  return here?.got && seen.open.value.length === 0 ? undefined : (here ?? seen.open.value[0])
})
const card = computed(() => cards.card(item.value?.episode ?? ''))
const paused = computed(() => run.value.kind === 'running' && run.value.pause !== undefined)
const clock = computed(() => seen.clock.value)
const lines = sessionKeys.lines
const next = computed(() => {
  const [now, then] = [item.value, seen.next.value]
  if (!now || !then) return undefined
  const isStill = then.kind === 'step' || changeBetween(now.shot, then.shot, seen.costs.value) === 0
  return {
    item: then,
    says: isStill ? 'stay where you are' : [then.plan.place, then.plan.framing].filter(Boolean).join(', '),
  }
})
const since = computed(() =>
  run.value.kind === 'running' ? Math.max(0, (seen.now.value - Date.parse(run.value.rolled)) / 1000) : 0,
)
const isLate = computed(() => (card.value?.standing.late ?? 0) > 0)
</script>

<template>
  <section aria-label="In hand" class="grid gap-3">
    <template v-if="item">
      <p class="flex items-center gap-2">
        <span class="flex-1 text-ink-2"
          >{{ run.kind === 'running' ? (paused ? 'A break, then' : 'Now') : 'First'
          }}{{ item.shot.must && item.kind !== 'step' ? ', a must-have' : ''
          }}<template v-if="isLate"
            >, <Flag :size="9" /><span class="late">late {{ card?.standing.late }} d</span></template
          ></span
        ><span v-if="clock" class="num text-14 text-ink"
          >{{ sayTime(Math.round(clock.soFar * 60)) }} of {{ clock.given }} min</span
        >
      </p>
      <img
        v-if="pictures.url(item.picture)"
        :src="pictures.url(item.picture)"
        :alt="`How ${item.name} is meant`"
        class="max-w-full max-h-[min(220px,17vh)] justify-self-start rounded-card"
      />
      <div class="flex gap-3">
        <span
          v-if="!pictures.url(item.picture) && (item.kind === 'shot' || item.kind === 'own')"
          class="flex-none w-[128px] h-[88px] rounded-card overflow-hidden"
          ><Chalk :title="item.name"
        /></span>
        <div class="min-w-0">
          <h2 class="text-20 leading-[26px]">{{ item.name }}</h2>
          <p class="sub">
            {{ card ? `${card.number} ${card.title}` : 'for no episode yet'
            }}{{ item.where ? `, ${item.where}` : '' }}
          </p>
        </div>
      </div>
      <blockquote v-if="item.words" class="words">{{ item.words }}</blockquote>
      <ul v-if="item.takes.length > 0" class="flex flex-wrap gap-1.5" aria-label="Takes">
        <li v-for="(t, i) in item.takes" :key="t.id" class="take" :class="t.kept ? 'kept' : ''">
          Take {{ i + 1 }}{{ t.kept ? ', kept' : t.reason ? ` ${t.reason}` : '' }}
        </li>
      </ul>
      <p
        v-if="session.kind === 'record' && run.kind === 'running'"
        class="flex flex-wrap items-center gap-1.5"
      >
        <span class="num text-14 text-ink">{{ sayTime(Math.round(since)) }}</span><button
          v-for="(m, i) in marks"
          :key="m"
          class="btn btn-small"
          @click="deeds.note(m)"
        >
          {{ m }} <KeySign :line="lines.mark" :which="i" />
        </button>
      </p>
      <template v-if="run.kind === 'running'">
        <button v-if="paused" class="btn btn-main" @click="deeds.pause(false)">
          Go on <KeySign :line="lines.go" />
        </button>
        <div v-else class="grid grid-cols-[1fr_auto_auto] gap-2">
          <button class="btn btn-main min-h-[42px]" :disabled="item.got" @click="deeds.take(true)">
            {{ item.kind === 'step' ? 'Done' : 'Got it' }} <KeySign :line="lines.got" /></button
          ><button class="btn" @click="deeds.off(item.id, true)">
            Not today <KeySign :line="lines.off" /></button
          ><button class="btn" @click="deeds.pause(true)">Break <KeySign :line="lines.pause" /></button>
        </div>
        <p v-if="hasTakes(item.kind) && !paused" class="flex flex-wrap items-center gap-1">
          <button
            v-for="(r, i) in reasons"
            :key="r"
            class="btn btn-small px-2 gap-1.5"
            @click="deeds.take(false, r)"
          >
            {{ r || 'again' }} <KeySign :line="lines.again" :which="i" />
          </button>
        </p>
      </template>
      <p v-if="next" class="flex gap-2 sub">
        <span>Next</span><span class="text-ink flex-1 truncate">{{ next.item.name }}</span
        ><span>{{ next.says }}</span>
      </p>
    </template>
    <p v-else-if="run.kind === 'running'" class="text-ink-2">
      {{
        endOf(session.kind).end === 'end'
          ? 'All of it is done. End the session, and its minutes are logged.'
          : 'All of it is got. Look at what stands before striking, then strike.'
      }}
    </p>
    <p class="flex flex-wrap gap-1.5">
      <button
        v-if="run.kind === 'running' && item && takesRemarks(item.kind)"
        class="btn btn-small"
        @click="emit('say', 'remark')"
      >
        Remark <KeySign :line="lines.remark" /></button
      ><button v-if="seen.words.value.items !== 'steps'" class="btn btn-small" @click="emit('say', 'add')">
        {{ session.kind === 'record' ? 'One more question' : 'Came to mind' }}
        <KeySign :line="lines.add" /></button
      ><button v-if="card?.script" class="btn btn-small" @click="emit('read')">
        Reader <KeySign :line="lines.read" />
      </button>
    </p>
  </section>
</template>

<style scoped>
.words {
  max-height: 104px;
  overflow-y: auto;
  padding-left: 12px;
  border-left: 3px solid var(--ring);
  white-space: pre-line;
}
.take {
  padding: 1px 10px;
  border: 1px solid var(--line);
  border-radius: 999px;
  font-size: 12.5px;
  color: var(--ink-2);
}
.take.kept {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 500;
}
</style>
