<script setup lang="ts">
import { computed, ref } from 'vue'
import { pastColumns } from '@core/formats/past-table'
import { sayDay } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import { useMoment } from '@app/stores/moment'
import { filesIn, typedIn } from '@app/ui/fields/event'
import Sheet from '@app/ui/Sheet.vue'
import { usePast } from './usePast'

/** Takes in what is out already: from a table, a feed, or a folder of subtitles; looked at first, taken at once. */
const emit = defineEmits<{ close: [] }>()
const moment = useMoment()
const past = usePast()
const { chosen, show, table, folder, mapping, name, trouble, taking, faults } = past
const isTaking = ref(false)
const count = computed(() => (taking.value ? taking.value.fresh.length + taking.value.changed.length : 0))
const says = computed(() => {
  const { fresh = [], changed = [], same = 0 } = taking.value ?? {}
  return [
    `${fresh.length} new`,
    changed.length > 0 ? `${changed.length} know more` : '',
    same > 0 ? `${same} are here already` : '',
    faults.value.length > 0 ? `${faults.value.length} cannot be taken` : '',
  ]
    .filter(Boolean)
    .join(', ')
})
const day = (at: number) => sayDay(dayAt(at, show.value?.zone ?? 'UTC'), moment.today)
async function take() {
  isTaking.value = true
  const done = await past.take()
  isTaking.value = false
  if (done) emit('close')
}
</script>

<template>
  <Sheet :open="true" title="Take in what is out already" wide @close="emit('close')">
    <div class="flex flex-wrap items-end gap-3">
      <label class="btn relative"
        ><input
          type="file"
          multiple
          class="absolute inset-0 opacity-0 cursor-pointer"
          accept=".csv,.tsv,.txt,.xml,.rss,.srt,.vtt"
          aria-label="Choose a table, a feed, or subtitles"
          @change="past.open(filesIn($event))"
        />{{ name || 'Choose a file, or several subtitles' }}</label
      ><label v-if="moment.shows.length > 1 && !folder"
        ><span class="label">Of the show</span
        ><select v-model="chosen" class="field">
          <option v-for="s in moment.shows" :key="s.id" :value="s.id">{{ s.title }}</option>
        </select></label
      >
    </div>
    <p v-if="trouble" role="alert" class="late mt-3">{{ trouble }}</p>
    <div v-if="table" class="grid grid-cols-2 sm:grid-cols-3 gap-3 mt-4">
      <label v-for="c in past.columns" :key="c"
        ><span class="label">{{ pastColumns[c] }}</span
        ><select class="field" :value="mapping[c] ?? ''" @change="past.map(c, typedIn($event))">
          <option value="">none</option>
          <option v-for="x in table.columns" :key="x" :value="x">{{ x }}</option>
        </select></label
      >
    </div>
    <template v-if="taking">
      <p class="my-3" role="status">
        <strong>{{ says }}</strong>
      </p>
      <ul class="max-h-[30vh] overflow-y-auto text-12 grid gap-1" tabindex="0" aria-label="Rows">
        <li v-for="f in faults.slice(0, 60)" :key="`f${f.line}`" class="late">
          Line {{ f.line }}: {{ f.sentence }}
        </li>
        <li v-for="f in taking.changed.slice(0, 30)" :key="`c${f.row.line}`" class="flex gap-3">
          <span class="flex-1 truncate">{{ f.before.title }}</span><span class="sub"
            >here already, knows more</span
          >
        </li>
        <li v-for="f in taking.fresh.slice(-60).reverse()" :key="`n${f.row.line}`" class="flex gap-3">
          <span class="num w-[56px]">{{ f.row.number ?? '' }}</span><span class="flex-1 truncate">{{
            f.row.title
          }}</span
          ><span class="num">{{ day(f.row.at) }}</span>
        </li>
      </ul>
      <button class="btn btn-main mt-4" :disabled="count === 0 || isTaking" @click="take">
        {{ isTaking ? 'Taking them in…' : `Take in ${count}` }}
      </button>
    </template>
    <template v-else-if="folder">
      <p class="my-3" role="status">
        <strong
          >{{ folder.files.length }} found their episode<template v-if="folder.faults.length > 0"
            >, {{ folder.faults.length }} did not</template
          ></strong
        >
      </p>
      <ul class="max-h-[30vh] overflow-y-auto text-12 grid gap-1" tabindex="0" aria-label="Files">
        <li v-for="f in folder.faults" :key="f.name" class="late">{{ f.name }}: {{ f.sentence }}</li>
        <li v-for="f in folder.files" :key="f.name" class="flex gap-3">
          <span class="flex-1 truncate">{{ f.name }}</span><span class="num"
            >{{ f.captions.length }} subtitles</span
          >
        </li>
      </ul>
      <button class="btn btn-main mt-4" :disabled="folder.files.length === 0 || isTaking" @click="take">
        Take in {{ folder.files.length }}
      </button>
    </template>
    <p v-else class="sub mt-3">
      A table (CSV) with any columns, the feed of a show (RSS), or the subtitles of episodes that are here. It
      is shown before anything is taken; nothing that is here is written over.
    </p>
  </Sheet>
</template>
