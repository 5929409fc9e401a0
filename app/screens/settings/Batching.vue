<script setup lang="ts">
import { editSettings } from '@core/commands/settings'
import type { StepKind } from '@core/records'
import { weekdayName } from '@core/rhythm/days'
import { useLibrary } from '@app/stores/library'
import { kindNames } from '../shows/recipe/words'
import { typedIn } from '@app/ui/fields/event'
import NumberField from '@app/ui/fields/NumberField.vue'

/** What setting up costs by kind of work, and the weekdays liked for it. */
const library = useLibrary()
const order: readonly StepKind[] = [
  'film',
  'record',
  'edit',
  'write',
  'design',
  'research',
  'prepare',
  'admin',
]
const kinds = order.map((kind) => ({
  kind,
  name: `${kindNames[kind].charAt(0).toUpperCase()}${kindNames[kind].slice(1)}`,
}))
function cost(kind: StepKind, minutes: number) {
  const { [kind]: _old, ...rest } = library.settings.setup
  void library.perform(
    editSettings,
    { setup: minutes === 0 ? rest : { ...rest, [kind]: minutes } },
    'quietly',
  )
}
const often = [
  ['', 'each week'],
  ['1', 'the first of a month'],
  ['2', 'the second'],
  ['3', 'the third'],
  ['4', 'the fourth'],
] as const
/** Every week, or once a month: the day that is kept for sessions of this kind. */
function keep(kind: StepKind, event: Event) {
  const { [kind]: _old, ...rest } = library.settings.monthly ?? {}
  const nth = Number(typedIn(event))
  const monthly = nth === 0 ? rest : { ...rest, [kind]: nth }
  void library.perform(editSettings, { monthly }, 'quietly')
}
function like(kind: StepKind, day: number) {
  const liked = library.settings.preferred[kind] ?? []
  const { [kind]: _old, ...rest } = library.settings.preferred
  const next = liked.includes(day) ? liked.filter((d) => d !== day) : [...liked, day].sort()
  void library.perform(
    editSettings,
    { preferred: next.length === 0 ? rest : { ...rest, [kind]: next } },
    'quietly',
  )
}
</script>

<template>
  <table class="w-full text-left" aria-label="Set-up and preferred days by kind of work">
    <thead>
      <tr class="text-11 text-ink-2">
        <th scope="col" class="font-normal py-1">Kind of work</th>
        <th scope="col" class="font-normal w-[150px]">Set-up, minutes a day</th>
        <th scope="col" class="font-normal">Days you like it on</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="k in kinds" :key="k.kind" class="border-t border-faint">
        <th scope="row" class="font-medium py-1">{{ k.name }}</th>
        <td class="py-1">
          <NumberField
            :model-value="library.settings.setup[k.kind] ?? 0"
            class="block w-[76px]"
            field="field num min-h-[28px] py-0.5"
            :label="`Set-up minutes of ${k.name}`"
            hidden
            :min="0"
            :max="240"
            :step="5"
            @update:model-value="cost(k.kind, $event)"
          />
        </td>
        <td>
          <span class="flex flex-wrap gap-1"
            ><button
              v-for="d in 7"
              :key="d"
              type="button"
              class="btn btn-small px-1.5 min-h-[24px] text-11"
              :class="
                (library.settings.preferred[k.kind] ?? []).includes(d - 1)
                  ? 'border-ink bg-raised font-semibold'
                  : 'text-ink-2'
              "
              :aria-pressed="(library.settings.preferred[k.kind] ?? []).includes(d - 1)"
              :aria-label="`${k.name} on ${weekdayName(d - 1)}`"
              @click="like(k.kind, d - 1)"
            >
              {{ weekdayName(d - 1).slice(0, 3) }}
            </button>
            <select
              v-if="(library.settings.preferred[k.kind] ?? []).length > 0"
              class="field w-auto min-h-[24px] py-0 text-11"
              :aria-label="`How often ${k.name} is on its days`"
              :value="String(library.settings.monthly?.[k.kind] ?? '')"
              @change="keep(k.kind, $event)"
            >
              <option v-for="[value, says] in often" :key="value" :value="value">{{ says }}</option>
            </select></span
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>
