<script setup lang="ts">
import { computed } from 'vue'
import { Rss } from '@lucide/vue'
import type { Show } from '@core/records'
import { fileName } from '@core/release/kit'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'

/** A talk show's feed as a file, for those who put it on their own site. */
const { show, outlet } = defineProps<{ show: Show; outlet: string }>()
const cards = useCards()
const library = useLibrary()
const count = computed(
  () => cards.released.filter((e) => e.show === show.id && e.addresses?.[outlet] !== undefined).length,
)
async function save() {
  const { ownFeed } = await import('@core/formats/own-feed')
  const made = ownFeed(show, outlet, cards.released, (e) => e.brief.description)
  download(`${fileName('', show.title)}.xml`, new TextEncoder().encode(made.xml), 'application/rss+xml')
  const left =
    made.left.length === 0
      ? ''
      : `; ${made.left.length} without an address are left out: note where they live in the Catalogue`
  library.say(
    `Saved the feed with ${made.count} ${made.count === 1 ? 'episode' : 'episodes'}${left}.`,
    'done',
  )
}
</script>

<template>
  <p class="flex flex-wrap items-center gap-3">
    <button class="btn btn-small" :disabled="count === 0" @click="save">
      <Rss :size="14" aria-hidden="true" /> Save its feed as a file</button
    ><span class="sub">RSS 2.0 with the elements of the open podcast namespace, {{ count }} released.</span>
  </p>
</template>
