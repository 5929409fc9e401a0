<script setup lang="ts">
import { X } from '@lucide/vue'
import type { Rhythm, Show } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { ruleOf, sayRhythm, wishOf, type RhythmWish } from '@core/rhythm/rule'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import RhythmFields from './RhythmFields.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'

type Also = NonNullable<Rhythm['also']>
/**
 * Further rhythms of the same show: each with its own days, time, and the recipe that its slots are made
 * by.
 */
const { show } = defineProps<{ show: Show }>()
const also = defineModel<Also>({ required: true })
const library = useLibrary()
const moment = useMoment()
const recipes = () =>
  [show.recipe, ...(show.recipes ?? [])].flatMap((id) => library.tables.recipes.get(id) ?? [])
const wishIn = (a: Also[number]): RhythmWish => wishOf(a.rule) ?? { kind: 'week', every: 1, weekdays: [5] }
function put(i: number, fields: Partial<Also[number]>) {
  also.value = also.value.map((a, n) => (n === i ? { ...a, ...fields } : a))
}
function wished(i: number, wish: RhythmWish) {
  const rule = ruleOf(wish)
  if (rule.ok) put(i, { rule: rule.value })
}
function add() {
  also.value = [
    ...also.value,
    {
      name: '',
      rule: 'FREQ=MONTHLY;INTERVAL=1;BYDAY=1SA',
      start: addDays(moment.today, 1),
      time: show.rhythm.time,
    },
  ]
}
</script>

<template>
  <div class="mt-4 border-t border-faint pt-3">
    <details v-for="(a, i) in also" :key="i" class="mb-2" open>
      <summary class="flex items-center gap-2 py-1">
        <strong class="font-semibold">Also {{ sayRhythm(a) }}</strong
        ><button
          type="button"
          class="btn btn-bare btn-small px-1"
          :aria-label="`Remove the rhythm ${sayRhythm(a)}`"
          @click.prevent="also = also.filter((_, n) => n !== i)"
        >
          <X :size="14" />
        </button>
      </summary>
      <div class="grid gap-3 pl-3 border-l border-line">
        <div class="grid grid-cols-2 gap-3">
          <TextField
            :model-value="a.name"
            lazy
            label="What goes out then"
            placeholder="Interview"
            @update:model-value="put(i, { name: $event })"
          /><label v-if="recipes().length > 1"
            ><span class="label">Made by</span
            ><select
              class="field"
              :value="a.recipe ?? ''"
              @change="put(i, { recipe: typedIn($event) || undefined })"
            >
              <option value="">the first recipe</option>
              <option v-for="r in recipes()" :key="r.id" :value="r.id">{{ r.name }}</option>
            </select></label
          >
        </div>
        <RhythmFields
          :wish="wishIn(a)"
          :time="a.time"
          :start="a.start"
          :zone="show.zone"
          :count="4"
          :zoned="false"
          worded
          @update:wish="wished(i, $event)"
          @update:time="put(i, { time: $event })"
          @update:start="put(i, { start: $event })"
        />
      </div>
    </details>
    <button type="button" class="btn btn-small" @click="add">Add another rhythm to this show</button>
  </div>
</template>
