<script setup lang="ts">
import { likelySame, type Like } from '@core/ideas/likeness'
import { sayAway } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import type { Card } from '@core/views/card'
import KeySign from '@app/ui/KeySign.vue'
import { sortKeys } from './keymap'

/** What an idea may be a second time of, and the move that makes them one. */
const { like } = defineProps<{ like: { like: Like; card: Card } | undefined }>()
const emit = defineEmits<{ merge: [] }>()
const moment = useMoment()
</script>

<template>
  <aside class="panel p-5 grid gap-3" aria-label="A likely duplicate">
    <template v-if="like">
      <h2>{{ like.like.likeness >= likelySame ? 'You may have this already' : 'Close to this' }}</h2>
      <p class="text-16 font-medium break-words">{{ like.card.title }}</p>
      <p class="sub">
        <span class="num">{{ like.card.number }}</span>
        {{
          like.card.episode.phase.kind === 'idea'
            ? 'an idea'
            : like.card.episode.phase.kind === 'released'
              ? `released ${sayAway(moment.dayOn(like.card.episode.phase.at), moment.today)}`
              : like.card.episode.phase.kind === 'work'
                ? 'in work'
                : 'parked'
        }}, shares {{ like.like.words.join(', ') }}
      </p>
      <p v-if="like.card.episode.note" class="sub line-clamp-4">{{ like.card.episode.note }}</p>
      <button class="btn justify-self-start" @click="emit('merge')">
        Merge into it <KeySign :line="sortKeys.lines.merge" />
      </button>
      <p class="sub">Both texts and sources are kept there.</p>
    </template>
    <template v-else
      ><h2>Nothing like it</h2>
      <p class="sub">No earlier episode or idea comes close to this one.</p></template
    >
  </aside>
</template>
