<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref, watch } from 'vue'
import type { Day, Id, SessionKind } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { sessionKinds } from '@core/session/kinds'
import { savedBy, type Candidate, type Together } from '@core/session/together'
import { useMoment } from '@app/stores/moment'
import DateField from '@app/ui/fields/DateField.vue'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import { sessionsKeys } from '../keymap'

/** Who could go together: on one film with one set-up, over what each would take by itself. */
const { of } = defineProps<{ of: Together }>()
const emit = defineEmits<{
  lay: [of: { kind: SessionKind; day: Day; steps: Id[] }]
  choose: [of: { day: Day; steps: Id[] }]
}>()
const moment = useMoment()
const day = ref(of.day)
const out = ref(new Set<Id>())
const chosen = computed(() => of.candidates.filter((c) => !out.value.has(c.card.episode.id)))
const steps = computed(() => chosen.value.flatMap((c) => c.steps.map((s) => s.state.step.id)))
const saves = computed(() => savedBy(chosen.value, of.setup))
const minutes = computed(() => sum(chosen.value, (c) => c.minutes) + of.setup)
const apart = computed(() => minutes.value + saves.value)
const width = (m: number) => `${(m / Math.max(1, apart.value)) * 100}%`
watch(
  [day, steps],
  () => {
    emit('choose', { day: day.value, steps: steps.value })
  },
  { immediate: true },
)
function toggle(c: Candidate) {
  const next = new Set(out.value)
  if (!next.delete(c.card.episode.id)) next.add(c.card.episode.id)
  out.value = next
}
const many = ['', 'one', 'two', 'three', 'four']
const verb = computed(() => sessionKinds[of.kind].verb)
const shared = computed(() => {
  const all = chosen.value.flatMap((c) => [...c.places])
  return [...new Set(all.filter((p, i) => all.indexOf(p) !== i))]
})
</script>

<template>
  <section class="panel p-5 grid gap-4" aria-labelledby="together">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="together" class="text-20 leading-7">
        {{ verb.charAt(0).toUpperCase() + verb.slice(1) }} {{ many[chosen.length] ?? chosen.length }} together
      </h2>
      <p v-if="saves > 0" class="rounded-full border border-ring px-3 py-0.5 text-12">
        saves {{ sayMinutes(saves) }}
      </p>
      <p class="sub flex-1">
        <template v-if="of.standing && day === of.day">{{ sayDay(of.day) }} is your day for it. </template
        ><template v-if="of.over > 0"
          ><Flag /><span class="late">{{ sayMinutes(of.over) }} more than the day has. </span></template
        ><template v-if="shared.length > 0">Shared: {{ shared.join(', ') }}.</template>
      </p>
    </div>
    <div class="film film-edge rounded-card bg-base px-4 py-4 grid gap-1.5" aria-hidden="true">
      <div class="flex gap-[2px] h-[26px]">
        <span v-if="of.setup > 0" class="piece setup" :style="{ width: width(of.setup) }">set up once</span
        ><span
          v-for="c in chosen"
          :key="c.card.episode.id"
          class="piece"
          :style="{ width: width(c.minutes) }"
          >{{ c.card.number }}</span
        >
      </div>
      <div v-if="of.setup > 0" class="flex gap-[2px] h-[14px] opacity-70">
        <template v-for="c in chosen" :key="c.card.episode.id"
          ><span class="piece setup" :style="{ width: width(of.setup) }" /><span
            class="piece thin"
            :style="{ width: width(c.minutes) }"
        /></template>
      </div>
    </div>
    <ul class="grid gap-1">
      <li v-for="c in of.candidates" :key="c.card.episode.id">
        <label class="flex items-center gap-3 py-1 cursor-pointer"
          ><input
            type="checkbox"
            class="tick"
            :checked="!out.has(c.card.episode.id)"
            :disabled="chosen.length <= 1 && !out.has(c.card.episode.id)"
            @change="toggle(c)"
          /><span class="num w-[52px]">{{ c.card.number }}</span
          ><span class="flex-1 min-w-0 font-medium truncate">{{ c.card.title }}</span
          ><span class="sub"
            ><template v-if="c.steps.some((s) => s.state.late)"
              ><Flag /><span class="late">late</span>, </template
            >{{ c.ready ? 'ready' : `ready by ${sayDay(c.from, moment.today)}`
            }}<template v-if="c.due"
              >, due {{ sayDay(c.due) }}, {{ sayAway(c.due, moment.today) }}</template
            ></span
          ><span class="num w-[64px] text-right">{{ sayMinutes(c.minutes) }}</span></label
        >
      </li>
    </ul>
    <div class="flex flex-wrap items-end gap-3">
      <DateField v-model="day" label="Day" required class="w-[236px]" :min="moment.today" />
      <p class="num flex-1 pb-2">
        {{ sayMinutes(minutes) }}<template v-if="saves > 0"> instead of {{ sayMinutes(apart) }}</template>
      </p>
      <button class="btn btn-main" @click="emit('lay', { kind: of.kind, day, steps })">
        Lay it on {{ sayDay(day, moment.today) }} <KeySign :line="sessionsKeys.lines.lay" />
      </button>
    </div>
  </section>
</template>

<style scoped>
.piece {
  display: flex;
  align-items: center;
  justify-content: center;
  overflow: hidden;
  white-space: nowrap;
  border: 1px solid var(--ring);
  border-radius: 4px;
  background: var(--raised);
  font: 500 11px/1 var(--font-mono);
  color: var(--ink);
}
.setup {
  background: transparent;
  border-style: dashed;
  color: var(--ink-2);
}
.thin {
  background: transparent;
}
</style>
