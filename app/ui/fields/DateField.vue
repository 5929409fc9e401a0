<script setup lang="ts">
import { computed, defineAsyncComponent, inject, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import { onClickOutside } from '@vueuse/core'
import { CalendarDays } from '@lucide/vue'
import { sayAway, sayDay } from '@core/rhythm/days'
import { readDay } from '@core/rhythm/typed'
import { useFieldAttrs } from './attrs'
import Field from './Field.vue'
import { todayKey } from './today'
import { useValidity } from './validity'

defineOptions({ inheritAttrs: false })
/**
 * A date, shown as "Thu 3 Dec, 9 d" and typed in words ("next thu", "3 dec", "+2w") or chosen from a month. Empty
 * is none, unless one is required.
 */
const {
  label,
  hidden = false,
  required = false,
  min,
  max,
  field = 'field',
} = defineProps<{
  label: string
  /** The label is said, not shown. */
  hidden?: boolean
  required?: boolean
  min?: string
  max?: string
  field?: string
}>()
const day = defineModel<string>({ required: true })
const Calendar = defineAsyncComponent(() => import('./MonthCalendar.vue'))
const today = inject(todayKey, ref(''))
const { outer, inner } = useFieldAttrs()
const id = useId()
const input = useTemplateRef<HTMLInputElement>('input')
const box = useTemplateRef<HTMLElement>('box')
const shown = computed(() =>
  day.value === '' ? '' : `${sayDay(day.value, today.value)}, ${sayAway(day.value, today.value)}`,
)
const text = ref(shown.value)
const fault = ref('')
const open = ref(false)
useValidity(input, fault)
watch(shown, (says) => {
  text.value = says
  fault.value = ''
})
function outOf(found: string): string {
  if (min && found < min) return `Not before ${sayDay(min, today.value)}.`
  if (max && found > max) return `Not after ${sayDay(max, today.value)}.`
  return ''
}
function typed() {
  if (text.value === shown.value) {
    fault.value = ''
    return
  }
  if (text.value.trim() === '') {
    fault.value = required ? 'A date is needed here.' : ''
    if (!required) day.value = ''
    return
  }
  const read = readDay(text.value, today.value)
  fault.value = read.ok ? outOf(read.value) : read.problem.sentence
  if (read.ok && fault.value === '') choose(read.value)
}
function choose(found: string) {
  day.value = found
  text.value = shown.value
  fault.value = ''
}
async function chosen(found: string) {
  open.value = false
  choose(found)
  await nextTick()
  input.value?.focus()
}
/** A date in figures is plain at once; words wait until they are done. */
function letters() {
  if (/^\d{4}-\d\d-\d\d$/.test(text.value)) typed()
}
/** Where the month lets down: upwards or to the left where the window ends. */
const place = ref('')
function unfold() {
  const at = box.value?.getBoundingClientRect()
  if (at) {
    const up = at.bottom + 300 > window.innerHeight && at.top > 300
    const left = at.left + 280 > window.innerWidth
    place.value = `${up ? 'bottom-full mb-1' : 'top-full mt-1'} ${left ? 'right-0' : 'left-0'}`
  }
  open.value = !open.value
}
onClickOutside(box, () => {
  open.value = false
})
</script>

<template>
  <Field :label="hidden ? undefined : label" :fault="fault" v-bind="outer">
    <span ref="box" class="relative block" @keydown.esc="open && ($event.stopPropagation(), (open = false))"
      ><input
        ref="input"
        v-model="text"
        class="pr-9"
        :class="field"
        autocomplete="off"
        placeholder="3 dec, next thu"
        :required="required"
        :aria-label="hidden ? label : undefined"
        :aria-invalid="fault !== '' || undefined"
        v-bind="inner"
        @input="letters"
        @change="typed"
        @focus="input?.select()" /><button
        type="button"
        class="absolute right-1 top-1/2 -translate-y-1/2 p-1.5 rounded-control text-ink-2 hover:bg-raised"
        aria-label="Show a month"
        :aria-expanded="open"
        :aria-controls="id"
        @click.prevent="unfold"
      >
        <CalendarDays :size="16" aria-hidden="true" /></button
      ><Calendar
        v-if="open"
        :id="id"
        :class="place"
        :day="day"
        :today="today"
        :min="min"
        :max="max"
        @choose="chosen"
    /></span>
  </Field>
</template>
