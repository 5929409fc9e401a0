<script setup lang="ts">
import { useRouter } from 'vue-router'
import { editKeyword, jotForKeyword, removeKeyword } from '@core/commands/keywords'
import { readFigure } from '@core/formats/keyword-table'
import { type Cover } from '@core/ideas/opportunity'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import { rewrite, typedIn } from '@app/ui/fields/event'

/** One keyword: its figures, what is made on it, own notes. */
const { of } = defineProps<{ of: Cover }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const router = useRouter()
const said = { covered: 'covered', planned: 'planned', open: 'open' }
const figures = new Intl.NumberFormat('en', { notation: 'compact', maximumFractionDigits: 1 })

const measured = [
  { name: 'searches', label: 'Searches a month', width: 'w-[84px]' },
  { name: 'competing', label: 'Competing results', width: 'w-[78px]' },
] as const
const shown = (n: number | undefined) => (n === undefined ? '' : n >= 1000 ? figures.format(n) : n)

function figure(name: 'searches' | 'competing', event: Event) {
  const read = readFigure(typedIn(event))
  if (read === 'wrong') {
    library.say(`“${typedIn(event)}” is no figure. Write it as 12400, 12.4k or 10k–20k.`, 'refused')
    rewrite(event, String(of.keyword[name] ?? ''))
    return
  }
  void library.perform(editKeyword, { keyword: of.keyword.id, fields: { [name]: read } }, 'quietly')
}
async function idea() {
  const made = await library.perform(jotForKeyword, { keyword: of.keyword.id }, 'quietly')
  const id = made.ok ? made.value.about[0] : undefined
  if (!id) return
  const e = library.tables.episodes.get(id)
  if (e) void router.push({ name: 'idea', params: { code: e.code } })
}
</script>

<template>
  <tr :data-keyword="of.keyword.id" tabindex="-1">
    <td class="min-w-[190px]">
      <input
        class="quiet-field mx-0 font-medium"
        :value="of.keyword.words"
        :aria-label="`Keyword ${of.keyword.words}`"
        @change="
          library.perform(
            editKeyword,
            {
              keyword: of.keyword.id,
              fields: { words: typedIn($event) },
            },
            'quietly',
          )
        "
      />
    </td>
    <td v-for="f in measured" :key="f.name" :class="f.width">
      <input
        class="quiet-field mx-0 num text-right"
        :value="shown(of.keyword[f.name])"
        :aria-label="`${f.label} for ${of.keyword.words}`"
        @change="figure(f.name, $event)"
      />
    </td>
    <td class="w-[88px] text-right">
      <template v-if="of.opportunity"
        ><span class="num text-ink">{{ Math.round(of.opportunity.value) }}</span
        ><span class="block sub text-11 leading-3">{{
          of.opportunity.times === undefined ? 'roughly' : `${of.opportunity.times.toFixed(1)} × its like`
        }}</span></template
      ><span
        v-if="of.old"
        class="block sub text-11 leading-3"
        :title="
          of.keyword.measured ? `Measured ${sayDay(of.keyword.measured, moment.today)}` : 'Of no known date'
        "
        >old figure</span
      >
    </td>
    <td class="min-w-[110px]">
      <RouterLink
        v-for="e in [...of.made, ...of.planned].slice(0, 3)"
        :key="e.id"
        :to="{ name: e.phase.kind === 'idea' ? 'idea' : 'episode', params: { code: e.code } }"
        class="num mr-2"
        >{{ cards.card(e.id)?.number }}</RouterLink><span
        v-if="of.is !== 'covered'"
        class="sub whitespace-nowrap"
        >{{ said[of.is] }}</span
      >
    </td>
    <td>
      <input
        class="quiet-field mx-0 text-12"
        :value="of.keyword.notes"
        :aria-label="`Notes on ${of.keyword.words}`"
        @change="
          library.perform(
            editKeyword,
            {
              keyword: of.keyword.id,
              fields: { notes: typedIn($event) },
            },
            'quietly',
          )
        "
      />
    </td>
    <td class="whitespace-nowrap">
      <button
        class="btn btn-bare btn-small px-1.5"
        :aria-label="`An idea on ${of.keyword.words}`"
        @click="idea"
      >
        Idea</button
      ><button
        class="btn btn-bare btn-small px-1.5 text-ink-2"
        :aria-label="`Remove ${of.keyword.words}`"
        @click="library.perform(removeKeyword, { keyword: of.keyword.id })"
      >
        ×
      </button>
    </td>
  </tr>
</template>
