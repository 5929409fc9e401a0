<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

/** A dialog: a panel over the dimmed room, closed by Esc, the cross or a click beside it. */
const { title, wide = false } = defineProps<{ open: boolean; title: string; wide?: boolean }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-base/60" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4 sm:pt-[12vh]">
      <DialogPanel
        class="panel mx-auto bg-panel border-line p-5"
        :class="wide ? 'max-w-[760px]' : 'max-w-[520px]'"
      >
        <div class="flex items-start gap-3 mb-3">
          <DialogTitle class="text-20 leading-7 flex-1">{{ title }}</DialogTitle>
          <button class="btn btn-bare btn-small px-1.5" aria-label="Close" @click="emit('close')">
            <X :size="18" />
          </button>
        </div>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
