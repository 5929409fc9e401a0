<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Cut, Job } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import { useHelpers } from '@app/stores/helpers'
import { useMoment } from '@app/stores/moment'
import TextField from '@app/ui/fields/TextField.vue'
import type { JobInHand } from './useJob'

/** What lies with a helper: since when, what came back of it, what is asked; and its page's address. */
const { of, job, cut, message } = defineProps<{
  of: JobInHand
  job: Job
  cut?: Cut | undefined
  /** The words that go with the address. */
  message: () => string | Promise<string>
}>()
const moment = useMoment()
const heading = useId()
const helpers = useHelpers()
const dayOf = (at: string) => dayAt(Date.parse(at), moment.zone)
const since = computed(() => dayOf(job.given))
const ticked = computed(() => {
  const theirs = cut?.notes.filter((n) => n.kind === 'to do' && !n.mine) ?? []
  return theirs.length === 0
    ? ''
    : `${theirs.filter((n) => n.done !== undefined).length} of ${theirs.length} ticked`
})
const noted = computed(() => {
  const theirs = cut?.notes.filter((n) => n.by === job.who).length ?? 0
  return `${theirs} ${theirs === 1 ? 'note' : 'notes'} so far`
})
const says = computed(() =>
  [
    job.opened ? `opened ${sayDay(dayOf(job.opened), moment.today)}` : 'not opened yet',
    job.kind === 'review' ? noted.value : ticked.value,
    job.back && job.kind === 'review'
      ? 'through: ask the next one'
      : job.back
        ? `last handed back ${sayDay(dayOf(job.back), moment.today)}`
        : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
async function copy() {
  await of.copy(await message())
}
const asked = computed(() => [...job.asked].sort((a, b) => Number(!!a.answer) - Number(!!b.answer)))
</script>

<template>
  <section class="panel p-4 grid gap-3" :aria-labelledby="heading">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <h2 :id="heading" class="flex-1 min-w-0 break-words">
        With {{ job.who }}
        <span class="text-sea text-12 font-sans font-medium">{{
          sayAway(since, moment.today).replace(' ago', '')
        }}</span>
      </h2>
      <button class="btn btn-small" @click="of.end">Take back</button>
    </div>
    <p class="sub" role="status">{{ says }}</p>
    <ul v-if="asked.length > 0" class="grid gap-3" aria-label="Questions">
      <li v-for="q in asked" :key="q.id">
        <p class="break-words mb-1">“{{ q.text }}”</p>
        <TextField
          :model-value="q.answer ?? ''"
          lazy
          label="Answer"
          hidden
          placeholder="Answer"
          @update:model-value="of.answer(q.id, $event)"
        />
      </li>
    </ul>
    <p v-if="of.address.value" class="flex flex-wrap items-center gap-2">
      <a :href="of.address.value" target="_blank" rel="noopener" class="text-12 truncate max-w-full flex-1">{{
        of.address.value.replace(/^https?:\/\//, '')
      }}</a><button class="btn btn-small" @click="copy">
        {{ of.copied.value ? 'Copied' : 'Copy the message' }}
      </button>
    </p>
    <p v-else class="sub">
      {{
        helpers.trouble ||
        'Their page appears when the server of Lamp Reel answers here; the package works without.'
      }}
    </p>
    <p v-if="of.address.value && !helpers.isReachable" class="sub">
      Only this machine opens the page. Start Lamp Reel with <code>--host 0.0.0.0</code> to let others in.
    </p>
  </section>
</template>
