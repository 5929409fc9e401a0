<script setup lang="ts">
import { computed, ref } from 'vue'
import { X } from '@lucide/vue'
import { editLine } from '@core/commands/recipes'
import type { RecipeFields } from '@core/commands/recipes/written'
import { Part, StepKind, type Lead, type Recipe, type RecipeLine } from '@core/records'
import { withoutLine } from '@core/recipe/edit'
import { daysBefore } from '@core/recipe/score'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'
import { kindNames, partNames } from './words'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import ComboField from '@app/ui/fields/ComboField.vue'
import { typedIn, tickedIn } from '@app/ui/fields/event'

/** All that a recipe says of one step. */
const { recipe, line } = defineProps<{ recipe: Recipe; line: RecipeLine }>()
const emit = defineEmits<{ write: [RecipeFields]; gone: [] }>()
const library = useLibrary()
const plan = usePlan()
const others = computed(() => recipe.lines.filter((l) => l.id !== line.id))
const pace = computed(() => plan.paces.get(line.kind))
const takes = computed(() =>
  pace.value && pace.value.seen >= 4 ? Math.round((line.minutes * pace.value.median) / 5) * 5 : undefined,
)
const people = computed(() =>
  [...new Set([...library.tables.steps.values()].flatMap((s) => (s.owner === 'me' ? [] : [s.owner])))].slice(
    0,
    20,
  ),
)
async function put(fields: Partial<RecipeLine>, event?: Event) {
  const done = await library.perform(editLine, { recipe: recipe.id, line: { ...line, ...fields } }, 'quietly')
  // A box that was refused goes back.
  if (!done.ok && event?.target instanceof HTMLInputElement && event.target.type === 'checkbox')
    event.target.checked = !event.target.checked
}
function counted(event: Event) {
  const kind = typedIn(event)
  const days = Math.max(0, daysBefore(recipe.lines, line))
  const lead: Lead =
    kind === 'before'
      ? { kind, days }
      : kind === 'after'
        ? { kind, days: line.lead.kind === 'after' ? line.lead.days : 2 }
        : { kind: 'ahead', step: kind, days: 1 }
  void put({ lead }, event)
}
function need(id: string, event: Event) {
  void put({ needs: tickedIn(event) ? [...line.needs, id] : line.needs.filter((n) => n !== id) }, event)
}
function part(event: Event) {
  const read = Part.safeParse(typedIn(event))
  void put({ part: read.success ? read.data : undefined }, event)
}
function kind(event: Event) {
  const read = StepKind.safeParse(typedIn(event))
  if (read.success) void put({ kind: read.data }, event)
}
function reference(i: number, fields: { label?: string; url?: string }) {
  void put({ references: (line.references ?? []).map((r, n) => (n === i ? { ...r, ...fields } : r)) })
}
const address = ref('')
async function addReference() {
  if (address.value.trim() === '') return
  await put({ references: [...(line.references ?? []), { label: '', url: address.value.trim() }] })
  address.value = ''
}
function remove() {
  emit('write', {
    lines: withoutLine(recipe, line.id).lines,
    ...(recipe.follow
      ? {
          follow: recipe.follow.filter(
            (f) =>
              !(f.when.kind === 'done' && f.when.line === line.id) &&
              !((f.then.kind === 'hand' || f.then.kind === 'wait') && f.then.line === line.id),
          ),
        }
      : {}),
  })
  emit('gone')
}
</script>

