<script setup lang="ts">
import { draftId } from '@core/partners/people'
import { heldBy } from '@core/named'
import { ref } from 'vue'
import { writeEpisode } from '@core/commands/episode'
import { editSettings } from '@core/commands/settings'
import type { Episode } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import DateField from '@app/ui/fields/DateField.vue'

/**
 * Guests thought of, and when each is not free: an idea with a guest who is away is not offered for that
 * time.
 */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const moment = useMoment()
const fresh = ref('')
const away = ref<string>()
const from = ref('')
const to = ref('')
function write(guests: string[]) {
  void library.perform(
    writeEpisode,
    { episode: episode.id, typed: { guests }, what: 'the guests' },
    'quietly',
  )
}
function add() {
  const name = fresh.value.trim()
  if (name !== '' && !episode.guests.includes(name)) write([...episode.guests, name])
  fresh.value = ''
}
const times = (guest: string) => heldBy(library.settings.away, guest) ?? []
async function keep(guest: string) {
  if (from.value === '') return
  const done = await library.perform(
    editSettings,
    {
      away: {
        ...library.settings.away,
        [guest]: [...times(guest), { from: from.value, to: to.value || from.value }],
      },
    },
    'quietly',
  )
  if (done.ok) {
    away.value = undefined
    from.value = ''
    to.value = ''
  }
}
function drop(guest: string, i: number) {
  void library.perform(
    editSettings,
    {
      away: { ...library.settings.away, [guest]: times(guest).filter((_, n) => n !== i) },
    },
    'quietly',
  )
}
</script>

<template>
  <div>
    <p class="label">Guests thought of</p>
    <ul class="grid gap-1.5">
      <li v-for="g in episode.guests" :key="g" class="flex flex-wrap gap-x-2 gap-y-1 items-center">
        <RouterLink
          class="font-medium no-underline hover:underline"
          :to="{ name: 'partners', params: { who: draftId(g) } }"
          >{{ g }}</RouterLink><span
          v-for="(t, i) in times(g)"
          :key="i"
          class="border border-line rounded-control px-2 text-12"
          >away {{ sayDay(t.from, moment.today) }} to {{ sayDay(t.to, moment.today)
          }}<button class="ml-1.5 text-ink-2" :aria-label="`${g} is free then after all`" @click="drop(g, i)">
            ×
          </button></span
        ><button class="btn btn-bare btn-small px-1.5" @click="away = away === g ? undefined : g">
          Not free…</button
        ><button
          class="text-ink-2 px-1"
          :aria-label="`Take ${g} away`"
          @click="write(episode.guests.filter((x) => x !== g))"
        >
          ×
        </button>
        <form v-if="away === g" class="flex gap-2 w-full" @submit.prevent="keep(g)">
          <DateField v-model="from" :label="`${g} is not free from`" hidden required /><DateField
            v-model="to"
            :label="`${g} is not free until`"
            hidden
            :min="from"
          /><button class="btn btn-small">Set</button>
        </form>
      </li>
    </ul>
    <input
      v-model="fresh"
      class="quiet-field mx-0 w-[170px] text-12 border-line mt-1"
      placeholder="Add a guest"
      aria-label="Add a guest"
      @keydown.enter.prevent="add"
      @change="add"
    />
  </div>
</template>
