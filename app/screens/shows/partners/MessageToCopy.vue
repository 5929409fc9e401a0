<script setup lang="ts">
import { computed, ref } from 'vue'
import { editSettings } from '@core/commands/settings'
import { heldBy } from '@core/named'
import {
  filledMessage,
  messageKinds,
  messageWords,
  usualMessages,
  type MessageKind,
} from '@core/partners/messages'
import type { Known } from '@core/partners/people'
import { useAddresses } from '@app/stores/addresses'
import { useLibrary } from '@app/stores/library'
import ChoiceRow from '@app/ui/ChoiceRow.vue'
import TextField from '@app/ui/fields/TextField.vue'
import type { PartnersHere, VisitHere } from './usePartners'

/** A message to a guest, filled in and ready to copy; its pattern is one's own. */
const { kind, of, known, here } = defineProps<{
  kind: MessageKind
  of: VisitHere
  known: Known
  here: PartnersHere
}>()
const emit = defineEmits<{ choose: [kind: MessageKind] }>()
const library = useLibrary()
const addresses = useAddresses()
const isWriting = ref(false)
const copied = ref('')
const pattern = computed(() => heldBy(library.settings.messages ?? {}, kind) ?? usualMessages[kind].pattern)
const text = computed(() => {
  const show = library.tables.shows.get(of.episode.show)
  return show
    ? filledMessage(pattern.value, {
        person: {
          name: known.name,
          ...(known.person?.zone === undefined ? {} : { zone: known.person.zone }),
        },
        ...{
          show,
          episode: of.episode,
          booking: here.bookingIn(of),
          address: addresses.of(of.episode)[0]?.address ?? '',
        },
      })
    : ''
})
async function copy() {
  try {
    await navigator.clipboard.writeText(text.value)
    copied.value = text.value
  } catch {
    library.say('The browser did not allow copying. Mark the text and press Ctrl C.', 'refused')
  }
}
function rewrite(words: string) {
  const { [kind]: _old, ...others } = library.settings.messages ?? {}
  const isUsual = words.trim() === '' || words === usualMessages[kind].pattern
  void library.perform(editSettings, { messages: isUsual ? others : { ...others, [kind]: words } }, 'quietly')
}
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-labelledby="message">
    <header class="flex flex-wrap items-center gap-3">
      <h3 id="message" class="font-title font-semibold">To copy</h3>
      <ChoiceRow
        :model-value="kind"
        label="Which message"
        :of="messageKinds.map((k) => [k, usualMessages[k].name] as const)"
        @update:model-value="emit('choose', $event)"
      />
      <span class="flex-1" />
      <button class="btn btn-small btn-bare" :aria-expanded="isWriting" @click="isWriting = !isWriting">
        Own words</button
      ><button class="btn btn-small" @click="copy">{{ copied === text ? 'Copied' : 'Copy' }}</button>
    </header>
    <p class="whitespace-pre-line border-l-2 border-line pl-3" data-message>{{ text }}</p>
    <div v-if="isWriting" class="grid gap-1">
      <TextField :model-value="pattern" lazy :rows="6" label="The pattern" @update:model-value="rewrite" />
      <p class="sub">
        In braces:
        <template v-for="(says, word, i) in messageWords" :key="word"
          >{{ i > 0 ? ', ' : '' }}<code>{{ `{${word}\}` }}</code> {{ says }}</template
        >. Left empty, the usual words come back.
      </p>
    </div>
  </section>
</template>
