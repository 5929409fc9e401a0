<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { editSettings } from '@core/commands/settings'
import { Day } from '@core/records'
import { addDays, daysBetween, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import { useReminders } from '@app/stores/reminders'
import { download } from '@app/ui/download'
import Flag from '@app/ui/Flag.vue'
import Sheet from '@app/ui/Sheet.vue'
import Batching from './Batching.vue'
import DemoWorld from './DemoWorld.vue'
import HoursFields from './HoursFields.vue'
import RestoreBackup from './RestoreBackup.vue'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'

const library = useLibrary()
const moment = useMoment()
const reminders = useReminders()
const hours = computed({
  get: () => library.settings.hours,
  set: (value) => {
    void library.perform(editSettings, { hours: value }, 'quietly')
  },
})
const total = computed(() => hours.value.reduce((a, b) => a + b, 0))
const off = ref('')
const offTo = ref('')
/** Days off in a row, as one stretch. */
const stretches = computed(() =>
  library.settings.daysOff
    .filter((d) => d >= addDays(moment.today, -7))
    .reduce<{ from: string; to: string }[]>((all, d) => {
      const last = all.at(-1)
      if (last && addDays(last.to, 1) === d) return [...all.slice(0, -1), { from: last.from, to: d }]
      return [...all, { from: d, to: d }]
    }, []),
)
function workAfterAll(s: { from: string; to: string }) {
  void library.perform(
    editSettings,
    {
      daysOff: library.settings.daysOff.filter((d) => d < s.from || d > s.to),
    },
    'quietly',
  )
}
const fault = ref('')
const asking = ref(false)
const busy = ref(false)
const persistent = ref<'kept' | 'refused' | 'unknown'>()

onMounted(async () => {
  persistent.value =
    'storage' in navigator ? ((await navigator.storage.persisted()) ? 'kept' : 'refused') : 'unknown'
})

async function addOff() {
  const day = Day.safeParse(off.value)
  fault.value = day.success ? '' : (day.error.issues[0]?.message ?? '')
  if (!day.success) return
  const last = Day.safeParse(offTo.value)
  if (offTo.value !== '' && (!last.success || last.data < day.data)) {
    fault.value = 'The last day off comes on or after the first.'
    return
  }
  const count = last.success ? Math.min(366, daysBetween(day.data, last.data)) : 0
  await library.perform(
    editSettings,
    {
      daysOff: [
        ...new Set([
          ...library.settings.daysOff,
          ...Array.from({ length: count + 1 }, (_, n) => addDays(day.data, n)),
        ]),
      ].sort(),
    },
    'quietly',
  )
  off.value = ''
  offTo.value = ''
}
async function save() {
  busy.value = true
  download(`lamp-reel-${moment.today}.zip`, await library.backup(), 'application/zip')
  busy.value = false
}
async function erase() {
  await library.erase()
  asking.value = false
}
async function keep() {
  persistent.value = await library.askToKeep()
}
</script>

<template>
  <div class="mx-auto max-w-[860px] px-5 py-6 grid gap-5">
    <h1>Settings</h1>
    <section class="panel p-5" aria-labelledby="hours">
      <div class="flex items-baseline gap-3 mb-3">
        <h2 id="hours">Hours of a week</h2>
        <p class="sub">{{ sayMinutes(total) }}. Due dates fall on days that have hours.</p>
      </div>
      <HoursFields v-model="hours" />
      <h3 class="text-14 mt-5 mb-2">Days off</h3>
      <form class="flex flex-wrap gap-2 items-center" @submit.prevent="addOff">
        <span v-for="s in stretches" :key="s.from" class="btn btn-small"
          >{{ sayDay(s.from, moment.today)
          }}<template v-if="s.to !== s.from"> to {{ sayDay(s.to, moment.today) }}</template
          ><button
            type="button"
            class="text-ink-2"
            :aria-label="`Take ${sayDay(s.from)} back`"
            @click="workAfterAll(s)"
          >
            ×
          </button></span
        >
        <DateField v-model="off" class="w-[200px]" label="A day off" hidden /><label
          class="flex items-center gap-2"
          >to
          <DateField v-model="offTo" class="w-[200px]" label="The last day off, of a holiday" hidden /></label
        ><button class="btn">Add {{ offTo ? 'the holiday' : 'the day' }}</button>
      </form>
      <p v-if="fault" role="alert" class="late mt-2">{{ fault }}</p>
    </section>
    <section class="panel p-5" aria-labelledby="batching">
      <details>
        <summary><h2 id="batching" class="inline">How work is batched</h2></summary>
        <p class="sub mt-1 mb-3">
          Setting up is counted once a day; planning puts work of one kind together, on days you like it,
          where that costs no release.
        </p>
        <Batching />
      </details>
    </section>
    <section class="panel p-5" aria-labelledby="reminders">
      <h2 id="reminders" class="mb-1">Reminders</h2>
      <p class="sub mb-3">
        While a tab of Lamp Reel is open: a release within a day that isn’t ready, work with a clock time half
        an hour before, a nudge that is due. For all other times, the calendar file has alarms.
      </p>
      <div class="flex flex-wrap items-end gap-4">
        <label class="flex items-center gap-2 pb-1.5"
          ><input
            type="checkbox"
            class="tick"
            :checked="reminders.wish === 'on'"
            @change="reminders.allow(reminders.wish !== 'on')"
          />
          Notifications in this browser</label
        ><NumberField
          :model-value="library.settings.nudgeAfter ?? 4"
          field="field num w-[96px]"
          label="Nudge whoever I wait on after, days"
          :min="1"
          :max="90"
          @update:model-value="(days) => library.perform(editSettings, { nudgeAfter: days }, 'quietly')"
        />
      </div>
    </section>
    <section class="panel p-5" aria-labelledby="theme">
      <h2 id="theme" class="mb-3">Theme</h2>
      <div class="flex gap-2" role="radiogroup" aria-label="Theme">
        <button
          v-for="[value, name] in [
            ['booth', 'Booth, dark'],
            ['daylight', 'Daylight'],
            ['system', 'As the system'],
          ] as const"
          :key="value"
          role="radio"
          class="btn"
          :class="library.settings.theme === value ? 'border-ink bg-raised' : ''"
          :aria-checked="library.settings.theme === value"
          @click="library.perform(editSettings, { theme: value }, 'quietly')"
        >
          {{ name }}
        </button>
      </div>
    </section>
    <section class="panel p-5" aria-labelledby="backups">
      <h2 id="backups" class="mb-1">Back-ups</h2>
      <p class="sub mb-4">
        Everything is kept in this browser alone. A back-up is a zip with all records, history and pictures,
        in open formats.
      </p>
      <div class="flex flex-wrap gap-2 items-start">
        <button class="btn btn-main" :disabled="busy" @click="save">
          {{ busy ? 'Packing it…' : 'Download a back-up' }}
        </button>
        <RestoreBackup label="Restore a back-up" />
        <button class="btn ml-auto" @click="asking = true">Erase everything</button>
      </div>
      <p v-if="persistent === 'refused'" class="mt-4 text-12 text-ink-2">
        <Flag />This browser may clear its storage when the disk is full.
        <button class="underline underline-offset-2" @click="keep">Ask it to keep this data</button>
      </p>
      <p v-else-if="persistent === 'kept'" class="mt-4 text-12 text-ink-2">
        The browser keeps this data until you erase it.
      </p>
    </section>
    <DemoWorld />
    <Sheet :open="asking" title="Erase everything?" @close="asking = false">
      <p class="mb-4">
        All shows, ideas, episodes, pictures and their history are erased from this browser. Only a back-up
        can bring them back.
      </p>
      <div class="flex flex-wrap gap-2">
        <button class="btn" @click="save">Download a back-up first</button
        ><button class="btn border-rose text-rose ml-auto" @click="erase">Erase everything</button>
      </div>
    </Sheet>
  </div>
</template>