<template>
  <div class="grid gap-3">
    <div class="flex items-start gap-2">
      <TextField
        :model-value="line.name"
        lazy
        class="flex-1 font-medium"
        label="Step"
        @update:model-value="put({ name: $event })"
      />
    </div>
    <div class="grid grid-cols-2 gap-3">
      <label
        ><span class="label">In</span
        ><select class="field" :value="line.stage" @change="put({ stage: typedIn($event) }, $event)">
          <option v-for="s in recipe.stages" :key="s.id" :value="s.id">{{ s.name }}</option>
        </select></label
      >
      <label
        ><span class="label">Kind of work</span
        ><select class="field" :value="line.kind" @change="kind">
          <option v-for="k in StepKind.options" :key="k" :value="k">{{ kindNames[k] }}</option>
        </select></label
      >
    </div>
    <div class="grid grid-cols-[96px_1fr] gap-3 items-end">
      <NumberField
        :model-value="line.minutes"
        label="Minutes"
        :min="0"
        :step="5"
        @update:model-value="put({ minutes: $event })"
      />
      <p class="sub pb-2">
        <template v-if="takes !== undefined && takes !== line.minutes"
          >You plan {{ line.minutes }}, it takes {{ takes }}.
          <button class="underline underline-offset-2" @click="put({ minutes: takes })">
            Take {{ takes }}
          </button></template
        >
      </p>
    </div>
    <div class="grid grid-cols-[96px_1fr] gap-3">
      <NumberField
        :model-value="line.lead.days"
        label="Due, days"
        :min="0"
        :max="365"
        @update:model-value="put({ lead: { ...line.lead, days: $event } })"
      />
      <label
        ><span class="label">counted</span
        ><select
          class="field"
          :value="line.lead.kind === 'ahead' ? line.lead.step : line.lead.kind"
          @change="counted"
        >
          <option value="before">before release</option>
          <option value="after">after release</option>
          <option v-for="o in others" :key="o.id" :value="o.id">before “{{ o.name }}”</option>
        </select></label
      >
    </div>
    <details :open="line.needs.length > 0">
      <summary class="label cursor-pointer underline decoration-dotted underline-offset-2">
        Needs
        {{
          line.needs.length === 0
            ? 'nothing'
            : `${line.needs.length} ${line.needs.length === 1 ? 'step' : 'steps'}`
        }}
      </summary>
      <div class="grid gap-1.5 pt-1">
        <label v-for="o in others" :key="o.id" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="line.needs.includes(o.id)"
            :aria-label="`Needs ${o.name}`"
            @change="need(o.id, $event)"
          />{{ o.name }}</label
        >
      </div>
    </details>
    <ComboField
      :model-value="line.owner ?? ''"
      label="Done by"
      lazy
      placeholder="you"
      :known="people"
      @update:model-value="(owner) => put({ owner: owner.trim() || undefined })"
    />
    <label
      ><span class="label">Completed</span
      ><select class="field" :value="line.part ?? ''" @change="part">
        <option value="">by a tick</option>
        <option v-for="p in Part.options" :key="p" :value="p">by {{ partNames[p] }} being there</option>
      </select></label
    >
    <label class="flex items-center gap-2"
      ><input
        type="checkbox"
        class="tick"
        :checked="line.required"
        @change="put({ required: tickedIn($event) }, $event)"
      />
      Nothing goes out without it</label
    >
    <TextField
      :model-value="line.guidance ?? ''"
      lazy
      field="field min-h-[56px]"
      label="To keep in mind while doing it"
      :rows="3"
      @update:model-value="put({ guidance: $event.trim() || undefined })"
    />
    <div class="grid gap-1.5">
      <span class="label">To look at</span>
      <div v-for="(r, i) in line.references ?? []" :key="i" class="flex gap-1.5">
        <input
          class="field w-[40%]"
          :value="r.label"
          :aria-label="`What reference ${i + 1} is`"
          placeholder="What it is"
          @change="reference(i, { label: typedIn($event) })"
        /><input
          class="field"
          :value="r.url"
          :aria-label="`Address of reference ${i + 1}`"
          @change="reference(i, { url: typedIn($event) })"
        /><button
          class="btn btn-bare btn-small px-1"
          :aria-label="`Remove reference ${i + 1}`"
          @click="put({ references: (line.references ?? []).filter((_, n) => n !== i) })"
        >
          <X :size="14" />
        </button>
      </div>
      <form class="flex gap-1.5" @submit.prevent="addReference">
        <input
          v-model="address"
          class="field"
          type="url"
          placeholder="https://"
          aria-label="Address of a new reference"
        /><button class="btn btn-small">Add</button>
      </form>
    </div>
    <button class="btn btn-small justify-self-start" @click="remove">Remove the step</button>
  </div>
</template>
