<script setup lang="ts">
import { onErrorCaptured, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import Flag from '@app/ui/Flag.vue'

/** A place whose inside may fail: it then says so there, with a way on, and the rest of the page goes on. */
const { what } = defineProps<{ what: string }>()
const route = useRoute()
const fault = ref('')
onErrorCaptured((error) => {
  // Refused or late answers of the store say so themselves; what fails while drawing leaves a hole.
  fault.value = error instanceof Error ? error.message : String(error)
  console.warn(error)
  return false
})
watch(
  () => route.fullPath,
  () => {
    fault.value = ''
  },
)
function reload() {
  location.reload()
}
</script>

<template>
  <section v-if="fault" role="alert" class="panel m-5 p-5 grid gap-3 max-w-[720px]" :aria-label="what">
    <h2 class="text-20"><Flag />{{ what }} could not be shown.</h2>
    <p>
      Something in it is not as it should be; nothing of yours is lost. Try it again, go on elsewhere, or save
      a back-up under Settings.
    </p>
    <p class="sub num break-words">{{ fault }}</p>
    <p class="flex flex-wrap gap-2">
      <button class="btn btn-main" @click="fault = ''">Try again</button>
      <button class="btn" @click="reload">Load the page anew</button>
      <RouterLink to="/today" class="btn">Today</RouterLink
      ><RouterLink to="/settings" class="btn">Settings</RouterLink>
    </p>
  </section>
  <slot v-else />
</template>
