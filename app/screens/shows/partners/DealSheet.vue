<script setup lang="ts">
import { ref } from 'vue'
import { dropDeal, keepDeal, type DealFields } from '@core/commands/deals'
import { type Deal, ReadPlace } from '@core/records'
import { placeWords } from '@core/script/promised'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import Sheet from '@app/ui/Sheet.vue'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'

/** What was agreed with a sponsor; what is left empty was not agreed, and is not checked. */
const { sponsor, deal } = defineProps<{ sponsor: string; deal: Deal | undefined }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
function begun(): DealFields {
  if (deal) {
    const { id: _id, noted: _noted, createdAt: _c, updatedAt: _u, ...fields } = deal
    return fields
  }
  return {
    ...{ show: moment.shows[0]?.id ?? '', sponsor, reads: 6, perMonth: 1, from: moment.today, words: '' },
    ...{ say: [], code: '', link: '', disclosure: '', without: [], note: '' },
  }
}
const fields = ref<DealFields>(begun())
const fault = ref('')
function set<K extends keyof DealFields>(key: K, value: DealFields[K] | undefined) {
  fields.value = { ...fields.value, [key]: value }
}
const lines = (text: string) =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== '')
function place(event: Event) {
  const read = ReadPlace.safeParse(typedIn(event))
  set('place', read.success ? read.data : undefined)
}
async function keep() {
  const done = await library.perform(keepDeal, { ...(deal ? { deal: deal.id } : {}), fields: fields.value })
  fault.value = done.ok ? '' : done.problem.sentence
  if (done.ok) emit('close')
}
async function drop() {
  emit('close')
  if (deal) await library.perform(dropDeal, { deal: deal.id })
}
</script>

<template>
  <Sheet open wide :title="`What was agreed with ${sponsor}`" @close="emit('close')">
    <form class="grid gap-3 sm:grid-cols-2" @submit.prevent="keep">
      <label
        ><span class="label">In which show</span
        ><select class="field" :value="fields.show" @change="set('show', typedIn($event))">
          <option v-for="s in moment.shows" :key="s.id" :value="s.id">{{ s.title }}</option>
        </select></label
      >
      <div class="grid grid-cols-2 gap-2">
        <NumberField
          :model-value="fields.reads"
          label="Reads in all"
          :min="1"
          :max="500"
          @update:model-value="set('reads', $event)"
        />
        <OptionalNumberField
          :model-value="fields.perMonth"
          label="A month"
          :min="1"
          :max="31"
          placeholder="any"
          @update:model-value="set('perMonth', $event)"
        />
      </div>
      <DateField :model-value="fields.from" label="From" required @update:model-value="set('from', $event)" />
      <DateField
        :model-value="fields.to ?? ''"
        label="Until (empty: no end)"
        @update:model-value="set('to', $event || undefined)"
      />
      <div class="grid grid-cols-2 gap-2">
        <OptionalNumberField
          :model-value="fields.seconds"
          label="Seconds each"
          :min="1"
          :max="3600"
          placeholder="any"
          @update:model-value="set('seconds', $event)"
        />
        <label
          ><span class="label">Where it begins</span
          ><select class="field" :value="fields.place ?? ''" @change="place">
            <option value="">anywhere</option>
            <option v-for="p in ReadPlace.options" :key="p" :value="p">{{ placeWords(p).says }}</option>
          </select></label
        >
      </div>
      <div class="grid grid-cols-2 gap-2">
        <OptionalNumberField
          :model-value="fields.fee"
          label="Fee each"
          :min="0"
          placeholder="none"
          @update:model-value="set('fee', $event)"
        />
        <OptionalNumberField
          :model-value="fields.payWithin"
          label="Paid within, days"
          :min="0"
          :max="365"
          placeholder="30"
          @update:model-value="set('payWithin', $event)"
        />
      </div>
      <TextField v-model="fields.code" label="Code to say" placeholder="or none" />
      <TextField v-model="fields.link" label="Link for the description" placeholder="or none" />
      <TextField
        v-model="fields.disclosure"
        label="Words that say it is paid for"
        placeholder="This is paid for by…"
      />
      <OptionalNumberField
        :model-value="fields.shownBefore"
        label="Shown to them so many days before"
        :min="0"
        :max="90"
        placeholder="not asked"
        @update:model-value="set('shownBefore', $event)"
      />
      <TextField
        :model-value="fields.say.join('\n')"
        lazy
        :rows="2"
        label="Must be said, word for word"
        placeholder="a line each"
        @update:model-value="set('say', lines($event))"
      />
      <TextField
        :model-value="fields.without.join('\n')"
        lazy
        :rows="2"
        label="Must not come up beside it"
        placeholder="another maker, a line each"
        @update:model-value="set('without', lines($event))"
      />
      <TextField
        v-model="fields.words"
        :rows="3"
        class="sm:col-span-2"
        label="Talking points, or the whole read"
        placeholder="as they gave it"
      />
      <TextField v-model="fields.note" class="sm:col-span-2" label="Note" />
      <p v-if="fault" role="alert" class="late sm:col-span-2">{{ fault }}</p>
      <p class="flex gap-2 sm:col-span-2">
        <button class="btn btn-main">Keep it</button
        ><button v-if="deal" type="button" class="btn" @click="drop">Let the deal go</button>
      </p>
    </form>
  </Sheet>
</template>
