<script setup lang="ts">
import { computed, ref } from 'vue'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import Flag from '@app/ui/Flag.vue'

const library = useLibrary()
const failed = ref(false)
const isGone = computed(() => library.trouble?.path === 'gone')
async function putBack() {
  const done = await library.restoreMemory()
  if (done.ok) library.say(done.value)
  else library.trouble = done.problem
}

async function save() {
  try {
    const bytes = await (isGone.value ? library.memoryBackup() : library.backup())
    const name = isGone.value ? 'lamp-reel-what-was-on-screen.zip' : 'lamp-reel-back-up.zip'
    download(name, bytes, 'application/zip')
  } catch {
    failed.value = true
  }
}
function again() {
  location.reload()
}
</script>

<template>
  <div role="alert" class="flex flex-wrap items-center gap-3 border-b border-rose bg-panel px-5 py-3">
    <p class="flex-1 min-w-[260px]">
      <Flag /><span class="late">{{ isGone ? 'The store is gone.' : 'Not stored.' }}</span>
      {{ library.trouble?.sentence
      }}<template v-if="failed"> A back-up cannot be read from this store either.</template>
    </p>
    <button v-if="library.state === 'open'" class="btn btn-small" @click="save">Download a back-up</button>
    <button v-if="isGone" class="btn btn-small btn-main" @click="putBack">Put it back</button>
    <button v-else class="btn btn-small" @click="again">Try again</button>
    <button
      v-if="library.state === 'open'"
      class="btn btn-small btn-bare"
      @click="library.trouble = undefined"
    >
      Close
    </button>
  </div>
</template>
