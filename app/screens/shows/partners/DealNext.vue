<script setup lang="ts">
import { sayMoney } from '@core/partners/money'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { keepDates, noteRead } from '@core/commands/deals'
import { countWord, payBy } from '@core/partners/deal-next'
import type { DealView } from '@core/partners/deal-view'
import { sayWhen, type PersonMove } from '@core/partners/moves'
import type { Id } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { openSlots } from '@core/rhythm/slots'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import KeySign from '@app/ui/KeySign.vue'
import { partnersKeys } from './keymap'

/** What is next of a deal, by date: one main move, and the others as lines that lead to where they are done. */
const { view, moves, currency } = defineProps<{
  view: DealView
  moves: readonly PersonMove[]
  currency: string
}>()
const emit = defineEmits<{ look: [episode: Id] }>()
const library = useLibrary()
const moment = useMoment()
const cards = useCards()
const partners = usePartners()
const router = useRouter()
const mine = computed(() => moves.filter((m) => m.deed.kind === 'deal' && m.deed.deal === view.deal.id))
const choosing = ref(false)
const chosen = ref<readonly string[]>([])
const open = computed(() =>
  openSlots(view.show, cards.byShow.get(view.show.id) ?? [], moment.now, 24).filter(
    (s) => view.deal.to === undefined || s.day <= view.deal.to,
  ),
)
async function keep(days: readonly string[]) {
  const done = await library.perform(keepDates, { deal: view.deal.id, days })
  if (done.ok) choosing.value = false
}
function choose() {
  chosen.value = view.dates.map((s) => s.original)
  choosing.value = !choosing.value
}
function turn(day: string) {
  chosen.value = chosen.value.includes(day) ? chosen.value.filter((d) => d !== day) : [...chosen.value, day]
}
function act(move: PersonMove) {
  if (move.deed.kind !== 'deal') return
  const { deed } = move.deed.move
  const { episode } = move
  switch (deed.kind) {
    case 'write':
      if (episode) void router.push({ name: 'episode', params: { code: episode.code, stage: 'script' } })
      break
    case 'fill':
      if (episode) void router.push({ name: 'episode', params: { code: episode.code, stage: 'script' } })
      else void router.push({ name: 'schedule' })
      break
    case 'note':
      if (
        episode &&
        (deed.note === 'shown' || deed.note === 'agreed' || deed.note === 'invoiced' || deed.note === 'paid')
      )
        void library.perform(noteRead, {
          deal: view.deal.id,
          episode: episode.id,
          note: { [deed.note]: moment.today },
        })
      break
    case 'settle':
      if (episode) emit('look', episode.id)
      break
    case 'keep dates':
      break
  }
}
const labels = { shown: 'Shown', agreed: 'Agreed', invoiced: 'Written', paid: 'Paid', heardAt: '', ruled: '' }
function labelOf(move: PersonMove): string {
  if (move.deed.kind !== 'deal') return ''
  const { deed } = move.deed.move
  return deed.kind === 'note' ? labels[deed.note] : deed.kind === 'settle' ? 'Look' : 'Go'
}
function sums(move: PersonMove): string {
  if (move.deed.kind !== 'deal' || move.deed.move.deed.kind !== 'note') return ''
  const { note } = move.deed.move.deed
  if (note !== 'invoiced' && note !== 'paid') return ''
  const until =
    note === 'paid' && move.since ? `, until ${sayDay(payBy(move.since, view.deal.payWithin))}` : ''
  return ` ${sayMoney(view.deal.fee ?? 0, currency)}${until}`
}
</script>

<template>
  <section class="grid gap-3 content-start" aria-label="Next">
    <template v-if="view.dates.length > 0">
      <p v-if="view.datesBy" class="sub">
        {{ view.datesBy < moment.today ? 'Due' : 'Next, by' }} {{ sayDay(view.datesBy, moment.today) }},
        {{ sayAway(view.datesBy, moment.today) }}
      </p>
      <h3 class="font-title font-semibold text-16">
        Keep {{ view.dates.length === 1 ? 'a date' : `${countWord(view.dates.length)} dates` }} for them
      </h3>
      <p>{{ view.dates.map((s) => sayDay(s.day, moment.today)).join(', ') }}: open, and as till now.</p>
      <p class="flex flex-wrap gap-2">
        <button class="btn btn-main" @click="keep(view.dates.map((s) => s.original))">
          Keep {{ view.dates.length === 1 ? 'it' : `these ${countWord(view.dates.length)}` }}
          <KeySign :line="partnersKeys.lines.keep" /></button
        ><button class="btn" :aria-expanded="choosing" @click="choose">Choose others</button>
      </p>
      <div v-if="choosing" class="grid gap-1 max-h-[220px] overflow-y-auto panel p-2">
        <label v-for="s in open" :key="s.key" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="chosen.includes(s.original)"
            @change="turn(s.original)"
          />{{ sayDay(s.day, moment.today) }}
          <span class="sub">{{ sayAway(s.day, moment.today) }}</span></label
        >
        <button
          class="btn btn-small justify-self-start"
          :disabled="chosen.length === 0"
          @click="keep(chosen)"
        >
          Keep {{ chosen.length }}
        </button>
      </div>
    </template>
    <h3 v-else-if="mine.length === 0" class="font-title font-semibold text-16">Nothing is open with them</h3>
    <ul class="divide-y divide-faint border-t border-faint">
      <li
        v-for="m in mine.filter((x) => x.deed.kind === 'deal' && x.deed.move.deed.kind !== 'keep dates')"
        :key="`${m.what}${m.episode?.id ?? m.by ?? ''}`"
        class="py-1.5 flex items-baseline gap-2"
      >
        <span class="flex-1 min-w-0"
          >{{ m.what }}{{ sums(m) }}{{ ' '
          }}<span v-if="m.episode" class="num text-ink-2">{{ partners.numberOf(m.episode) }}</span>
          <span class="block text-12" :class="m.who === 'they' ? 'text-sea' : 'text-ink-2'">{{
            sayWhen(m, moment.today) || 'no date yet'
          }}</span></span
        ><button
          class="btn btn-small"
          :aria-label="`${labelOf(m)}: ${m.what}${m.episode ? ` ${partners.numberOf(m.episode)}` : ''}`"
          @click="act(m)"
        >
          {{ labelOf(m) }}
        </button>
      </li>
    </ul>
  </section>
</template>
