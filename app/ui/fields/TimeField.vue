<script setup lang="ts">
import { ref, useTemplateRef, watch } from 'vue'
import { readTime } from '@core/rhythm/typed'
import { useFieldAttrs } from './attrs'
import Field from './Field.vue'
import { useValidity } from './validity'

defineOptions({ inheritAttrs: false })
/** A time of day in 24 hours, typed as one likes: "17:30", "1730", "5 pm". Empty is none, unless one is required. */
const {
  label,
  hidden = false,
  required = false,
} = defineProps<{ label: string; hidden?: boolean; required?: boolean }>()
const time = defineModel<string>({ required: true })
const { outer, inner } = useFieldAttrs()
const text = ref(time.value)
const fault = ref('')
const input = useTemplateRef<HTMLInputElement>('input')
useValidity(input, fault)
watch(time, (t) => {
  text.value = t
  fault.value = ''
})
function typed() {
  if (text.value.trim() === '') {
    fault.value = required ? 'A time is needed here.' : ''
    if (!required) time.value = ''
    return
  }
  const read = readTime(text.value)
  fault.value = read.ok ? '' : read.problem.sentence
  if (!read.ok) return
  time.value = read.value
  text.value = read.value
}
/** A whole time is plain at once. */
function letters() {
  if (/^\d\d:\d\d$/.test(text.value)) typed()
}
</script>

<template>
  <Field :label="hidden ? undefined : label" :fault="fault" v-bind="outer">
    <input
      ref="input"
      v-model="text"
      class="field"
      autocomplete="off"
      placeholder="17:30"
      :required="required"
      :aria-label="hidden ? label : undefined"
      :aria-invalid="fault !== '' || undefined"
      v-bind="inner"
      @input="letters"
      @change="typed"
    />
  </Field>
</template>
