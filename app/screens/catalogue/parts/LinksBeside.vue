<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { lineOf, toPaste } from '@core/catalogue/links'
import { noteFact } from '@core/commands/facts'
import { madeFrom, spinName } from '@core/release/spin-offs'
import { spinState } from '@core/release/spin-parts'
import { sayTime } from '@core/script/timecode'
import type { CatalogueRow } from '@core/views/catalogue'
import FactsNoted from '@app/screens/episode/facts/FactsNoted.vue'
import { spinLamp } from '@app/screens/episode/spin/spin-lamp'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import LampMark from '@app/ui/LampMark.vue'
import DateField from '@app/ui/fields/DateField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import type { CatalogueHere } from '../useCatalogue'

/** What it is linked with, what is to be pasted where, what was made from it, and what to say again. */
const { of, row } = defineProps<{ of: CatalogueHere; row: CatalogueRow }>()
const { linked, likely, byId } = of
const library = useLibrary()
const cards = useCards()
/** Descriptions that are out and do not have their links yet: its own, and those of what it is linked with. */
const pastes = computed(() =>
  [row, ...linked.value].flatMap((r) => {
    const fresh = byId.value.get(r.episode.id) ?? r
    const links = toPaste(fresh.episode)
    return links.length === 0 ? [] : [{ row: fresh, links, text: links.map(lineOf).join('\n') }]
  }),
)
async function copy(text: string) {
  await navigator.clipboard.writeText(text)
  library.say('Copied. Paste it into the description at its outlet.')
}
const excerpts = computed(() => madeFrom(row.episode).passages)
const what = ref('')
const on = ref('')
watch(
  () => row.episode.id,
  () => {
    what.value = ''
    on.value = ''
  },
)
// What is made of it is told by its steps, which are read when somebody looks.
watch(
  () => ((row.episode.spinOffs ?? []).length > 0 ? row.episode.id : ''),
  (id) => {
    if (id !== '') void library.ensure([id])
  },
  { immediate: true },
)
function remind() {
  if (what.value.trim() === '' || on.value === '') return
  const fact = { id: library.newId(), what: what.value.trim(), on: on.value }
  void library.perform(noteFact, { episode: row.episode.id, fact })
  what.value = ''
  on.value = ''
}
const spun = computed(() =>
  madeFrom(row.episode).spinOffs.flatMap((spin) => {
    const card = cards.card(row.episode.id)
    return card ? [{ spin, state: spinState(card, spin) }] : []
  }),
)
</script>

<template>
  <div class="min-w-0 grid grid-cols-1 gap-5 content-start">
    <section v-if="pastes.length > 0" aria-labelledby="to-paste">
      <h2 id="to-paste" class="mb-1">To paste</h2>
      <ul class="grid grid-cols-1 gap-2">
        <li v-for="p in pastes" :key="p.row.episode.id" class="panel p-3">
          <p class="flex items-center gap-2 mb-1">
            <strong class="flex-1 min-w-0 truncate text-12">Into {{ p.row.number }} {{ p.row.title }}</strong
            ><button
              class="btn btn-small"
              :aria-label="`Copy what goes into ${p.row.number}`"
              @click="copy(p.text)"
            >
              Copy</button
            ><button
              class="btn btn-small"
              :aria-label="`It stands in ${p.row.number}`"
              @click="
                of.pasted(
                  p.row.episode.id,
                  p.links.map((l) => l.id),
                )
              "
            >
              Done
            </button>
          </p>
          <p class="text-12 text-ink-2 whitespace-pre-line break-words">{{ p.text }}</p>
        </li>
      </ul>
    </section>
    <section aria-labelledby="linked">
      <h2 id="linked" class="mb-1">
        {{ linked.length === 0 ? 'Linked with nothing' : `Linked with ${linked.length}` }}
      </h2>
      <ul>
        <li v-for="r in linked" :key="r.episode.id" class="border-t border-faint py-1">
          <button class="flex w-full gap-2 text-left" @click="of.look(r.episode.id)">
            <span class="num text-ink-2 w-[46px]">{{ r.number }}</span><span
              class="flex-1 min-w-0 truncate"
              >{{ r.title }}</span
            >
          </button>
        </li>
        <li v-for="l in likely" :key="l.row.episode.id" class="border-t border-dashed border-line py-1">
          <button class="flex w-full gap-2 text-left" @click="of.look(l.row.episode.id)">
            <span class="num text-ink-2 w-[46px]">{{ l.row.number }}</span><span
              class="flex-1 min-w-0 truncate text-ink-2"
              >{{ l.row.title }}<span class="sub"> likely: {{ l.words.join(', ') }}</span></span
            >
          </button>
        </li>
      </ul>
    </section>
    <section aria-labelledby="made-from">
      <h2 id="made-from" class="mb-1">Made from it</h2>
      <ul v-if="spun.length > 0">
        <li v-for="s in spun" :key="s.spin.id" class="flex items-center gap-2 border-t border-faint py-1">
          <LampMark :lamp="spinLamp(s.state)" :size="14" :name="s.state" /><span
            class="num text-12 text-ink-2"
            >{{ s.spin.code }}</span
          ><span class="flex-1 min-w-0 truncate">{{ spinName(s.spin) }}</span
          ><span class="sub">{{ s.state }}</span>
        </li>
      </ul>
      <ul v-if="excerpts.length > 0">
        <li v-for="e in excerpts" :key="e.id" class="flex gap-2 border-t border-faint py-1">
          <span class="num text-ink-2">{{ sayTime(e.from) }}</span><span class="flex-1 min-w-0 truncate">{{
            e.text
          }}</span
          ><span class="num">{{ Math.round(e.to - e.from) }} s</span>
        </li>
      </ul>
      <p class="sub flex items-center gap-2">
        <span class="flex-1">{{ excerpts.length + spun.length === 0 ? 'Nothing yet.' : '' }}</span><RouterLink
          class="btn btn-small"
          :to="{ name: 'episode', params: { code: row.episode.code, stage: 'edit' } }"
          >See what could be cut from it</RouterLink
        >
      </p>
    </section>
    <section aria-labelledby="say-again">
      <h2 id="say-again" class="mb-1">Say again?</h2>
      <FactsNoted :episode="row.episode" />
      <form class="mt-2 grid grid-cols-[minmax(0,1fr)_140px_auto] gap-2 items-end" @submit.prevent="remind">
        <TextField v-model="what" label="What may be out of date" placeholder="a price" maxlength="300" />
        <DateField v-model="on" label="Look again on" />
        <button class="btn btn-small h-9" :disabled="what.trim() === '' || on === ''">Note</button>
      </form>
    </section>
  </div>
</template>
