<script setup lang="ts">
import { computed } from 'vue'
import { takeCards } from '@core/commands/people'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'

/** People from cards, and as cards (vCard). */
const library = useLibrary()
const people = computed(() => [...library.tables.people.values()])
async function take(event: Event) {
  const input = event.target instanceof HTMLInputElement ? event.target : undefined
  const file = input?.files?.[0]
  if (!input || !file) return
  const { readCards } = await import('@core/formats/vcard')
  const read = readCards(await file.text())
  if (read.ok) await library.perform(takeCards, { cards: read.value, role: 'guest' })
  else library.say(read.problem.sentence, 'refused')
  input.value = ''
}
async function give() {
  const { writeCards } = await import('@core/formats/vcard')
  download('people.vcf', writeCards(people.value), 'text/vcard')
}
</script>

<template>
  <Drop label="Cards" right>
    <div class="grid gap-2">
      <label class="btn cursor-pointer focus-within:outline-2"
        >Read cards (.vcf)<input type="file" accept=".vcf,text/vcard" class="sr-only" @change="take"
      /></label>
      <button class="btn" :disabled="people.length === 0" @click="give">
        Save {{ people.length }} as cards
      </button>
      <p class="sub">Who is known keeps what is kept; only what was not there is added.</p>
    </div>
  </Drop>
</template>
