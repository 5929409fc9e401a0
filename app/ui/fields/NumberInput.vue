<script setup lang="ts">
import { useFieldAttrs } from './attrs'
import { typedIn } from './event'
import Field from './Field.vue'

defineOptions({ inheritAttrs: false })
/** What both fields for numbers look like. */
const {
  label,
  hidden = false,
  unit = '',
  fault,
  field = 'field num',
} = defineProps<{
  label: string
  hidden?: boolean | undefined
  unit?: string | undefined
  fault?: string | undefined
  field?: string | undefined
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ typed: [done: boolean] }>()
const { outer, inner } = useFieldAttrs()
function typed(event: Event, done: boolean) {
  text.value = typedIn(event)
  emit('typed', done)
}
</script>

<template>
  <Field :label="hidden ? undefined : label" :fault="fault" v-bind="outer">
    <input
      :class="field"
      :value="text"
      type="number"
      :aria-label="hidden ? label : undefined"
      v-bind="inner"
      @input="typed($event, false)"
      @change="typed($event, true)"
    /><template v-if="unit">{{ unit }}</template>
  </Field>
</template>
