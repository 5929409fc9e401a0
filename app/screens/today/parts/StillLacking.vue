<script setup lang="ts">
import { editMaterials } from '@core/commands/episode'
import { sayDay } from '@core/rhythm/days'
import { sayToSpare } from '@core/views/verdict'
import type { Today } from '@core/views/today'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import Flag from '@app/ui/Flag.vue'
import { stageWith } from '../../episode/mend'

/** What comes too late for filming, and what that does to the release. */
const { lacking } = defineProps<{ lacking: Today['lacking'] }>()
const library = useLibrary()
const moment = useMoment()
const workload = useWorkload()
type Lacking = Today['lacking'][number]
/** What the days that it comes too late do to the days in hand. */
function effect({ card, late }: Lacking): string {
  if (!late.material.required) return 'filming can do without it'
  const hand = workload.inHandOf(card)
  if (!hand || !card.standing.release) return 'filming waits for it'
  return hand.days >= late.days
    ? `filming waits; ${sayToSpare(hand.days)}`
    : `filming waits; the release on ${sayDay(card.standing.release.day, moment.today)} is at risk`
}
function here({ card, late }: Lacking) {
  const wish = { kind: 'change' as const, material: late.material.id, to: { stand: 'here' as const } }
  void library.perform(editMaterials, { episode: card.episode.id, wish })
}
</script>

<template>
  <section aria-labelledby="lacking">
    <h2 id="lacking" class="mb-2">Still missing for filming</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="l in lacking" :key="l.late.material.id" class="flex items-center gap-3 px-4 py-2">
        <RouterLink
          :to="{ name: 'episode', params: { code: l.card.episode.code, stage: stageWith(l.card, 'film') } }"
          class="flex-1 min-w-0 no-underline"
          ><span class="block font-semibold truncate"
            >{{ l.late.material.what }} <span class="num font-normal">{{ l.card.number }}</span></span
          ><span class="sub block">{{ effect(l) }}</span></RouterLink
        >
        <p class="text-12 text-right">
          <Flag /><span class="late">{{ l.late.days }} d too late</span><br /><span class="sub"
            >needed {{ sayDay(l.late.needed, moment.today) }}</span
          >
        </p>
        <button class="btn btn-small" :aria-label="`${l.late.material.what} is here`" @click="here(l)">
          Here
        </button>
      </li>
    </ul>
  </section>
</template>
