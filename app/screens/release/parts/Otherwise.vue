<script setup lang="ts">
import { computed } from 'vue'
import { fixMoment, sayOtherwise } from '@core/commands/release'
import type { Otherwise } from '@core/records'
import type { Going } from '@core/release/moves'
import { localAt } from '@core/rhythm/zone'
import { useLibrary } from '@app/stores/library'
import DateField from '@app/ui/fields/DateField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'

/** What is said otherwise at this outlet than everywhere, and a moment that stays when the release moves. */
const { thing } = defineProps<{ thing: Going }>()
const library = useLibrary()
const episode = computed(() => thing.card.episode)
const said = computed(() => episode.value.otherwise?.[thing.outlet.id] ?? {})
const isOwn = computed(() => Object.keys(said.value).length > 0)
const local = computed(() => localAt(thing.at, thing.card.show.zone))
const isMain = computed(() => thing.key === thing.card.show.outlets[0])
const write = (words: Otherwise) =>
  library.perform(sayOtherwise, { episode: episode.value.id, outlet: thing.outlet.id, words }, 'quietly')
const fix = (fixed: Parameters<typeof fixMoment>[1]['fixed']) =>
  library.perform(fixMoment, { episode: episode.value.id, key: thing.key, fixed }, 'quietly')
const everywhere = 'as everywhere'
</script>

<template>
  <details :open="isOwn || thing.isFixed">
    <summary class="cursor-pointer sub">
      {{ isOwn ? 'Said otherwise here' : 'Say it otherwise here'
      }}<template v-if="thing.isFixed">; its moment is fixed</template>
    </summary>
    <div class="grid gap-2 mt-2">
      <TextField
        :model-value="said.title ?? ''"
        lazy
        :label="`Title at ${thing.outlet.name}`"
        :placeholder="everywhere"
        @update:model-value="write({ title: $event })"
      />
      <TextField
        :model-value="said.description ?? ''"
        lazy
        :label="`Description at ${thing.outlet.name}`"
        :placeholder="everywhere"
        @update:model-value="write({ description: $event })"
      />
      <div v-if="!isMain" class="flex flex-wrap items-end gap-2">
        <template v-if="thing.isFixed">
          <DateField
            :model-value="local.day"
            label="Goes out on"
            @update:model-value="$event && fix({ day: $event, time: local.time })"
          /><TimeField
            :model-value="local.time"
            label="at"
            @update:model-value="fix({ day: local.day, time: $event })"
          /><button class="btn btn-small" @click="fix(undefined)">Let it go with the release</button>
        </template>
        <button v-else class="btn btn-small" @click="fix(local)">
          Fix its moment, whatever becomes of the release
        </button>
      </div>
    </div>
  </details>
</template>
