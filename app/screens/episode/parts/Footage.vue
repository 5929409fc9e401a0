<script setup lang="ts">
import { computed } from 'vue'
import { nameClip } from '@core/commands/episode'
import { clipOf } from '@core/script/cues'
import { shotsOf, type Item } from '@core/session/items'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { typedIn } from '@app/ui/fields/event'

/** What was got when it was filmed: which take, and in which clip or on which card, as far as that is typed. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const got = computed(() => shotsOf(card).filter((i) => i.got))
const open = computed(() => shotsOf(card).length - got.value.length)
function name(item: Item, event: Event) {
  const clip = typedIn(event)
  if (clip.trim() === clipOf(item)) return
  void library.perform(nameClip, { episode: card.episode.id, item: item.id, clip }, 'quietly')
}
const takeOf = ({ takes }: Item) => {
  const kept = takes.findLastIndex((t) => t.kept)
  return takes.length > 1 && kept >= 0 ? `take ${kept + 1} of ${takes.length}` : ''
}
</script>

<template>
  <details v-if="got.length > 0" class="mt-6">
    <summary class="cursor-pointer font-title font-semibold text-16">
      Footage <span class="num font-normal">{{ got.length }} got{{ open > 0 ? `, ${open} not` : '' }}</span>
    </summary>
    <ul class="panel divide-y divide-faint mt-2">
      <li v-for="i in got" :key="i.id" class="flex flex-wrap items-center gap-x-3 px-4 py-1.5">
        <span class="flex-1 min-w-[180px]"
          >{{ i.name }}<span v-if="i.where" class="sub">, {{ i.where }}</span></span
        ><span class="sub">{{ takeOf(i) }}</span
        ><input
          class="field min-h-[28px] py-0.5 w-[150px]"
          :value="clipOf(i)"
          placeholder="clip or card"
          :aria-label="`Clip of ${i.name}`"
          @change="name(i, $event)"
        />
      </li>
    </ul>
  </details>
</template>
