<script setup lang="ts">
import { sayMoney } from '@core/partners/money'
import { computed, ref } from 'vue'
import { removeReservation } from '@core/commands/schedule'
import { isWith } from '@core/partners/deal-of'
import type { Id } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import type { PersonHere } from '@app/stores/partners'
import ChoiceRow from '@app/ui/ChoiceRow.vue'
import DealAsked from './DealAsked.vue'
import DealFilm from './DealFilm.vue'
import DealNext from './DealNext.vue'
import DealSheet from './DealSheet.vue'
import DealStatement from './DealStatement.vue'
import { sayAgreed } from './say-deal'

/** A sponsor: what was agreed, what of it was delivered and paid, and what is next. */
const { of } = defineProps<{ of: PersonHere }>()
const library = useLibrary()
const moment = useMoment()
const chosen = ref<Id>()
const view = computed(() => of.deals.find((v) => v.deal.id === chosen.value) ?? of.deals[0])
const looked = ref<Id>()
/** The read that is looked at: the one chosen, else the next to come, else the last. */
const read = computed(() => {
  const reads = view.value?.reads ?? []
  return reads.find((r) => r.episode.id === looked.value) ?? view.value?.coming[0] ?? reads.at(-1)
})
const writing = ref<'new' | 'this'>()
const currency = computed(() => library.settings.currency ?? '')
const money = computed(() => {
  const v = view.value
  if (!v || (v.deal.fee ?? 0) === 0) return []
  const { paid, due, invoiced, toCome } = v.money
  return [
    [`${sayMoney(v.deal.fee ?? 0, currency.value)} each:`, ''],
    ...(
      [
        ['paid', paid],
        ['due', due],
        ['on an invoice', invoiced],
        ['to come', toCome],
      ] as const
    ).flatMap(([name, sum]) => (sum === 0 ? [] : [[sayMoney(sum, currency.value), name] as const])),
  ]
})
/** Slots that are kept month by month with nothing written down. */
const standing = computed(() =>
  [...library.tables.reservations.values()].filter(
    (r) => r.kind === 'sponsor' && r.kept.kind === 'deal' && isWith({ sponsor: of.known.name }, r.name),
  ),
)
const showOf = (id: Id) => library.tables.shows.get(id)?.title ?? ''
</script>

<template>
  <div class="grid grid-cols-1 gap-4 min-w-0">
    <header class="flex flex-wrap items-start gap-x-6 gap-y-1">
      <div class="flex-1 min-w-[260px]">
        <h2 class="text-20 leading-7">{{ of.known.name }}</h2>
        <p class="text-ink-2">
          {{
            view
              ? sayAgreed(view.deal, view.show, moment.today)
              : 'Nothing is written down of what was agreed.'
          }}
        </p>
      </div>
      <div v-if="view" class="text-right max-sm:text-left">
        <p>
          <strong class="font-title text-20 font-semibold"
            >{{ view.delivered }} of {{ view.deal.reads }}</strong
          >
          <span class="text-ink-2"> delivered</span>
        </p>
        <p v-if="money.length > 0" class="text-ink-2">
          <span
            v-for="([sum, name], i) in money"
            :key="name"
            :class="name === 'due' ? 'text-ink font-semibold' : ''"
            >{{ sum }} {{ name }}{{ i > 0 && i < money.length - 1 ? ', ' : ' ' }}</span
          >
        </p>
      </div>
    </header>
    <template v-if="view">
      <DealFilm :view="view" :here="read?.episode.id" @look="looked = $event" />
      <div class="grid grid-cols-1 gap-6 xl:grid-cols-[minmax(0,1fr)_300px] items-start">
        <DealAsked v-if="read" :view="view" :read="read" />
        <p v-else class="sub">No episode has a read for them yet. Put one on a slot that is kept for them.</p>
        <DealNext :view="view" :moves="of.moves" :currency="currency" @look="looked = $event" />
      </div>
    </template>
    <p class="flex flex-wrap gap-2">
      <ChoiceRow
        v-if="of.deals.length > 1"
        :model-value="view?.deal.id ?? ''"
        label="Which deal"
        :of="
          of.deals.map(
            (v) => [v.deal.id, `${v.show.title}, from ${sayDay(v.deal.from, moment.today)}`] as const,
          )
        "
        @update:model-value="chosen = $event"
      />
      <button v-if="view" class="btn btn-small" @click="writing = 'this'">What was agreed…</button
      ><button class="btn btn-small" :class="view ? '' : 'btn-main'" @click="writing = 'new'">
        {{ view ? 'Another deal…' : 'Write down what was agreed…' }}</button
      ><DealStatement v-if="view" :view="view" :currency="currency" />
    </p>
    <p v-for="r in standing" :key="r.id" class="panel px-4 py-2 flex flex-wrap items-center gap-x-3">
      <span class="flex-1"
        >{{ r.kept.kind === 'deal' && r.kept.perMonth > 1 ? `${r.kept.perMonth} slots` : 'One slot' }} a month
        of {{ showOf(r.show) }} is kept for them{{ r.note ? `: ${r.note}` : '.' }}</span
      ><button
        class="btn btn-small btn-bare"
        @click="library.perform(removeReservation, { reservation: r.id })"
      >
        Keep no more of them
      </button>
    </p>
    <DealSheet
      v-if="writing"
      :sponsor="of.known.name"
      :deal="writing === 'this' ? view?.deal : undefined"
      @close="writing = undefined"
    />
  </div>
</template>
