<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { Download } from '@lucide/vue'
import { writeSpinOff, type SpinFields } from '@core/commands/spin-offs'
import { batchTable } from '@core/formats/batch-table'
import type { SpinKind, SpinOff } from '@core/records'
import { going } from '@core/release/moves'
import { charactersIn } from '@core/release/limits'
import { isSpinOut } from '@core/release/spin-offs'
import { spinFault, spinState } from '@core/release/spin-parts'
import { sayKind, thingsOf } from '@core/release/when'
import { sayAway, sayDay } from '@core/rhythm/days'
import { dayAt, localAt } from '@core/rhythm/zone'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { download } from '@app/ui/download'
import ChoiceRow from '@app/ui/ChoiceRow.vue'
import { useKeymap } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { writeKeys } from './keymap'
import { spinLamp } from '../episode/spin/spin-lamp'

/** What is made of episodes and not out yet, one under the other: ten posts are written in one sitting. */
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
interface Row {
  card: Card
  spin: SpinOff
  at: number | undefined
}
/** What has no moment yet stands last. */
const noMoment = Number.MAX_SAFE_INTEGER
const every = computed((): Row[] =>
  [...new Set([...cards.working, ...cards.lately])]
    .flatMap((card) => {
      const at = new Map(
        thingsOf(card.episode, card.show, card.outlets).flatMap((t) => (t.spin ? [[t.spin.id, t.at]] : [])),
      )
      return (card.episode.spinOffs ?? [])
        .filter((s) => s.off !== true && !isSpinOut(card.episode, s))
        .map((spin) => ({ card, spin, at: at.get(spin.id) }))
    })
    .sort((a, b) => (a.at ?? noMoment) - (b.at ?? noMoment)),
)
const kind = ref<SpinKind | ''>('')
const kinds = computed(() => [...new Set(every.value.map((r) => r.spin.kind))])
const rows = computed(() => every.value.filter((r) => kind.value === '' || r.spin.kind === kind.value))
const outletOf = (s: SpinOff) => library.tables.outlets.get(s.outlet ?? '')
const stateOf = ({ card, spin }: Row) => spinState(card, spin)
const ready = computed(() => rows.value.filter((r) => stateOf(r) === 'ready').length)
function write({ card, spin }: Row, fields: SpinFields) {
  void library.perform(writeSpinOff, { episode: card.episode.id, spin: spin.id, fields }, 'quietly')
}
const when = ({ card, at }: Row) => {
  if (at === undefined) return 'no moment yet'
  const { day, time } = localAt(at, card.show.zone)
  return `${sayDay(day, moment.today)} ${time}, ${sayAway(dayAt(at, card.show.zone), moment.today)}`
}
const count = (s: SpinOff) => {
  const length = charactersIn(s.text.trim())
  const most = outletOf(s)?.descriptionLimit
  return most === undefined ? String(length) : `${length}/${most}`
}
/** Goes on to the next words; what was typed is kept as the field is left. */
async function next() {
  const fields = [...document.querySelectorAll<HTMLTextAreaElement>('[data-words]')]
  const at = fields.findIndex((f) => f === document.activeElement)
  fields[at]?.blur()
  await nextTick()
  fields[at + 1]?.focus()
}
useKeymap(writeKeys, { next: () => void next() }, ['next'])
function save() {
  const things = rows.value.flatMap(({ card, spin }) =>
    thingsOf(card.episode, card.show, card.outlets)
      .filter((t) => t.spin?.id === spin.id)
      .map((t) => going(card, t)),
  )
  download(`to-post-${moment.today}.csv`, batchTable(things, moment.zone), 'text/csv')
}
</script>

<template>
  <div class="mx-auto max-w-[1000px] px-5 py-4 grid grid-cols-1 gap-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>Write in one sitting</h1>
      <p class="flex-1 text-16 font-medium">
        {{
          rows.length === 0
            ? 'Nothing waits to be written.'
            : ready === rows.length
              ? 'All of it is ready.'
              : `${rows.length - ready} of ${rows.length} still to write.`
        }}
      </p>
      <ChoiceRow
        v-if="kinds.length > 1"
        v-model="kind"
        label="Which"
        :of="[['', 'All'] as const, ...kinds.map((k) => [k, sayKind(k)] as const)]"
      />
      <button class="btn btn-small" :disabled="rows.length === 0" @click="save">
        <Download :size="14" aria-hidden="true" /> Save as CSV
      </button>
    </header>
    <p v-if="rows.length === 0" class="sub max-w-[520px]">
      Excerpts, posts, letters and articles of episodes stand here until they are out. Make one on an
      episode’s Release stage, or write in its recipe what every episode has.
    </p>
    <ul v-else class="grid gap-3">
      <li
        v-for="r in rows"
        :key="r.spin.id"
        class="panel p-4 grid gap-2"
        :aria-label="`${sayKind(r.spin.kind)} ${r.spin.code}`"
      >
        <p class="flex flex-wrap items-center gap-x-3">
          <LampMark :lamp="spinLamp(stateOf(r))" :size="18" :name="stateOf(r)" />
          <strong class="font-semibold">{{ sayKind(r.spin.kind) }}</strong>
          <RouterLink
            class="flex-1 min-w-0 truncate no-underline hover:underline"
            :to="{
              name: 'episode',
              params: { code: r.card.episode.code, stage: 'release' },
              query: { at: `spin-${r.spin.id}` },
            }"
            ><span class="num text-ink-2">{{ r.card.number }}</span> {{ r.card.title }}</RouterLink
          >
          <span class="sub">{{ outletOf(r.spin)?.name ?? 'no outlet yet' }}, {{ when(r) }}</span>
        </p>
        <TextField
          :model-value="r.spin.title"
          lazy
          label="Title"
          hidden
          placeholder="Title"
          @update:model-value="write(r, { title: $event })"
        />
        <TextField
          :model-value="r.spin.text"
          lazy
          :rows="r.spin.kind === 'article' || r.spin.kind === 'letter' ? 8 : 3"
          label="Words"
          hidden
          placeholder="Words"
          data-words
          @update:model-value="write(r, { text: $event })"
        />
        <p class="sub flex gap-3">
          <span class="num">{{ count(r.spin) }}</span><span v-if="spinFault(r.card, r.spin)" class="late"
            ><Flag />{{ spinFault(r.card, r.spin) }}</span
          ><span class="ml-auto"><KeySign :line="writeKeys.lines.next" /> goes on to the next</span>
        </p>
      </li>
    </ul>
  </div>
</template>
