<script setup lang="ts" generic="T extends string">
import { useFieldAttrs } from './attrs'
import Field from './Field.vue'

defineOptions({ inheritAttrs: false })
/** One of a few: each a value and what is said of it. */
const {
  label,
  hidden = false,
  of,
  field = 'field',
} = defineProps<{
  label: string
  hidden?: boolean
  of: readonly (readonly [value: T, says: string])[]
  field?: string
}>()
const chosen = defineModel<T>({ required: true })
const { outer, inner } = useFieldAttrs()
</script>

<template>
  <Field :label="hidden ? undefined : label" v-bind="outer">
    <select v-model="chosen" :class="field" :aria-label="hidden ? label : undefined" v-bind="inner">
      <option v-for="[value, says] in of" :key="value" :value="value">{{ says }}</option>
    </select>
  </Field>
</template>
