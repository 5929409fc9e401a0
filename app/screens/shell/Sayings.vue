<script setup lang="ts">
import { onMounted, watch } from 'vue'
import { Toaster, toast } from 'vue-sonner'
import 'vue-sonner/style.css'
import { useLibrary } from '@app/stores/library'

const library = useLibrary()
// What was said of other data is not taken back in these, since their histories count alike; gone before anything is
// said of these.
watch(
  () => [library.world, library.readings],
  () => {
    toast.dismiss()
  },
  { flush: 'sync' },
)
// What was said before these lines were there is shown once they are.
onMounted(() => {
  watch(
    () => library.saying,
    (saying) => {
      if (!saying) return
      const lines = saying.undo ?? []
      const action =
        lines.length > 0
          ? {
              action: {
                label: 'Undo',
                onClick: () => {
                  void library.takeBack(lines)
                },
              },
            }
          : {}
      if (saying.kind === 'refused') toast.error(saying.text, { duration: 9000 })
      else toast(saying.text, { duration: 6000, ...action })
    },
    { immediate: true },
  )
})
</script>

<template>
  <Toaster
    position="bottom-center"
    :gap="8"
    :visible-toasts="3"
    class="sayings"
    container-aria-label="What was done"
  />
</template>

<style>
.sayings [data-sonner-toast] {
  --normal-bg: var(--raised);
  --normal-border: var(--line);
  --normal-text: var(--ink);
  --error-bg: var(--raised);
  font-family: var(--font-sans);
  font-size: 14px;
  background: var(--raised);
  border: 1px solid var(--ring);
  color: var(--ink);
  box-shadow: none;
  border-radius: 8px;
}
.sayings [data-sonner-toast][data-type='error'] {
  border-color: var(--rose);
}
.sayings [data-sonner-toast] [data-button] {
  background: transparent;
  color: var(--ink);
  border: 1px solid var(--ring);
  height: 28px;
  font-size: 12.5px;
  font-weight: 500;
}
</style>
