<script setup lang="ts">
import { ref } from 'vue'
import { publicLinks } from '@core/release/description'
import type { PublicLink } from '@core/records'
import type { Card } from '@core/views/card'
import { useAddresses } from '@app/stores/addresses'
import { useLibrary } from '@app/stores/library'
import AddressLinks from '@app/ui/AddressLinks.vue'
import { useWriting } from '../writing'
import { typedIn } from '@app/ui/fields/event'
import CopyButton from './CopyButton.vue'

/** The links that go out with the episode, and where each of them goes. */
const { card } = defineProps<{ card: Card }>()
const write = useWriting(() => card)
const addresses = useAddresses()
const library = useLibrary()
/** Where the episode of one's own lives to which a link leads. */
function livesAt({ episode }: PublicLink) {
  const to = episode === undefined ? undefined : library.tables.episodes.get(episode)
  return to ? addresses.of(to) : []
}
const label = ref('')
const url = ref('')
function addLink() {
  if (label.value.trim() === '' && url.value.trim() === '') return
  void write(
    {
      links: [
        ...card.episode.links,
        { id: crypto.randomUUID(), label: label.value.trim(), url: url.value.trim() },
      ],
    },
    'the links',
  )
  label.value = ''
  url.value = ''
}
function changeLink(id: string, field: 'label' | 'url' | 'goes', event: Event) {
  void write(
    { links: card.episode.links.map((l) => (l.id === id ? { ...l, [field]: typedIn(event) } : l)) },
    'the links',
  )
}
</script>

<template>
  <section class="panel p-4" aria-labelledby="p-links">
    <div class="head">
      <h2 id="p-links">Links</h2>
      <CopyButton
        class="ml-auto"
        :text="
          publicLinks(card.episode)
            .map((l) => `${l.label}: ${l.url}`)
            .join('\n')
        "
      />
    </div>
    <ul class="grid gap-1.5">
      <li v-for="l in card.episode.links" :key="l.id" class="flex gap-2">
        <input
          class="field w-[180px]"
          :value="l.label"
          aria-label="What the link is"
          @input="changeLink(l.id, 'label', $event)"
        /><input
          class="field flex-1"
          :value="l.url"
          aria-label="Address"
          @input="changeLink(l.id, 'url', $event)"
        /><select
          class="field w-[150px]"
          :value="l.goes ?? 'description'"
          :aria-label="`Where ${l.label || l.url} goes`"
          @change="changeLink(l.id, 'goes', $event)"
        >
          <option value="description">the description</option>
          <option value="outlet">the outlet’s links</option>
          <option value="nowhere">nowhere yet</option></select
        ><AddressLinks class="self-center" :of="livesAt(l)" :about="l.label" @copy="addresses.copy" /><button
          class="px-2 text-ink-2"
          :aria-label="`Remove ${l.label}`"
          @click="write({ links: card.episode.links.filter((x) => x.id !== l.id) }, 'the links')"
        >
          ×
        </button>
      </li>
    </ul>
    <form class="flex gap-2 mt-1.5" @submit.prevent="addLink">
      <input
        v-model="label"
        class="field w-[180px]"
        placeholder="What it is"
        aria-label="What the new link is"
      /><input
        v-model="url"
        class="field flex-1"
        placeholder="https://"
        aria-label="Address of the new link"
      /><button class="btn">Add</button>
    </form>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 8px;
}
.head h2 {
  flex: 1;
}
</style>
