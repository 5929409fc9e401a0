<script setup lang="ts">
import type { Day } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import NumberField from '@app/ui/fields/NumberField.vue'
import { useChance } from './forecast/chance'
import OutlookShift from './forecast/OutlookShift.vue'
import { useDaysChosen } from './useDaysChosen'

/**
 * Days chosen together: lost, or with other hours; what it does to the releases, and what would mend that,
 * before anything is written. It stands below the days, so that none of them moves away under the pointer.
 */
const { days } = defineProps<{ days: Day[] }>()
const emit = defineEmits<{ done: [] }>()
const chance = useChance()
const { hours, looking, minutes, breaks, set, agreed, copyMessage } = useDaysChosen(
  () => days,
  () => {
    emit('done')
  },
)
</script>

<template>
  <section
    class="panel border-ring p-3 mt-3 max-h-[46vh] max-sm:max-h-[32vh] overflow-y-auto sticky bottom-2 max-sm:bottom-[72px] z-10"
    aria-label="Days chosen"
  >
    <div class="flex flex-wrap items-center gap-3">
      <strong class="flex-1 min-w-[180px]">{{
        [...days]
          .sort()
          .map((d) => sayDay(d))
          .join(', ')
      }}</strong>
      <button class="btn btn-small" @mouseenter="looking = 'lost'" @focus="looking = 'lost'" @click="set(0)">
        Lost, no hours
      </button>
      <span class="flex items-center gap-1.5"
        ><button
          class="btn btn-small"
          @focus="looking = 'hours'"
          @mouseenter="looking = 'hours'"
          @click="set(Math.round(hours * 60))"
        >
          {{ hours }} h each</button
        ><NumberField
          v-model="hours"
          field="field num w-[64px] min-h-[28px] py-0"
          label="Hours on each day chosen"
          hidden
          eager
          :min="0"
          :max="24"
          :step="0.5"
          @focusin="looking = 'hours'"
      /></span>
      <button class="btn btn-small" @click="set(undefined)">The usual hours</button
      ><button class="btn btn-bare btn-small" @click="emit('done')">None</button>
    </div>
    <p class="sub mt-1">{{ looking === 'lost' ? 'If they are lost' : `With ${hours} h each` }}:</p>
    <ul v-if="breaks" class="grid gap-1 text-12" aria-label="What it does to the releases">
      <li v-for="b in breaks" :key="b.card.episode.id" class="flex flex-wrap items-center gap-x-2 gap-y-1">
        <span
          ><span class="num">{{ b.card.number }}</span> {{ b.card.title }}:
          <OutlookShift :before="b.before" :after="b.after" /></span
        ><button
          v-for="m in b.mends"
          :key="m.name"
          class="btn btn-small min-h-[24px] text-11"
          @click="set(minutes, m)"
        >
          and {{ m.name
          }}<template v-if="m.after"
            >: {{ m.after.is }} <span class="num">{{ chance.say(m.after) }}</span></template
          ><template v-else>: ready</template>
        </button>
      </li>
      <li v-if="breaks.length === 0" class="text-ink-2">No release changes by it.</li>
    </ul>
    <p v-else class="sub">Looking at the releases…</p>
    <ul
      v-if="looking === 'lost' && agreed.length > 0"
      class="grid gap-1 text-12 mt-2"
      aria-label="Agreed with others"
    >
      <li v-for="a in agreed" :key="`${a.step.id} ${a.guest}`" class="flex flex-wrap items-center gap-2">
        <span
          ><strong class="font-semibold">{{ a.guest }}</strong> is expected {{ sayDay(a.day) }}, {{ a.at }}.
          That stays until you change it.</span
        ><button class="btn btn-small" @click="copyMessage(a)">Copy a message to {{ a.guest }}</button>
      </li>
    </ul>
  </section>
</template>
