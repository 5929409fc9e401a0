<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useFieldAttrs } from './attrs'
import Field from './Field.vue'

defineOptions({ inheritAttrs: false })
/** A line of text, or with `rows` several: given at every letter, or with `lazy` when the field is left. */
const {
  label,
  hidden = false,
  lazy = false,
  rows,
  fault,
  field = 'field',
} = defineProps<{
  label: string
  /** The label is said, not shown. */
  hidden?: boolean
  lazy?: boolean
  rows?: number
  fault?: string
  /** Classes of the field itself. */
  field?: string
}>()
const text = defineModel<string>({ required: true })
const { outer, inner } = useFieldAttrs()
const input = useTemplateRef<HTMLInputElement | HTMLTextAreaElement>('input')
function given() {
  if (input.value) text.value = input.value.value
}
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <Field :label="hidden ? undefined : label" :fault="fault" v-bind="outer">
    <component
      :is="rows ? 'textarea' : 'input'"
      ref="input"
      :class="field"
      :value="text"
      :rows="rows"
      autocomplete="off"
      :aria-label="hidden ? label : undefined"
      v-bind="inner"
      @input="lazy || given()"
      @change="lazy && given()"
    />
  </Field>
</template>
