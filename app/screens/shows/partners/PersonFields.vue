<script setup lang="ts">
import { computed, ref } from 'vue'
import { Plus, X } from '@lucide/vue'
import { dropPerson, keepPerson, type PersonFields } from '@core/commands/people'
import type { PersonRole, Way } from '@core/records'
import { useLibrary } from '@app/stores/library'
import type { PersonHere } from '@app/stores/partners'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'

/** What is kept of somebody: name, ways to reach them, how known, zone and notes. The first word makes a record of it. */
const { of } = defineProps<{ of: PersonHere }>()
const library = useLibrary()
const person = computed(() => of.known.person)
const fields = computed((): PersonFields => {
  const {
    name = of.known.name,
    roles = [],
    work = '',
    ways = [],
    known = '',
    zone,
    note = '',
  } = person.value ?? {}
  return { name, roles, work, ways, known, note, ...(zone === undefined ? {} : { zone }) }
})
const fault = ref('')
async function put(next: PersonFields) {
  const who = person.value ? { person: person.value.id } : { was: of.known.name }
  const done = await library.perform(keepPerson, { ...who, fields: next }, 'quietly')
  fault.value = done.ok ? '' : done.problem.sentence
}
const keep = (to: Partial<PersonFields>) => put({ ...fields.value, ...to })
const zones = Intl.supportedValuesOf('timeZone')
function setZone(event: Event) {
  const { zone: _old, ...rest } = fields.value
  const zone = typedIn(event)
  void put(zone === '' ? rest : { ...rest, zone })
}
const kinds: Record<Way['kind'], string> = { mail: 'Mail', phone: 'Telephone', address: 'Address' }
function way(id: string, value: string) {
  const ways = fields.value.ways.flatMap((w) =>
    w.id !== id ? w : value.trim() === '' ? [] : { ...w, value },
  )
  void keep({ ways })
}
function addWay(kind: Way['kind'], value: string) {
  if (value.trim() !== '') void keep({ ways: [...fields.value.ways, { id: library.newId(), kind, value }] })
}
const roles: [PersonRole, string][] = [
  ['guest', 'guest'],
  ['sponsor', 'sponsor'],
  ['helper', 'helper'],
  ['reviewer', 'reviewer'],
]
function turn(role: PersonRole, on: boolean) {
  void keep({ roles: on ? [...fields.value.roles, role] : fields.value.roles.filter((r) => r !== role) })
}
const isOpen = ref(false)
const says = computed(() =>
  [...fields.value.ways.map((w) => w.value), fields.value.zone, fields.value.known, fields.value.note]
    .filter(Boolean)
    .join(' · '),
)
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-labelledby="person-fields">
    <header class="flex flex-wrap items-baseline gap-x-3">
      <h3 id="person-fields" class="font-title font-semibold">How to reach them</h3>
      <p class="sub flex-1 min-w-0 truncate">{{ says || 'nothing noted yet' }}</p>
      <button class="btn btn-small" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ isOpen ? 'Fold' : 'Write' }}
      </button>
    </header>
    <div v-if="isOpen" class="grid grid-cols-1 gap-3 sm:grid-cols-2">
      <TextField
        :model-value="fields.name"
        lazy
        label="Name"
        :fault="fault"
        @update:model-value="keep({ name: $event })"
      />
      <TextField
        :model-value="fields.work"
        lazy
        label="What they do"
        @update:model-value="keep({ work: $event })"
      />
      <div v-for="w in fields.ways" :key="w.id" class="flex items-end gap-2">
        <TextField
          :model-value="w.value"
          lazy
          class="flex-1"
          :label="kinds[w.kind]"
          @update:model-value="way(w.id, $event)"
        />
        <button class="btn btn-small px-2 mb-1" :aria-label="`Take ${w.value} away`" @click="way(w.id, '')">
          <X :size="14" aria-hidden="true" />
        </button>
      </div>
      <TextField
        v-for="k in (['mail', 'phone', 'address'] as const).filter(
          (x) => !fields.ways.some((w) => w.kind === x),
        )"
        :key="k"
        model-value=""
        lazy
        :label="kinds[k]"
        @update:model-value="addWay(k, $event)"
      />
      <TextField
        :model-value="fields.known"
        lazy
        label="How you know them"
        @update:model-value="keep({ known: $event })"
      />
      <label
        ><span class="label">Their time zone</span
        ><select class="field" :value="fields.zone ?? ''" @change="setZone">
          <option value="">as the show’s</option>
          <option v-for="z in zones" :key="z" :value="z">{{ z.replaceAll('_', ' ') }}</option>
        </select></label
      >
      <TextField
        :model-value="fields.note"
        lazy
        :rows="3"
        class="sm:col-span-2"
        label="Notes"
        @update:model-value="keep({ note: $event })"
      />
      <fieldset class="sm:col-span-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <legend class="label">What they are</legend>
        <label v-for="[role, name] in roles" :key="role" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="of.known.roles.has(role)"
            :disabled="of.known.roles.has(role) && !fields.roles.includes(role)"
            @change="turn(role, !fields.roles.includes(role))"
          />{{ name }}</label
        >
        <button
          v-if="person"
          class="btn btn-small btn-bare ml-auto"
          @click="library.perform(dropPerson, { person: person.id })"
        >
          Take what is kept away
        </button>
        <button v-else class="btn btn-small ml-auto" @click="keep({})">
          <Plus :size="14" aria-hidden="true" /> Keep them
        </button>
      </fieldset>
    </div>
  </section>
</template>
