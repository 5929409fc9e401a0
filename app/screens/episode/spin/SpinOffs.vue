<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { Plus } from '@lucide/vue'
import { makeSpinOff } from '@core/commands/spin-offs'
import { SpinKind } from '@core/records'
import { spinState } from '@core/release/spin-parts'
import { sayKind } from '@core/release/when'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import Drop from '@app/ui/Drop.vue'
import SpinOffRow from './SpinOffRow.vue'

/** What is made of an episode besides: excerpts, posts, letters, articles, shorts; each goes out by itself. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const route = useRoute()
const all = computed(() => card.episode.spinOffs ?? [])
const lead = computed(() => {
  const states = all.value.map((spin) => spinState(card, spin))
  const made = states.filter((s) => s !== 'off')
  if (made.length === 0) return 'nothing yet'
  const [out, ready] = [made.filter((s) => s === 'out').length, made.filter((s) => s === 'ready').length]
  if (ready === made.length && ready === 1) return 'ready'
  if (out === made.length) return made.length === 1 ? 'out' : `all ${made.length} out`
  return [
    `${made.length}`,
    ready > 0 ? `${ready === made.length ? 'all' : ready} ready` : '',
    out > 0 ? `${out} out` : '',
  ]
    .filter(Boolean)
    .join(', ')
})
const open = ref<string>()
async function make(kind: SpinKind, close: () => void) {
  close()
  const before = new Set(all.value.map((s) => s.id))
  const done = await library.perform(makeSpinOff, { episode: card.episode.id, kind })
  if (!done.ok) return
  await nextTick()
  open.value = all.value.find((s) => !before.has(s.id))?.id
}
onMounted(() => {
  const at = route.query['at']
  if (typeof at === 'string' && at.startsWith('spin-')) open.value = at.slice('spin-'.length)
})
</script>

<template>
  <section class="panel p-4 grid gap-2" aria-labelledby="spin-offs">
    <header class="flex flex-wrap items-center gap-x-3">
      <h2 id="spin-offs" class="flex-1">
        Made from it <span class="sub font-sans font-normal ml-1">{{ lead }}</span>
      </h2>
      <Drop v-slot="{ close }" label="Make something" right small>
        <div class="grid gap-1">
          <button v-for="k in SpinKind.options" :key="k" class="btn justify-start" @click="make(k, close)">
            <Plus :size="14" aria-hidden="true" /> {{ sayKind(k) }}
          </button>
        </div>
      </Drop>
    </header>
    <p v-if="all.length === 0" class="sub">
      An excerpt, a post, a letter: each gets its words, its outlet and its moment here, and its work stands
      in the week. What every episode has is written in the recipe.
    </p>
    <ul v-else class="divide-y divide-faint">
      <SpinOffRow
        v-for="s in all"
        :key="s.id"
        :card="card"
        :spin="s"
        :open="open === s.id"
        @toggle="open = open === s.id ? undefined : s.id"
      />
    </ul>
  </section>
</template>
