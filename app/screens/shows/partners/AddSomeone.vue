<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { keepPerson } from '@core/commands/people'
import type { PersonRole } from '@core/records'
import { useLibrary } from '@app/stores/library'
import ChoiceRow from '@app/ui/ChoiceRow.vue'
import Sheet from '@app/ui/Sheet.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** Somebody new: who, and what they are to the show; the rest stands on their page. */
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const router = useRouter()
const name = ref('')
const role = ref<PersonRole>('guest')
const mail = ref('')
const fault = ref('')
const field = useTemplateRef<{ focus: () => void }>('field')
/** The first thing to type is where one types. */
onMounted(() => {
  setTimeout(() => field.value?.focus(), 0)
})
async function add() {
  const id = library.newId()
  const ways =
    mail.value.trim() === '' ? [] : [{ id: library.newId(), kind: 'mail' as const, value: mail.value.trim() }]
  const fields = { name: name.value, roles: [role.value], work: '', ways, known: '', note: '' }
  const done = await library.perform(keepPerson, { person: id, fields })
  fault.value = done.ok ? '' : done.problem.sentence
  if (!done.ok) return
  emit('close')
  void router.replace({ name: 'partners', params: { who: id } })
}
</script>

<template>
  <Sheet open title="Add someone" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="add">
      <TextField ref="field" v-model="name" label="Name" placeholder="a person, or a firm" />
      <div>
        <p class="label" aria-hidden="true">What they are</p>
        <ChoiceRow
          v-model="role"
          label="What they are"
          :of="[
            ['guest', 'a guest'],
            ['sponsor', 'a sponsor'],
            ['helper', 'a helper'],
            ['reviewer', 'a reviewer'],
          ]"
        />
      </div>
      <TextField v-model="mail" label="Mail address" placeholder="or nothing for now" />
      <p v-if="fault" role="alert" class="late">{{ fault }}</p>
      <button class="btn btn-main justify-self-start">Add them</button>
    </form>
  </Sheet>
</template>
