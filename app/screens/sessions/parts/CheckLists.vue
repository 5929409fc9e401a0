<script setup lang="ts">
import { computed } from 'vue'
import type { Id } from '@core/records'
import type { Check } from '@core/session/checks'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import { tickedIn } from '@app/ui/fields/event'
import { sessionKeys } from '../keymap'

/** What is looked at before the first shot and before striking. */
const { before, after, began, stopped } = defineProps<{
  before: readonly Check[]
  after: readonly Check[]
  /** The first shot is behind. */
  began: boolean
  /** The start was stopped once by what is open. */
  stopped: boolean
}>()
const emit = defineEmits<{ check: [item: Id, on: boolean] }>()
const lists = computed(() =>
  [
    { name: 'Before the first shot', checks: before, now: !began },
    { name: 'Before you strike', checks: after, now: began },
  ].filter((l) => l.checks.length > 0),
)
</script>

<template>
  <div class="grid gap-5">
    <section v-for="l in lists" :key="l.name" :aria-label="l.name" :class="l.now ? '' : 'max-lg:hidden'">
      <h2 class="flex items-baseline gap-2 text-14 mb-1.5">
        <span class="flex-1">{{ l.name }}</span><KeySign
          v-if="l.now && l.checks.some((c) => !c.on && !c.known)"
          :line="sessionKeys.lines.check"
        /><span class="num text-ink">{{ l.checks.filter((c) => c.on).length }}/{{ l.checks.length }}</span>
      </h2>
      <ul class="grid gap-0.5">
        <li v-for="c in l.checks" :key="c.id">
          <label class="flex items-start gap-2.5 py-1" :class="c.known ? '' : 'cursor-pointer'"
            ><input
              type="checkbox"
              class="tick"
              :checked="c.on"
              :disabled="c.known"
              @change="emit('check', c.id, tickedIn($event))"
            /><span class="text-12 leading-[18px]" :class="c.on ? 'text-ink-2' : ''"
              ><template v-if="stopped && l.now && c.required && !c.on"
                ><Flag :size="9" /><span class="late">{{ c.text }}</span></template
              ><template v-else>{{ c.text }}</template></span
            ></label
          >
        </li>
      </ul>
    </section>
  </div>
</template>
