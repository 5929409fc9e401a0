<script setup lang="ts">
import { computed } from 'vue'
import { noteRead } from '@core/commands/deals'
import type { DealRead } from '@core/partners/deal-reads'
import type { ReadCheck } from '@core/partners/read-checks'
import type { DealView } from '@core/partners/deal-view'
import type { ReadNote } from '@core/records'
import { titleOf } from '@core/release/parts'
import { lastViews } from '@core/results/at-age'
import { sayDay } from '@core/rhythm/days'
import { readTime, sayTime } from '@core/script/timecode'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import Flag from '@app/ui/Flag.vue'
import DateField from '@app/ui/fields/DateField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** What was asked of a read, each thing checked against script, cut and description, beside how the last one had it. */
const { view, read } = defineProps<{ view: DealView; read: DealRead }>()
const library = useLibrary()
const moment = useMoment()
const partners = usePartners()
const isOut = computed(() => read.episode.phase.kind === 'released')
/** The last read that went out before this one, to compare with. */
const last = computed(() => {
  const at = view.reads.indexOf(read)
  return view.reads.slice(0, at).findLast((r) => r.episode.phase.kind === 'released' && r.at !== undefined)
})
const open = computed(() => read.checks.filter((c) => c.decides && c.state !== 'passes').length)
const lead = computed(() => {
  const n = partners.numberOf(read.episode)
  if (read.note.ruled) return `settled by hand: ${read.note.ruled}`
  if (read.standing === 'cannot be told') return `nothing to tell it by in ${n}`
  return open.value === 0
    ? `all there in ${n}`
    : `${open.value} ${isOut.value ? 'not so' : 'missing'} in ${n}`
})
function note(to: { [K in keyof ReadNote]?: ReadNote[K] | undefined }) {
  void library.perform(noteRead, { deal: view.deal.id, episode: read.episode.id, note: to })
}
function heard(text: string) {
  if (text.trim() === '') {
    note({ heardAt: undefined })
    return
  }
  const time = readTime(text)
  if (time.ok) note({ heardAt: time.value })
  else library.say(time.problem.sentence, 'refused')
}
/** How a thing stands, what was measured first. */
const sayCheck = ({ measure, says }: ReadCheck) =>
  measure === '' || says.includes(measure) || says.startsWith('none') ? says : `${measure}, ${says}`
/** What proves it, once it is out: how often it was seen, and where. */
const proof = computed(() => ({
  views: lastViews(read.episode),
  address: view.show.outlets.flatMap((o) => read.episode.addresses?.[o] ?? [])[0],
}))
const measureOf = (id: string) => last.value?.checks.find((c) => c.id === id)?.measure ?? ''
</script>

<template>
  <section class="min-w-0 grid gap-2 content-start" aria-labelledby="asked">
    <header class="flex flex-wrap items-baseline gap-x-3">
      <h3 id="asked" class="font-title font-semibold text-16">What they asked for</h3>
      <p class="flex-1 min-w-0 truncate">
        {{ lead }}
        <RouterLink
          class="underline decoration-dotted underline-offset-2"
          :to="{ name: 'episode', params: { code: read.episode.code, stage: 'script' } }"
          >{{ titleOf(read.episode) }}</RouterLink
        >
      </p>
      <p v-if="last" class="sub">last time, {{ partners.numberOf(last.episode) }}</p>
    </header>
    <ul v-if="read.checks.length > 0" class="divide-y divide-faint border-y border-faint">
      <li
        v-for="c in read.checks"
        :key="c.id"
        class="grid grid-cols-[22px_minmax(0,1fr)_minmax(0,1.25fr)_58px] gap-x-2 py-1.5 items-center"
      >
        <svg
          width="16"
          height="16"
          viewBox="0 0 16 16"
          role="img"
          :aria-label="c.state === 'passes' ? 'so' : c.state === 'fails' ? 'not so' : 'not yet'"
        >
          <template v-if="c.state === 'passes'">
            <rect x="1" y="1" width="14" height="14" rx="3" fill="var(--ink-2)" />
            <path d="M4 8.5l2.6 2.6L12 5.5" stroke="var(--panel)" stroke-width="2" fill="none" />
          </template>
          <rect
            v-else
            x="1.5"
            y="1.5"
            width="13"
            height="13"
            rx="3"
            fill="none"
            stroke="var(--ring)"
            stroke-width="1.5"
          />
        </svg>
        <span :class="c.state === 'passes' ? '' : 'font-semibold'">{{ c.asked }}</span>
        <span :class="c.state === 'fails' ? 'late' : 'text-ink-2'"
          ><Flag v-if="c.state === 'fails'" />{{ sayCheck(c) }}</span
        >
        <span class="num text-right text-ink-2">{{ measureOf(c.id) }}</span>
      </li>
    </ul>
    <p v-else class="sub">Nothing was asked of a read but that it is there.</p>
    <p v-if="isOut" class="text-ink-2">
      <template v-if="proof.views"
        >{{ proof.views.views.toLocaleString('en') }} views after {{ proof.views.age }} days</template
      ><template v-if="proof.views && proof.address">, </template
      ><a v-if="proof.address" :href="proof.address" target="_blank" rel="noopener">{{
        proof.address.replace(/^https?:\/\//, '')
      }}</a>
    </p>
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
      <template v-if="!isOut && view.deal.shownBefore !== undefined">
        <button v-if="!read.note.shown" class="btn btn-small" @click="note({ shown: moment.today })">
          They saw it</button
        ><template v-else
          ><span class="text-12">shown {{ sayDay(read.note.shown, moment.today) }}</span
          ><button v-if="!read.note.agreed" class="btn btn-small" @click="note({ agreed: moment.today })">
            They agree</button
          ><button class="btn btn-small btn-bare" @click="note({ shown: undefined, agreed: undefined })">
            Not shown after all
          </button></template
        >
      </template>
      <template v-if="isOut">
        <TextField
          :key="read.episode.id"
          :model-value="read.note.heardAt === undefined ? '' : sayTime(read.note.heardAt)"
          lazy
          class="w-[110px]"
          label="Heard at"
          placeholder="2:15"
          @update:model-value="heard"
        />
        <DateField
          v-if="(view.deal.fee ?? 0) > 0 && read.standing === 'delivered'"
          :model-value="read.note.invoiced ?? ''"
          label="On an invoice of"
          class="w-[180px]"
          @update:model-value="note({ invoiced: $event || undefined })"
        />
        <DateField
          v-if="read.note.invoiced"
          :model-value="read.note.paid ?? ''"
          label="Paid on"
          class="w-[180px]"
          @update:model-value="note({ paid: $event || undefined })"
        />
        <button v-if="read.note.ruled" class="btn btn-small" @click="note({ ruled: undefined })">
          Go by the checks again</button
        ><template v-else>
          <button
            v-if="read.standing !== 'delivered'"
            class="btn btn-small"
            @click="note({ ruled: 'counts' })"
          >
            They let it count</button
          ><button
            v-if="read.standing !== 'fails'"
            class="btn btn-small btn-bare"
            @click="note({ ruled: 'does not count' })"
          >
            It does not count
          </button>
        </template>
      </template>
    </div>
  </section>
</template>
