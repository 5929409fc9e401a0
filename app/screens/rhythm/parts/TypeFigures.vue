<script setup lang="ts">
import { computed, ref } from 'vue'
import { keepFollowers } from '@core/commands/figures'
import type { Show } from '@core/records'
import { titleOf } from '@core/release/parts'
import { lastViews } from '@core/results/at-age'
import { sayNumber } from '@core/rhythm/numbering'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import DateField from '@app/ui/fields/DateField.vue'
import { typedIn } from '@app/ui/fields/event'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import Sheet from '@app/ui/Sheet.vue'
import { entryFields, useFigureEntry, type EntryRow } from './useFigureEntry'
import type { FigureName } from '@core/records'

/** Figures of the last releases, typed or pasted down a column; what is odd is asked about before it is kept. */
const { show } = defineProps<{ show: Show }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const entry = useFigureEntry(() => show)
const { on, outlet, rows, ready } = entry
const isAll = ref(false)
const fields = computed(() => (isAll.value ? entryFields : entryFields.slice(0, 3)))
const outlets = computed(() => show.outlets.flatMap((id) => library.tables.outlets.get(id) ?? []))
const followers = computed(() => show.followers?.find((f) => f.on === on.value)?.count)
function before(row: EntryRow): string {
  const last = lastViews(row.episode)
  return last ? `${last.views.toLocaleString('en')} after ${last.age} d` : 'none yet'
}
function paste(row: EntryRow, name: FigureName, event: ClipboardEvent) {
  if (entry.paste(row, name, event.clipboardData?.getData('text') ?? '')) event.preventDefault()
}
function follow(count: number | undefined) {
  if (count !== undefined)
    void library.perform(keepFollowers, { show: show.id, on: on.value, count }, 'quietly')
}
async function keep() {
  if ((await entry.keep()).ok && entry.open.value === 0) emit('close')
}
</script>

<template>
  <Sheet :open="true" title="Type figures" wide @close="emit('close')">
    <div class="flex flex-wrap items-end gap-3 mb-3">
      <DateField v-model="on" class="w-[170px]" label="Counted on" :max="moment.today" />
      <label v-if="outlets.length > 1"
        ><span class="label">Where</span
        ><select v-model="outlet" class="field">
          <option value="">everywhere together</option>
          <option v-for="o in outlets" :key="o.id" :value="o.id">{{ o.name }}</option>
        </select></label
      >
      <OptionalNumberField
        :model-value="followers"
        class="w-[130px]"
        label="Followers then"
        :min="0"
        placeholder="not counted"
        @update:model-value="follow"
      />
      <p class="flex-1" />
      <button class="btn btn-small" :aria-pressed="isAll" @click="isAll = !isAll">
        {{ isAll ? 'Fewer columns' : 'More columns' }}
      </button>
    </div>
    <div class="overflow-auto max-h-[52vh]" tabindex="0" aria-label="Figures">
      <table class="w-full text-12">
        <thead>
          <tr class="text-ink-2">
            <th scope="col" class="text-left font-normal">Episode</th>
            <th scope="col" class="text-left font-normal pl-3">So far</th>
            <th v-for="[name, label] in fields" :key="name" scope="col" class="text-left font-normal pl-2">
              {{ label }}
            </th>
          </tr>
        </thead>
        <tbody>
          <template v-for="r in rows" :key="r.episode.id">
            <tr class="border-t border-faint">
              <th scope="row" class="text-left font-normal py-1 max-w-[240px]">
                <span class="block truncate"
                  ><span class="num">{{ sayNumber(show, r.episode.number, r.episode.code) }}</span>
                  {{ titleOf(r.episode) }}</span
                ><span class="sub">{{ r.age }} d out</span>
              </th>
              <td class="num pl-3 whitespace-nowrap text-ink-2">{{ before(r) }}</td>
              <td v-for="[name, label] in fields" :key="name" class="pl-2">
                <input
                  class="field num w-[92px]"
                  inputmode="decimal"
                  autocomplete="off"
                  :value="entry.textOf(r, name)"
                  :aria-label="`${label} of ${titleOf(r.episode)}`"
                  @input="entry.write(r, name, typedIn($event))"
                  @paste="paste(r, name, $event)"
                />
              </td>
            </tr>
            <tr v-if="r.fault || r.odd.length > 0">
              <td :colspan="fields.length + 2" class="pb-2">
                <p v-if="r.fault" role="alert" class="late">{{ r.fault }}</p>
                <p v-else class="flex items-center gap-3" role="alert">
                  <span>{{ r.odd.join(' ') }} Is this right?</span
                  ><button class="btn btn-small" @click="entry.asItIs(r)">Keep it as it is</button>
                </p>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <p class="flex items-center gap-3 mt-4">
      <button class="btn btn-main" :disabled="ready.length === 0" @click="keep">
        Keep {{ ready.length }} {{ ready.length === 1 ? 'episode' : 'episodes' }}</button
      ><span class="sub">A column copied from elsewhere can be pasted into its first field.</span>
    </p>
  </Sheet>
</template>
