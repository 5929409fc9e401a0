<script setup lang="ts">
import { computed } from 'vue'
import { useDesk } from '@app/stores/desk'
import { useForms } from '@app/stores/forms'
import { useMoment } from '@app/stores/moment'

/** One show, or one kind of episode, alone: the same in every view of the schedule. */
const desk = useDesk()
const moment = useMoment()
const forms = useForms()
const chosen = computed({
  get: () => {
    const only = forms.only.value
    return only.kind === 'all' ? '' : only.kind === 'show' ? `show ${only.id}` : `form ${only.name}`
  },
  set: (key) => {
    const rest = key.slice(5)
    desk.only = key.startsWith('show ')
      ? { kind: 'show', id: rest }
      : key.startsWith('form ')
        ? { kind: 'form', name: rest }
        : { kind: 'all' }
  },
})
</script>

<template>
  <select
    v-if="moment.shows.length > 1 || forms.names.value.length > 0"
    v-model="chosen"
    class="field w-auto"
    :aria-label="forms.names.value.length > 0 ? 'Which show or kind' : 'Which show'"
  >
    <option value="">{{ moment.shows.length > 1 ? 'Every show' : 'Every kind' }}</option>
    <template v-if="moment.shows.length > 1"
      ><option v-for="s in moment.shows" :key="s.id" :value="`show ${s.id}`">{{ s.title }}</option></template
    >
    <optgroup v-if="forms.names.value.length > 0" label="Only">
      <option v-for="n in forms.names.value" :key="n" :value="`form ${n}`">{{ n }}</option>
    </optgroup>
  </select>
</template>
