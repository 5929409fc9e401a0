<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { SessionKind, type Day, type Id } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { sessionKinds, usualLength } from '@core/session/kinds'
import type { Candidate } from '@core/session/together'
import { useMoment } from '@app/stores/moment'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'

/** A session of one's own choosing: its kind, its day, and what goes into it. */
const { candidates } = defineProps<{ candidates: (kind: SessionKind) => Candidate[] }>()
const emit = defineEmits<{
  lay: [of: { kind: SessionKind; day: Day; steps: Id[]; minutes?: number }]
}>()
const Drop = defineAsyncComponent(() => import('@app/ui/Drop.vue'))
const moment = useMoment()
const kind = ref<SessionKind>('film')
const day = ref(moment.today)
const minutes = ref(usualLength)
const chosen = ref(new Set<Id>())
const all = computed(() => candidates(kind.value))
const idOf = (c: Candidate) => c.card.episode.id
function toggle(c: Candidate) {
  const next = new Set(chosen.value)
  if (!next.delete(idOf(c))) next.add(idOf(c))
  chosen.value = next
}
const steps = computed(() =>
  all.value.filter((c) => chosen.value.has(idOf(c))).flatMap((c) => c.steps.map((s) => s.state.step.id)),
)
/** Planning and stock footage need no episode. */
const isLoose = computed(() => kind.value === 'stock' || kind.value === 'planning')
const choices = SessionKind.options.map((k) => [k, sessionKinds[k].name] as const)
function lay(close: () => void) {
  const own = steps.value.length === 0 ? { minutes: minutes.value } : {}
  emit('lay', { kind: kind.value, day: day.value, steps: steps.value, ...own })
  chosen.value = new Set()
  close()
}
</script>

<template>
  <Drop label="New session" right wide small
    ><template #default="{ close }"
      ><div class="grid gap-3">
        <div class="grid grid-cols-2 gap-3">
          <ChoiceField v-model="kind" label="What is done" :of="choices" /><DateField
            v-model="day"
            label="Day"
            required
            :min="moment.today"
          />
        </div>
        <ul v-if="all.length > 0" class="grid gap-1 max-h-[240px] overflow-y-auto">
          <li v-for="c in all" :key="idOf(c)">
            <label class="flex items-center gap-3 py-0.5 cursor-pointer"
              ><input type="checkbox" class="tick" :checked="chosen.has(idOf(c))" @change="toggle(c)" /><span
                class="num w-[52px]"
                >{{ c.card.number }}</span
              ><span class="flex-1 truncate">{{ c.card.title }}</span
              ><span class="sub">{{ c.ready ? 'ready' : 'not ready yet' }}</span
              ><span class="num">{{ sayMinutes(c.minutes) }}</span></label
            >
          </li>
        </ul>
        <p v-else-if="!isLoose" class="sub">Nothing waits for this now.</p>
        <NumberField
          v-if="isLoose && steps.length === 0"
          v-model="minutes"
          label="Minutes"
          class="w-[120px]"
          :min="5"
          :max="1440"
          :step="5"
        />
        <button
          class="btn btn-main justify-self-start"
          :disabled="steps.length === 0 && !isLoose"
          @click="lay(close)"
        >
          Lay it on {{ sayDay(day, moment.today) }}
        </button>
      </div></template
    ></Drop
  >
</template>
