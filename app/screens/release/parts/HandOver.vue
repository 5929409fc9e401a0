<script setup lang="ts">
import { computed } from 'vue'
import { Check, Copy } from '@lucide/vue'
import type { HandState } from '@core/commands/release/hand-over'
import type { Going } from '@core/release/moves'
import { sayWhen, thingName } from '@core/release/when'
import { sayDay } from '@core/rhythm/days'
import { localAt, sayLeft } from '@core/rhythm/zone'
import { useMoment } from '@app/stores/moment'
import { usePictures } from '@app/stores/pictures'
import Flag from '@app/ui/Flag.vue'
import KeySign from '@app/ui/KeySign.vue'
import LampMark from '@app/ui/LampMark.vue'
import { keyed, releaseKeys } from '../keymap'
import { lampOfPart } from '../lamps'
import type { ReleaseDeeds } from '../useRelease'
import GiveRelease from './GiveRelease.vue'
import Otherwise from './Otherwise.vue'
import OutletLine from './OutletLine.vue'

/** One thing on its way to its outlet: how far it is, and its fields, copied over one after the other. */
const { of, thing } = defineProps<{ of: ReleaseDeeds; thing: Going }>()
const moment = useMoment()
const pictures = usePictures()
const required = computed(() => thing.parts.filter((p) => p.isRequired))
const there = computed(() => required.value.filter((p) => p.state === 'there').length)
const copied = computed(() => of.copyable(thing).filter((p) => of.isCopied(thing, p)).length)
const names: Readonly<Record<HandState, string>> = {
  prepared: 'Prepared',
  uploaded: 'Uploaded',
  scheduled: 'Scheduled',
  live: 'Seen live',
  told: 'Told people',
  safe: 'Footage safe',
}
const moments = (iso: string) => {
  const { day, time } = localAt(Date.parse(iso), moment.zone)
  return `${sayDay(day, moment.today)} ${time}`
}
const states = computed(() =>
  keyed.map((state, i) => ({ state, name: names[state], since: of.since(thing, state), key: i })),
)
const next = computed(() => of.copyable(thing).find((p) => !of.isCopied(thing, p)))
const candidates = computed(() =>
  thing.card.episode.pictures.filter((p) => p.refused === undefined).slice(0, 3),
)
const out = computed(() => {
  const { day, time } = localAt(thing.at, moment.zone)
  return `${sayDay(day, moment.today)} ${time}, ${sayLeft(moment.now, thing.at)}`
})
</script>

<template>
  <section class="min-w-0" aria-labelledby="hand-over">
    <p class="flex flex-wrap items-baseline gap-x-3 mb-3">
      <strong id="hand-over" class="font-title font-semibold text-16 flex-1 min-w-0"
        ><RouterLink
          :to="{ name: 'episode', params: { code: thing.card.episode.code, stage: 'release' } }"
          class="no-underline hover:underline"
          >{{ thing.card.number }} {{ thingName(thing) }}</RouterLink
        >
        at {{ thing.outlet.name }}</strong
      ><span class="sub"
        >out {{ out
        }}<template v-if="thing.when.kind !== 'with'">
          · {{ thing.isFixed ? 'fixed by hand' : sayWhen(thing.when) }}</template
        ></span
      >
    </p>
    <ol class="flex flex-wrap gap-x-3 gap-y-2 mb-4" aria-label="How far it is">
      <li class="flex items-start gap-2">
        <LampMark
          :lamp="
            there === required.length
              ? { state: 'lit', share: 1 }
              : { state: 'working', share: there / Math.max(1, required.length) }
          "
          :size="16"
          hidden
        />
        <span class="leading-tight"
          ><strong class="block text-12">Prepared</strong
          ><span class="sub">{{ there }} of {{ required.length }}</span></span
        >
      </li>
      <li v-for="s in states" :key="s.state">
        <button
          class="state"
          :aria-pressed="s.since !== undefined"
          :title="`${s.name} (${releaseKeys.lines.state[0].split(' ')[s.key]})`"
          @click="of.say(thing, s.state)"
        >
          <LampMark
            :lamp="{ state: s.since === undefined ? 'dark' : 'lit', share: s.since === undefined ? 0 : 1 }"
            :size="16"
            hidden
          />
          <span class="leading-tight text-left"
            ><strong class="block text-12">{{ s.name }}</strong
            ><span class="sub">{{ s.since === undefined ? 'not yet' : moments(s.since) }}</span></span
          >
        </button>
      </li>
    </ol>
    <OutletLine :thing="thing" @hand="of.hand(thing)" />
    <table class="w-full border-collapse">
      <thead>
        <tr class="sub text-left">
          <th scope="col" class="font-normal pl-1.5" colspan="2">Field</th>
          <th scope="col" class="font-normal">What is there</th>
          <th scope="col" class="font-normal">Of its limit</th>
          <th scope="col" class="font-normal text-right">
            {{ copied }} of {{ of.copyable(thing).length }} copied
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in thing.parts" :key="p.field" :class="{ here: p === next }">
          <td class="w-6 pl-1.5 pr-2"><LampMark :lamp="lampOfPart(p)" :size="12" :name="p.name" /></td>
          <th scope="row" class="text-left whitespace-nowrap pr-3">{{ p.name }}</th>
          <td class="max-w-0 w-1/2">
            <span class="flex items-center gap-1.5 min-w-0">
              <template v-if="p.field === 'thumbnail' && p.state === 'begun'"
                ><img
                  v-for="c in candidates"
                  :key="c.id"
                  :src="pictures.url(c.id)"
                  alt=""
                  class="h-[18px] rounded-[2px]" /></template
              ><span class="truncate" :class="p.state === 'failing' ? 'late' : ''" :title="p.says"
                ><Flag v-if="p.state === 'failing'" />{{ p.says }}</span
              >
            </span>
          </td>
          <td class="whitespace-nowrap">
            <span class="flex items-center gap-2"
              ><span v-if="p.share !== undefined" class="bar"
                ><span :style="{ width: `${p.share * 100}%` }" /></span
              ><span class="num text-11 text-ink-2">{{ p.limit }}</span></span
            >
          </td>
          <td class="text-right whitespace-nowrap">
            <button
              v-if="p.text !== ''"
              class="btn btn-small"
              :class="of.isCopied(thing, p) ? 'btn-bare' : ''"
              :aria-label="`Copy ${p.name.toLowerCase()}`"
              @click="of.copy(thing, p)"
            >
              <component :is="of.isCopied(thing, p) ? Check : Copy" :size="13" />
              {{ of.isCopied(thing, p) ? 'copied' : 'Copy' }}
              <KeySign v-if="p === next" :line="releaseKeys.lines.copy" />
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div class="mt-3 flex flex-wrap items-start gap-3">
      <Otherwise :thing="thing" class="flex-1 min-w-[280px]" />
      <button class="btn btn-small" @click="of.saveKit(thing)">Save its kit</button>
      <GiveRelease :key="thing.card.episode.id" :card="thing.card" />
    </div>
  </section>
</template>

<style scoped>
tbody tr > * {
  border-top: 1px solid var(--faint);
  height: 27px;
}
tr.here > * {
  background: var(--panel);
}
.state {
  display: flex;
  align-items: flex-start;
  gap: 6px;
}
.bar {
  display: block;
  width: 60px;
  height: 7px;
  border: 1px solid var(--ring);
}
.bar > span {
  display: block;
  height: 100%;
  background: var(--ink-2);
}
</style>
