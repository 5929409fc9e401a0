<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import type { Session } from '@core/records'
import { takesRemarks } from '@core/session/item-kinds'
import { useCards } from '@app/stores/cards'
import { useKeymap } from '@app/ui/keymap'
import { marks, reasons, sessionKeys } from '../keymap'
import { useSession } from '../useSession'
import { useSessionDeeds } from '../useSessionDeeds'
import CheckLists from './CheckLists.vue'
import InHand from './InHand.vue'
import ItemRows from './ItemRows.vue'
import SaidLine from './SaidLine.vue'
import SessionFilm from './SessionFilm.vue'
import SessionHead from './SessionHead.vue'

const { session } = defineProps<{ session: Session }>()
const cards = useCards()
const router = useRouter()
const seen = useSession(() => session)
const deeds = useSessionDeeds(() => session, seen)
const running = computed(() => session.run.kind === 'running')
/** What is being written: a remark for the edit, or something that came to mind. */
const saying = ref<'remark' | 'add'>()
const line = useTemplateRef<InstanceType<typeof SaidLine>>('line')
async function say(what: 'remark' | 'add') {
  saying.value = what
  await nextTick()
  line.value?.focus()
}
async function said(text: string) {
  const what = saying.value
  saying.value = undefined
  if (text.trim() === '') return
  if (what === 'remark') await deeds.note(text)
  else await deeds.add(text, seen.here.value?.episode ?? seen.episodes.value[0]?.episode.id)
}
function read() {
  const card = cards.card(seen.here.value?.episode ?? seen.episodes.value[0]?.episode.id ?? '')
  if (card) void router.push({ name: 'reader', params: { code: card.episode.code } })
}
/** Keys of what is in hand are left to others while nothing is. */
const onlyRunning = (act: () => unknown) => () => {
  if (!running.value) return false
  act()
  return true
}
useKeymap(sessionKeys, {
  go: () => deeds.go(),
  check: deeds.checkNext,
  got: onlyRunning(() => deeds.take(true)),
  again: ({ which }) => onlyRunning(() => deeds.take(false, reasons[which]))(),
  off: onlyRunning(() => seen.here.value && deeds.off(seen.here.value.id, true)),
  turn: ({ which }) =>
    onlyRunning(() => {
      deeds.turn(which === 0 ? -1 : 1)
    })(),
  move: ({ which }) =>
    onlyRunning(() => {
      if (seen.here.value) deeds.move(seen.here.value.id, which === 0 ? -1 : 1)
    })(),
  remark: () =>
    running.value && seen.here.value && takesRemarks(seen.here.value.kind) ? void say('remark') : false,
  mark: ({ which }) =>
    session.kind === 'record' && running.value ? void deeds.note(marks[which] ?? 'good') : false,
  add: () => (seen.words.value.items === 'steps' || session.run.kind === 'struck' ? false : void say('add')),
  read,
  pause: onlyRunning(() => deeds.pause(true)),
  order: onlyRunning(() => deeds.reorder()),
  strike: () => (session.run.kind === 'planned' ? false : void deeds.strike()),
})
</script>

<template>
  <div class="session">
    <SessionHead :session="session" :seen="seen" :deeds="deeds" />
    <SessionFilm v-if="seen.row.value.length > 0" :session="session" :seen="seen" />
    <div class="columns">
      <CheckLists
        v-if="seen.before.value.length + seen.after.value.length > 0"
        class="checks"
        :before="seen.before.value"
        :after="seen.after.value"
        :began="running || session.run.kind === 'struck'"
        :stopped="session.run.kind === 'setting up' && session.run.warned === true"
        @check="deeds.check"
      />
      <ItemRows class="items" :session="session" :seen="seen" :deeds="deeds" />
      <div v-if="session.run.kind !== 'struck'" class="hand">
        <SaidLine v-if="saying" ref="line" :what="saying" :kind="session.kind" @said="said" />
        <InHand :session="session" :seen="seen" :deeds="deeds" @say="say" @read="read" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.session {
  max-width: 1360px;
  margin: 0 auto;
  padding: 16px 20px;
}
.columns {
  display: grid;
  gap: 20px;
  grid-template-columns: 216px minmax(0, 1fr) 348px;
  align-items: start;
}
.columns:not(:has(.checks)) {
  grid-template-columns: minmax(0, 1fr) 348px;
}
@media (max-width: 1023px) {
  .columns,
  .columns:not(:has(.checks)) {
    grid-template-columns: minmax(0, 1fr);
  }
  .hand {
    order: -1;
  }
}
@media (max-width: 639px) {
  .session {
    padding: 12px;
  }
}
</style>
