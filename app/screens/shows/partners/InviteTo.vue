<script setup lang="ts">
import { computed, ref } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import type { Episode } from '@core/records'
import { titleOf } from '@core/release/parts'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import type { PersonHere } from '@app/stores/partners'
import ComboField from '@app/ui/fields/ComboField.vue'

/** Makes somebody a guest of an episode in work or of an idea, chosen by its title. */
const { of } = defineProps<{ of: PersonHere }>()
const library = useLibrary()
const cards = useCards()
const title = ref('')
const open = computed(() => {
  const taken = new Set(of.known.guestOf.map((e) => e.id))
  const all: Episode[] = [...cards.working.map((c) => c.episode), ...cards.ideas]
  return new Map(all.flatMap((e) => (taken.has(e.id) ? [] : [[titleOf(e), e] as const])))
})
function invite(text: string) {
  const words = text.trim().toLowerCase()
  // A part of a title is enough where only one has it.
  const like = [...open.value].filter(([t]) => words !== '' && t.toLowerCase().includes(words))
  const episode = open.value.get(text.trim()) ?? (like.length === 1 ? like[0]?.[1] : undefined)
  title.value = ''
  if (episode)
    void library.perform(writeEpisode, {
      episode: episode.id,
      typed: { guests: [...episode.guests, of.known.name] },
      what: 'the guests',
    })
  else if (text.trim() !== '')
    library.say(
      like.length > 1
        ? `${like.length} are called so. Choose one from the list.`
        : 'No episode in work and no idea is called that.',
      'refused',
    )
}
</script>

<template>
  <div class="max-w-[480px]">
    <ComboField
      v-model="title"
      :label="
        of.known.guestOf.length > 0 ? 'A guest of another episode' : 'A guest of which episode or idea?'
      "
      :known="[...open.keys()]"
      placeholder="its title"
      @take="invite"
    />
  </div>
</template>
