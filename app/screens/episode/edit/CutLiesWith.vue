<script setup lang="ts">
import { isPackagePart } from '@core/edit/package-parts'
import type { Cut, Job } from '@core/records'
import type { Card } from '@core/views/card'
import LiesWith from '../helper/LiesWith.vue'
import type { JobInHand } from '../helper/useJob'
import type { CutInHand } from './useCut'
import { usePackage } from './usePackage'

/** The cut as it lies with a helper, with the message that goes with its page. */
const { cut, of, card, job, given } = defineProps<{
  cut?: Cut | undefined
  of: CutInHand
  card: Card
  job: JobInHand
  given: Job
}>()
const made = usePackage(
  () => card,
  () => cut,
  () => of.rate.value,
)
function message(): Promise<string> {
  const shelf = card.episode.idea.sources.filter((l) => given.shelf.includes(l.id))
  return made.message({ parts: new Set(given.parts.filter(isPackagePart)), shelf }, job.address.value)
}
</script>

<template>
  <LiesWith :of="job" :job="given" :cut="cut" :message="message" />
</template>
