<script setup lang="ts">
import { computed } from 'vue'
import type { Outlook } from '@core/plan/outlook'
import { useChance } from './chance'

/** How a release stands, and how it would. */
const { before, after } = defineProps<{
  before: Pick<Outlook, 'chance' | 'is'>
  after: Pick<Outlook, 'chance' | 'is'>
}>()
const chance = useChance()
/** Nothing that is shown of it would change. */
const isSame = computed(() => before.is === after.is && chance.say(before) === chance.say(after))
/** What words alone would not tell. */
const nuance = computed(() =>
  chance.known.value || Math.abs(after.chance - before.chance) < 0.02
    ? ''
    : after.chance > before.chance
      ? ', surer'
      : ', less sure',
)
</script>

<template>
  <span v-if="isSame && chance.known.value"
    >stays <strong>{{ after.is }}</strong>{{ ' ' }}<span class="num">{{ chance.say(after) }}</span></span
  ><span v-else-if="before.is === after.is && !chance.known.value"
    >still <strong>{{ after.is }}</strong>{{ nuance }}</span
  ><span v-else
    >{{ before.is }} <span class="num">{{ chance.say(before) }}</span> →
    <strong class="whitespace-nowrap">{{ after.is }}</strong>{{ ' '
    }}<span class="num">{{ chance.say(after) }}</span></span
  >
</template>
