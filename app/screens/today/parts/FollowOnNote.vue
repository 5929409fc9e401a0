<script setup lang="ts">
import { dismissFollowed } from '@core/commands/work'
import { sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import type { Today } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'

/** What a follow-on put on Today: a note, or folders that can be saved. */
const { card, followed } = defineProps<{ card: Card; followed: Today['notes'][number]['followed'] }>()
const library = useLibrary()
const moment = useMoment()
async function saveFolder() {
  const { foldersOf } = await import('../../episode/folders')
  const { folderZip } = await import('@core/formats/folder')
  const zip = folderZip(foldersOf(card))
  download(zip.name, zip.bytes, 'application/zip')
  await library.perform(dismissFollowed, { episode: card.episode.id, followed: followed.id }, 'quietly')
}
</script>

<template>
  <section class="panel px-4 py-3 flex flex-wrap items-center gap-3" :aria-label="`Note: ${followed.says}`">
    <div class="flex-1 min-w-[220px]">
      <p class="font-semibold">
        {{ followed.shows === 'folder' ? 'Its folders can be saved' : followed.says }}
      </p>
      <p class="sub truncate">
        <span class="num">{{ card.number }}</span> {{ card.title }}, since
        {{ sayDay(moment.dayOn(followed.at)) }}
      </p>
    </div>
    <button v-if="followed.shows === 'folder'" class="btn" @click="saveFolder()">Save the folders</button
    ><button
      class="btn"
      :class="followed.shows === 'folder' ? 'btn-bare' : ''"
      @click="library.perform(dismissFollowed, { episode: card.episode.id, followed: followed.id })"
    >
      {{ followed.shows === 'folder' ? 'Not now' : 'Seen to' }}
    </button>
  </section>
</template>
