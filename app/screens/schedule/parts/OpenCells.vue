<script setup lang="ts">
import { computed } from 'vue'
import { placeOnSlot, pullEpisodes, skipSlot } from '@core/commands/schedule'
import { sayDay } from '@core/rhythm/days'
import type { SlotRow } from '@core/views/card'
import { usePromises } from '@app/stores/promises'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'

/** The cells of a row of Slots with nothing on it: what it is kept for, two ideas for it, what can be done. */
const { row, gap } = defineProps<{
  row: SlotRow
  /** Something stands behind it that could be pulled forward. */
  gap: boolean
}>()
const library = useLibrary()
const promises = usePromises()
const desk = useDesk()
const dialogs = useDialogs()
const kept = computed(() => promises.keptFor(row.show.id, row.slot?.original))
const suggested = computed(() => (row.slot ? (desk.suggestions.get(row.slot.key) ?? []) : []))
const number = computed(() => (row.number === undefined ? '' : `${row.show.prefix}${row.number}`))
</script>

<template>
  <td>
    <span class="thumb open num" :class="row.show.kind">{{ number }}</span>
  </td>
  <td>
    <span class="block font-semibold">{{
      row.slot?.skipped ? 'Skipped' : kept ? `Kept for ${kept?.reservation.name}` : 'Open'
    }}</span><span class="sub"
      >{{ row.show.title
      }}<template v-if="kept?.reservation.note">. {{ kept?.reservation.note }}</template></span
    >
  </td>
  <td colspan="6">
    <span v-if="row.slot && !row.slot.skipped && suggested.length > 0" class="grid gap-0.5"
      ><button
        v-for="s in suggested"
        :key="s.episode.id"
        class="suggest"
        :aria-label="`Put “${s.episode.title}” on ${sayDay(row.day)}: ${s.reason}`"
        @click="library.perform(placeOnSlot, { episode: s.episode.id, day: row.slot.original })"
      >
        <span class="sub whitespace-nowrap">{{ s.reason }}</span><span class="truncate font-medium">{{
          s.episode.title
        }}</span>
      </button></span
    ><span v-else class="sub">{{
      row.slot?.skipped ? 'Nothing goes out on this date.' : 'Nothing is on it yet.'
    }}</span>
  </td>
  <td colspan="2" class="text-right">
    <span class="inline-flex gap-2"
      ><button
        v-if="row.slot?.skipped"
        class="btn btn-small"
        @click="library.perform(skipSlot, { show: row.show.id, day: row.slot.original, skip: false })"
      >
        Take the skip back</button
      ><template v-else
        ><button
          v-if="gap"
          class="btn btn-small"
          @click="row.slot && library.perform(pullEpisodes, { show: row.show.id, day: row.slot.original })"
        >
          Close the gap</button
        ><button
          class="btn btn-small"
          @click="
            row.slot && library.perform(skipSlot, { show: row.show.id, day: row.slot.original, skip: true })
          "
        >
          Skip once</button
        ><button
          v-if="!kept"
          class="btn btn-small"
          :aria-label="`Keep ${sayDay(row.day)} for somebody or something`"
          @click="row.slot && dialogs.show({ kind: 'keep', slot: row.slot })"
        >
          Keep…</button
        ><button class="btn btn-small" @click="row.slot && dialogs.show({ kind: 'fill', slot: row.slot })">
          Choose
        </button></template
      ></span
    >
  </td>
</template>

<style scoped>
.suggest {
  display: flex;
  gap: 10px;
  align-items: baseline;
  max-width: 330px;
  padding: 1px 8px;
  margin-left: -8px;
  text-align: left;
  border-radius: 6px;
}
.suggest:hover {
  background: var(--raised);
}
</style>
