<script setup lang="ts">
import { computed } from 'vue'
import { moveToNextOpen, putOnNext, skipMissed } from '@core/commands/schedule'
import { markReleased } from '@core/commands/release'
import { withChanges, type Change } from '@core/commands/change'
import { sayAway, sayDay } from '@core/rhythm/days'
import { releaseOf } from '@core/rhythm/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'

/** An episode that did not go out in time: what can be done, each with what it would do, in one place. */
const { id } = defineProps<{ id: string }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const dialogs = useDialogs()
const card = computed(() => cards.card(id))
function close() {
  dialogs.close()
}
/** Which releases some changes move, in words. */
function moves(changes: readonly Change[]): string {
  const after = withChanges(library.records, changes)
  const moved = changes.flatMap((c) => {
    if (c.table !== 'episodes' || !c.after) return []
    const show = after.shows.get(c.after.show)
    const release = show && releaseOf(c.after, show)
    return release ? [{ id: c.id, day: release.day }] : []
  })
  return moved
    .sort((a, b) => (a.day < b.day ? -1 : 1))
    .map(({ id, day }) => `${cards.card(id)?.number ?? ''} to ${sayDay(day)}, ${sayAway(day, moment.today)}`)
    .join('; ')
}
const wish = computed(() => ({ episode: id }))
const choices = computed(() => {
  const next = library.look(putOnNext, wish.value)
  const open = library.look(moveToNextOpen, wish.value)
  const shifted = next.filter((c) => c.table === 'episodes').length
  const release = card.value?.standing.release
  return [
    ...(shifted > 1
      ? [
          {
            name: 'Put it on the next slot and move what follows',
            says: moves(next),
            act: () => library.perform(putOnNext, wish.value),
          },
        ]
      : []),
    ...(open.length > 0
      ? [
          {
            name: 'Put it on the next open slot',
            says: moves(open),
            act: () => library.perform(moveToNextOpen, wish.value),
          },
        ]
      : []),
    {
      name: 'Release it late, now',
      says: `It is out today${release ? `, ${sayAway(release.day, moment.today).replace(' ago', '')} after its day` : ''}; its number is fixed.`,
      act: () => library.perform(markReleased, { ...wish.value, at: moment.now }),
    },
    ...(card.value?.episode.place.kind === 'slot'
      ? [
          {
            name: 'Skip the slot',
            says: 'The slot is left out once; the episode stays in work, without a date.',
            act: () => library.perform(skipMissed, wish.value),
          },
        ]
      : []),
  ]
})
async function take(act: () => Promise<{ ok: boolean }>) {
  if ((await act()).ok) close()
}
</script>

<template>
  <Sheet :open="true" title="It did not go out" @close="close">
    <p v-if="card" class="sub mb-3">
      <span class="num">{{ card.number }}</span> {{ card.title
      }}<template v-if="card.standing.release"
        >, was to go out {{ sayDay(card.standing.release.day) }},
        {{ sayAway(card.standing.release.day, moment.today) }}</template
      >
    </p>
    <ul class="grid gap-2" aria-label="What can be done">
      <li v-for="c in choices" :key="c.name">
        <button
          class="w-full text-left border border-line rounded-control px-3 py-2 hover:bg-raised"
          @click="take(c.act)"
        >
          <span class="block font-semibold">{{ c.name }}</span><span class="sub block">{{ c.says }}</span>
        </button>
      </li>
    </ul>
  </Sheet>
</template>
