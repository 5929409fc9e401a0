<script setup lang="ts">
import { computed } from 'vue'
import { likelyOut } from '@core/release/likely-out'
import { sayDay } from '@core/rhythm/days'
import { sayLeft } from '@core/rhythm/zone'
import type { Card } from '@core/views/card'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import { todayKeys } from '../keymap'

/** A release whose moment has passed: has it gone out? */
const { card } = defineProps<{ card: Card }>()
const emit = defineEmits<{ out: [at: number] }>()
const moment = useMoment()
const dialogs = useDialogs()
/** The two answers, what is more likely first. */
const answers = computed(() => {
  const planned = card.standing.release?.at ?? moment.now
  const isPlanned = likelyOut(card.standing, moment.now) === planned
  const all = [
    { name: `Yes, at ${card.standing.release?.time ?? 'its time'}`, at: planned },
    { name: 'Yes, just now', at: moment.now },
  ]
  return isPlanned ? all : all.reverse()
})
</script>

<template>
  <section class="panel border-lamp-line p-4 flex flex-wrap items-center gap-4" aria-labelledby="isout">
    <div class="flex-1 min-w-[220px]">
      <h2 id="isout" class="text-20 leading-7">Is it out?</h2>
      <p>
        <span class="num">{{ card.number }}</span> {{ card.title }}
      </p>
      <p class="sub">
        was to go out {{ sayDay(card.standing.release?.day ?? moment.today) }},
        {{ sayLeft(moment.now, card.standing.release?.at ?? 0)
        }}<template v-if="card.standing.scheduled"> · scheduled</template
        ><template v-else-if="!card.standing.ready">
          · <Flag />{{ card.standing.missing.length }} still open</template
        >
      </p>
    </div>
    <button class="btn" @click="dialogs.show({ kind: 'missed', episode: card.episode.id })">Not yet…</button>
    <button class="btn" @click="dialogs.show({ kind: 'released', episode: card.episode.id })">
      When and where…
    </button>
    <button
      v-for="(a, i) in answers.toReversed()"
      :key="a.name"
      class="btn"
      :class="i === 1 ? 'btn-main' : ''"
      @click="emit('out', a.at)"
    >
      {{ a.name }} <KeySign v-if="i === 1" :line="todayKeys.lines.out" />
    </button>
  </section>
</template>
