<script setup lang="ts">
import { computed, ref } from 'vue'
import { editStep, handStep } from '@core/commands/work'
import type { StepState } from '@core/recipe/progress'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import ComboField from '@app/ui/fields/ComboField.vue'

/** Who does a step, and by when. */
const { of } = defineProps<{ of: StepState }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const owner = ref(of.step.owner === 'me' ? '' : of.step.owner)
const lead = ref(of.step.lead.days)
const leadSays = computed(() => {
  switch (of.step.lead.kind) {
    case 'after':
      return 'Due, days after release'
    case 'ahead':
      return 'Due, days before another step'
    default:
      return 'Due, days before release'
  }
})
async function handed() {
  emit('close')
  if (lead.value !== of.step.lead.days)
    await library.perform(
      editStep,
      {
        step: of.step.id,
        fields: { lead: { ...of.step.lead, days: Math.max(0, Math.min(365, Math.round(lead.value) || 0)) } },
      },
      'quietly',
    )
  if ((owner.value.trim() || 'me') !== of.step.owner)
    await library.perform(handStep, { step: of.step.id, owner: owner.value })
}
const people = computed(() =>
  [...new Set([...library.tables.steps.values()].flatMap((s) => (s.owner === 'me' ? [] : [s.owner])))].slice(
    0,
    20,
  ),
)
</script>

<template>
  <Sheet open :title="of.step.name" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="handed">
      <ComboField
        v-model="owner"
        label="Who does it in this episode"
        placeholder="you"
        :known="people"
      /><NumberField v-model="lead" field="field num w-[96px]" :label="leadSays" :min="0" :max="365" /><button
        class="btn btn-main justify-self-start"
      >
        Keep it so
      </button>
    </form>
  </Sheet>
</template>
