<script setup lang="ts">
import { computed, ref } from 'vue'
import { markAllReleased } from '@core/commands/release'
import { sayAway, sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import KeySign from '@app/ui/KeySign.vue'
import { todayKeys } from '../keymap'

/** After days away: all releases whose moment has passed, to be answered for at once. */
const emit = defineEmits<{ out: [] }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const not = ref(new Set<string>())
const out = computed(() => cards.overdue.filter((c) => !not.value.has(c.episode.id)))
function toggle(id: string) {
  const next = new Set(not.value)
  if (!next.delete(id)) next.add(id)
  not.value = next
}
async function answer() {
  const done = await library.perform(markAllReleased, { episodes: out.value.map((c) => c.episode.id) })
  if (done.ok) emit('out')
}
defineExpose({ answer })
</script>

<template>
  <section class="panel border-lamp-line p-4" aria-labelledby="wereout">
    <div class="flex flex-wrap items-center gap-4 mb-2">
      <h2 id="wereout" class="text-20 leading-7 flex-1 min-w-[220px]">
        Are these {{ cards.overdue.length }} out?
      </h2>
      <button class="btn btn-main" :disabled="out.length === 0" @click="answer">
        Yes, {{ out.length === cards.overdue.length ? 'all' : `the ${out.length} ticked` }}
        <KeySign :line="todayKeys.lines.out" />
      </button>
    </div>
    <ul class="grid gap-1 max-h-[260px] overflow-y-auto">
      <li v-for="c in cards.overdue" :key="c.episode.id" class="flex items-center gap-3">
        <label class="flex items-center gap-2 flex-1 min-w-0"
          ><input
            type="checkbox"
            class="tick"
            :checked="!not.has(c.episode.id)"
            @change="toggle(c.episode.id)"
          /><span class="num">{{ c.number }}</span
          ><span class="truncate">{{ c.title }}</span></label
        ><span class="sub whitespace-nowrap">{{
          c.standing.release
            ? `${sayDay(c.standing.release.day, moment.today)}, ${sayAway(c.standing.release.day, moment.today)}`
            : ''
        }}</span
        ><button
          class="btn btn-small"
          :aria-label="`When and where ${c.number} went out`"
          @click="dialogs.show({ kind: 'released', episode: c.episode.id })"
        >
          When…</button
        ><button class="btn btn-small" @click="dialogs.show({ kind: 'missed', episode: c.episode.id })">
          Not out…
        </button>
      </li>
    </ul>
  </section>
</template>
