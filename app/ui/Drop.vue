<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'

/** A button that lets a panel down below it; Esc or a click beside it closes it. */
const {
  label,
  wide = false,
  right = false,
  on = false,
  small = false,
} = defineProps<{ label: string; wide?: boolean; right?: boolean; on?: boolean; small?: boolean }>()
</script>

<template>
  <Popover v-slot="{ close }" class="relative">
    <PopoverButton class="btn" :class="[on ? 'border-ink' : '', small ? 'btn-small' : '']"
      ><slot name="label">{{ label }}</slot
      ><ChevronDown :size="14" aria-hidden="true"
    /></PopoverButton>
    <PopoverPanel
      class="panel absolute top-[40px] z-30 bg-raised border-line p-3 max-h-[70vh] overflow-y-auto"
      :class="[wide ? 'w-[560px] max-w-[92vw]' : 'w-[250px]', right ? 'right-0' : 'left-0']"
      ><slot :close="close"
    /></PopoverPanel>
  </Popover>
</template>
