<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import Field from './Field.vue'
import { typedIn } from './event'

/**
 * A line of text with what is known to choose from: arrows choose, Enter takes, and what is typed anew is taken as
 * it stands.
 */
const {
  label,
  hidden = false,
  known,
  placeholder,
  lazy = false,
  field = 'field',
} = defineProps<{
  label: string
  hidden?: boolean
  known: readonly string[]
  placeholder?: string
  /** Given when the field is left or one is chosen, not at every letter. */
  lazy?: boolean
  field?: string
}>()
const text = defineModel<string>({ required: true })
/** One was chosen from the list, or Enter was pressed on what was typed; or the field was left with it. */
const emit = defineEmits<{ take: [text: string]; leave: [] }>()
const asked = ref(text.value)
watch(text, (t) => {
  asked.value = t
})
const found = computed(() => {
  const words = asked.value.trim().toLowerCase()
  return known.filter((k) => k.toLowerCase().includes(words) && k.toLowerCase() !== words).slice(0, 8)
})
function typed(event: Event) {
  asked.value = typedIn(event)
  if (!lazy) text.value = asked.value
}
/** Where the list itself is pressed the field is not left. */
function left({ currentTarget, relatedTarget }: FocusEvent) {
  if (currentTarget instanceof Node && relatedTarget instanceof Node && currentTarget.contains(relatedTarget))
    return
  if (text.value !== asked.value) text.value = asked.value
  emit('leave')
}
function take(chosen: string | null) {
  if (chosen === null) return
  text.value = chosen
  asked.value = chosen
  emit('take', chosen)
}
</script>

<template>
  <Field :label="hidden ? undefined : label">
    <Combobox :model-value="text" @update:model-value="take">
      <span class="relative block" @focusout="left"
        ><ComboboxInput
          :class="field"
          :display-value="() => asked"
          :placeholder="placeholder"
          autocomplete="off"
          :aria-label="hidden ? label : undefined"
          @input="typed"
        /><ComboboxOptions
          v-if="found.length > 0 || asked.trim() !== ''"
          class="panel absolute left-0 right-0 top-full mt-1 z-40 p-1 bg-raised border-line max-h-[240px] overflow-y-auto"
          :class="{ 'p-0 border-0': found.length === 0 }"
          @mousedown.prevent
        >
          <!-- What is typed comes first, so that Enter takes it as it stands. -->
          <ComboboxOption v-if="asked.trim() !== ''" v-slot="{ active }" as="template" :value="asked.trim()"
            ><li class="px-2 py-1 rounded-control truncate cursor-pointer" :class="{ 'bg-panel': active }">
              {{ asked.trim() }}
            </li></ComboboxOption
          ><ComboboxOption v-for="k in found" :key="k" v-slot="{ active }" as="template" :value="k"
            ><li class="px-2 py-1 rounded-control truncate cursor-pointer" :class="{ 'bg-panel': active }">
              {{ k }}
            </li></ComboboxOption
          ></ComboboxOptions
        ></span
      >
    </Combobox>
  </Field>
</template>
