<script setup lang="ts">
import type { Idea } from '@core/records'

/** Who asked for it. */
const { asked, title } = defineProps<{ asked: Idea['asked']; title: string }>()
</script>

<template>
  <div>
    <p class="label">Asked for by</p>
    <ul class="grid gap-1">
      <li v-for="a in asked" :key="a.id">
        <strong class="font-medium">{{ a.name || 'one of the audience' }}</strong>{{ ' ' }}
        <span v-if="a.mail" class="sub">{{ a.mail }}</span>{{ ' ' }}
        <span v-if="a.tell" class="sub">wants to be told{{ a.told ? ', was told' : '' }}</span
        ><span v-if="a.wish !== title" class="block sub">“{{ a.wish }}”</span>
      </li>
    </ul>
  </div>
</template>
