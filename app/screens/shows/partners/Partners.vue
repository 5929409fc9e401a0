<script setup lang="ts">
import { computed, ref } from 'vue'
import { mergePeople } from '@core/commands/people'
import { keepDates } from '@core/commands/deals'
import { useLibrary } from '@app/stores/library'
import { useKeymap } from '@app/ui/keymap'
import ShowsHead from '../ShowsHead.vue'
import AddSomeone from './AddSomeone.vue'
import DealPage from './DealPage.vue'
import InviteTo from './InviteTo.vue'
import { partnersKeys } from './keymap'
import PersonFields from './PersonFields.vue'
import PersonMoves from './PersonMoves.vue'
import PersonRow from './PersonRow.vue'
import TakeCards from './TakeCards.vue'
import type { PersonHere } from '@app/stores/partners'
import { usePartnersHere } from './usePartners'
import VisitsHere from './VisitsHere.vue'

/** People and partners: who takes part, what was agreed with them, and whose move it is. */
const { who = '' } = defineProps<{ who?: string }>()
const library = useLibrary()
const of = usePartnersHere(() => who)
const { partners, listed, here, counts } = of
const adding = ref(false)
const lead = computed(() => {
  const { yours, theirs } = counts.value
  if (yours + theirs === 0) return 'Nobody waits for you, and you for nobody.'
  return `Your move with ${yours}, theirs with ${theirs}`
})
/** Guests come, and whoever is nothing yet; who edits or pays is not asked which episode they are a guest of. */
const mayVisit = ({ known: { roles } }: PersonHere) => roles.size === 0 || roles.has('guest')
const deal = computed(() => here.value?.deals.find((v) => v.dates.length > 0))
useKeymap(partnersKeys, {
  go: ({ which }) => {
    of.step(which === 0 ? -1 : 1)
  },
  keep: () => {
    if (!deal.value) return false
    const { deal: d, dates } = deal.value
    void library.perform(keepDates, { deal: d.id, days: dates.map((s) => s.original) })
    return true
  },
  add: () => {
    adding.value = true
  },
})
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-5 py-4 max-sm:px-3">
    <ShowsHead here="partners">
      <p class="sub flex-1 text-right">{{ lead }}</p>
      <TakeCards />
      <button class="btn" @click="adding = true">Add someone…</button>
    </ShowsHead>
    <ul v-if="partners.same.length > 0" class="panel px-4 py-2 mb-3 grid gap-1" aria-label="May be the same">
      <li v-for="p in partners.same" :key="p.keep.id + p.other.id" class="flex flex-wrap items-center gap-2">
        <span class="flex-1"
          ><strong class="font-semibold">{{ p.other.name }}</strong> and
          <strong class="font-semibold">{{ p.keep.name }}</strong> may be the same.</span
        ><button
          class="btn btn-small"
          @click="library.perform(mergePeople, { keep: p.keep.name, other: p.other.name })"
        >
          Make them one</button
        ><button class="btn btn-small btn-bare" @click="partners.keepApart(p)">They are two people</button>
      </li>
    </ul>
    <p v-if="listed.length === 0" class="panel p-6 max-w-[560px]">
      Guests, helpers and sponsors stand here as soon as an episode names one. Add somebody to note how to
      reach them, to ask them, or to write down what was agreed.
    </p>
    <div v-else class="grid grid-cols-1 gap-x-6 gap-y-4 lg:grid-cols-[380px_minmax(0,1fr)] items-start">
      <nav aria-label="People" class="panel overflow-hidden lg:max-h-[calc(100vh-250px)] lg:overflow-y-auto">
        <p
          class="text-11 text-ink-2 grid grid-cols-[26px_26px_26px_minmax(0,1fr)] gap-x-1 px-3 pt-2"
          aria-hidden="true"
        >
          <span class="text-center">you</span><span /><span class="text-center">they</span>
        </p>
        <section v-for="s in listed" :key="s.name" :aria-label="s.name">
          <h2 class="text-ink-2 text-14 pl-[99px] pt-2 pb-1">{{ s.name }}</h2>
          <ul class="divide-y divide-faint border-b border-faint">
            <PersonRow
              v-for="p in s.people"
              :key="p.known.id"
              :of="p"
              :visits="of.visits(p)"
              :is-here="p === here"
              @choose="of.choose(p)"
            />
          </ul>
        </section>
      </nav>
      <div v-if="here" :key="who" class="grid grid-cols-1 gap-5 min-w-0">
        <DealPage v-if="here.known.roles.has('sponsor')" :of="here" />
        <header v-else>
          <h2 class="text-20 leading-7">{{ here.known.name }}</h2>
          <p class="sub">{{ here.known.person?.work }}</p>
        </header>
        <VisitsHere v-if="here.known.guestOf.length > 0" :of="here" :here="of" />
        <InviteTo v-if="mayVisit(here)" :of="here" />
        <PersonMoves v-if="!here.known.roles.has('sponsor')" :of="here" />
        <PersonFields :of="here" />
      </div>
    </div>
    <AddSomeone v-if="adding" @close="adding = false" />
  </div>
</template>
