<script setup lang="ts">
import { useDialogs } from '@app/stores/dialogs'
import { shownKeys } from '@app/ui/keymap'
import Sheet from '@app/ui/Sheet.vue'
import { keymaps } from '../keymaps'

const dialogs = useDialogs()
</script>

<template>
  <Sheet :open="true" title="Shortcuts" wide @close="dialogs.close()">
    <div class="sm:columns-2 gap-x-8">
      <section v-for="map in keymaps" :key="map.title" class="break-inside-avoid pb-5">
        <h3 class="text-14 mb-1.5">{{ map.title }}</h3>
        <dl class="grid grid-cols-[120px_1fr] gap-y-1.5 text-12">
          <template v-for="(line, deed) in map.lines" :key="deed"
            ><dt>
              <span class="key">{{ shownKeys(line) }}</span>
            </dt>
            <dd class="text-ink-2">{{ line[1] }}</dd></template
          >
        </dl>
      </section>
    </div>
  </Sheet>
</template>
