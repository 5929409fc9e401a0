<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { useDialogs } from '@app/stores/dialogs'
import { useFinding, type Entry } from './finding'
import { keysOn } from '@app/ui/keymap'
import { finderKeys } from './keymap'

/**
 * Find or do: a slate under the film with three columns, episodes, deeds and places. Arrows move in both
 * directions.
 */
const dialogs = useDialogs()
const asked = ref('')
const at = ref({ column: 0, row: 0 })
const field = ref<HTMLInputElement>()
const columns = useFinding(asked)

watch(asked, () => {
  at.value = {
    column: Math.max(
      0,
      columns.value.findIndex((c) => c.list.length > 0),
    ),
    row: 0,
  }
})
onMounted(() => {
  void nextTick(() => field.value?.focus())
})
function close() {
  dialogs.close()
}
function take(entry: Entry | undefined) {
  if (!entry) return
  close()
  setTimeout(() => {
    entry.act()
  }, 30)
}
function side(step: 1 | -1) {
  const { column, row } = at.value
  for (let c = column + step; c >= 0 && c < 3; c += step) {
    const count = columns.value[c]?.list.length ?? 0
    if (count > 0) {
      at.value = { column: c, row: Math.min(row, count - 1) }
      return
    }
  }
}
const keyed = keysOn(finderKeys, {
  move: ({ which }) => {
    const { column, row } = at.value
    const last = (columns.value[column]?.list.length ?? 0) - 1
    at.value = { column, row: which === 0 ? Math.max(row - 1, 0) : Math.min(row + 1, last) }
  },
  // Within what is typed the arrows move the caret.
  side: ({ which }) => {
    if (which === 0 ? at.value.column === 0 : field.value?.selectionStart !== asked.value.length) return false
    side(which === 0 ? -1 : 1)
    return true
  },
  take: () => {
    take(columns.value[at.value.column]?.list[at.value.row])
  },
})
const here = computed(() => columns.value[at.value.column]?.list[at.value.row]?.key)
</script>

<template>
  <Dialog :open="true" class="relative z-40" @close="close">
    <div class="fixed inset-0 bg-base/50" aria-hidden="true" />
    <DialogPanel
      class="fixed inset-x-0 top-[52px] bg-panel border-y border-line px-5 py-4 max-h-[80vh] overflow-y-auto"
    >
      <DialogTitle class="unseen">Find or do</DialogTitle>
      <div class="max-w-[1080px] mx-auto">
        <input
          ref="field"
          v-model="asked"
          class="field text-16"
          placeholder="Find an episode, or say what to do…"
          aria-label="Find an episode, or say what to do"
          role="combobox"
          aria-expanded="true"
          aria-controls="found"
          :aria-activedescendant="here ? `found-${here}` : undefined"
          @keydown="keyed"
        />
        <div
          id="found"
          role="listbox"
          aria-label="Found"
          class="grid grid-cols-1 gap-6 mt-4 sm:grid-cols-[2fr_1.2fr_1fr]"
        >
          <div v-for="(column, c) in columns" :key="column.name" role="group" :aria-label="column.name">
            <p class="text-12 text-ink-2 mb-1.5">{{ column.name }}</p>
            <p v-if="column.list.length === 0" class="text-12 text-ink-3">nothing fits</p>
            <button
              v-for="(entry, r) in column.list"
              :id="`found-${entry.key}`"
              :key="entry.key"
              role="option"
              tabindex="-1"
              :aria-selected="at.column === c && at.row === r"
              class="entry"
              :class="{ here: at.column === c && at.row === r }"
              @click="take(entry)"
              @pointermove="at = { column: c, row: r }"
            >
              <span class="truncate flex-1">{{ entry.text }}</span><span
                v-if="entry.note"
                class="num text-11"
                >{{ entry.note }}</span
              ><span v-if="entry.hint" class="key">{{ entry.hint }}</span>
            </button>
          </div>
        </div>
      </div>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.entry {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  text-align: left;
  padding: 5px 8px;
  margin-left: -8px;
  border-radius: 6px;
  border-left: 2px solid transparent;
}
.here {
  background: var(--raised);
  border-left-color: var(--ink);
  border-radius: 0 6px 6px 0;
}
</style>
