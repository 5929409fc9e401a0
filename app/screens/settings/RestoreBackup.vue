<script setup lang="ts">
import { ref } from 'vue'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import Flag from '@app/ui/Flag.vue'

/** Chooses a back-up file and restores it; says plainly why one is refused. */
const { label, block = false } = defineProps<{ label: string; block?: boolean }>()
const library = useLibrary()
const pictures = usePictures()
const fault = ref('')
const busy = ref(false)
const field = ref<HTMLInputElement>()

async function chosen() {
  const file = field.value?.files?.[0]
  if (!file) return
  busy.value = true
  fault.value = ''
  const restored = await library.restore(new Uint8Array(await file.arrayBuffer()))
  busy.value = false
  if (field.value) field.value.value = ''
  if (!restored.ok) {
    fault.value = restored.problem.sentence
    return
  }
  pictures.forget()
  library.say(`Restored ${restored.value} episodes and ideas.`)
}
</script>

<template>
  <div>
    <button class="btn" :class="{ 'w-full': block }" :disabled="busy" @click="field?.click()">
      {{ busy ? 'Reading it…' : label }}
    </button>
    <input
      ref="field"
      type="file"
      accept=".zip,application/zip"
      class="unseen"
      tabindex="-1"
      aria-label="Back-up file"
      @change="chosen"
    />
    <p v-if="fault" role="alert" class="mt-2 text-12">
      <Flag /><span class="late">Refused, nothing was changed.</span> {{ fault }}
    </p>
  </div>
</template>
