<script setup lang="ts">
import { ref } from 'vue'
import { X } from '@lucide/vue'
import Drop from '@app/ui/Drop.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { workGroups, type WorkRowsSeen } from '../useWorkRows'
import WhichEpisodes from './WhichEpisodes.vue'

/** Which work, under which headings, in which order; views of one's own. */
const { seen } = defineProps<{ seen: WorkRowsSeen }>()
const { group, byHand } = seen
const name = ref('')
async function keep() {
  if (name.value.trim() === '') return
  const done = await seen.keep(name.value)
  if (done.ok) name.value = ''
}
</script>

<template>
  <WhichEpisodes />
  <select v-model="group" class="field w-auto" aria-label="Grouped">
    <option v-for="[key, says] in workGroups" :key="key" :value="key">{{ says }}</option>
  </select>
  <select v-model="byHand" class="field w-auto" aria-label="In which order">
    <option :value="false">soonest first</option>
    <option :value="true">as put by hand</option>
  </select>
  <Drop label="Views" right>
    <ul v-if="seen.kept.value.length > 0" class="grid gap-1 mb-3" aria-label="Kept views">
      <li v-for="v in seen.kept.value" :key="v.id" class="flex items-center gap-1">
        <button class="btn btn-bare btn-small flex-1 justify-start" @click="seen.take(v)">
          {{ v.name }}</button><button
          class="btn btn-bare btn-small px-1"
          :aria-label="`Let go of the view ${v.name}`"
          @click="seen.letGo(v.id)"
        >
          <X :size="14" />
        </button>
      </li>
    </ul>
    <form class="grid gap-2" @submit.prevent="keep">
      <TextField
        v-model="name"
        label="Keep what is shown as"
        maxlength="60"
        placeholder="My week’s scripts"
      />
      <button class="btn btn-small" :disabled="name.trim() === ''">Keep it</button>
    </form>
  </Drop>
</template>
