<script setup lang="ts">
import { computed } from 'vue'
import { dealMonths, type DealFrame } from '@core/partners/deal-film'
import { placeWords } from '@core/partners/read-checks'
import type { DealRead } from '@core/partners/deal-reads'
import type { DealView } from '@core/partners/deal-view'
import type { Id } from '@core/records'
import { titleOf } from '@core/release/parts'
import { sayDay } from '@core/rhythm/days'
import { sayTime } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import { usePictures } from '@app/stores/pictures'
import Chalk from '@app/ui/Chalk.vue'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'

/** A deal as film, month by month: reads that are out or coming, slots that are kept, dates that would do, and where each read was said. */
const { view, here } = defineProps<{ view: DealView; here: Id | undefined }>()
const emit = defineEmits<{ look: [episode: Id] }>()
const moment = useMoment()
const partners = usePartners()
const pictures = usePictures()
const film = computed(() => dealMonths(view, moment.today))
const now = computed(() => {
  const at = film.value.months.findIndex((m) => m.month === moment.today.slice(0, m.month.length))
  return at < 0 ? undefined : at + (Number(moment.today.slice(8)) - 1) / 31
})
const place = computed(() => (view.deal.place ? placeWords(view.deal.place) : undefined))
const isAudio = computed(() => view.show.kind === 'audio')
const key = (f: DealFrame, i: number) => (f.kind === 'read' ? f.read.episode.id : `${f.kind}${f.day}${i}`)
function sayRead(read: DealRead): string {
  const stands = {
    delivered: 'counts',
    fails: 'does not count',
    'to come': 'to come',
    'cannot be told': 'to be settled',
  }
  const day = read.day === undefined ? 'no date yet' : sayDay(read.day, moment.today)
  return `${partners.numberOf(read.episode)} ${titleOf(read.episode)}, ${day}: ${stands[read.standing]}`
}
const feeWords = { none: 'no fee', 'to come': '', due: 'due', 'on an invoice': 'invoiced', paid: 'paid' }
const share = (read: DealRead) =>
  read.at && read.at.whole > 0 ? Math.min(1, read.at.from / read.at.whole) : undefined
const sums = computed(() => {
  const { delivered, failed, coming, toFill, dates, later, tooMany, datesBy } = view
  const all: { says: string; also?: string; late?: boolean }[] = []
  if (delivered > 0) all.push({ says: `${delivered} delivered` })
  for (const f of failed.slice(0, 2)) {
    const fault = f.checks.find((c) => c.decides && c.state === 'fails')
    all.push({
      says: `${partners.numberOf(f.episode)} does not count`,
      also: `${fault ? `${fault.measure} ${fault.says}`.trim() : 'settled by hand'}; another makes it up`,
      late: true,
    })
  }
  if (coming.length > 0) all.push({ says: `${coming.length} on the way` })
  if (toFill.length > 0) all.push({ says: `${toFill.length} kept, to fill` })
  if (dates.length > 0)
    all.push({
      says: `${dates.length} to be found`,
      also: datesBy === undefined ? '' : `by ${sayDay(datesBy, moment.today)}`,
    })
  if (later > 0) all.push({ says: `${later} beyond` })
  if (tooMany > 0)
    all.push({ says: `${tooMany} too many`, also: 'they do not fit before it ends', late: true })
  return all
})
</script>

<template>
  <div class="grid gap-2 min-w-0">
    <div class="film bg-base rounded-card overflow-x-auto" tabindex="0" aria-label="The deal, month by month">
      <ul class="months relative" :style="{ '--months': film.months.length }">
        <li v-for="m in film.months" :key="m.month" class="month" :aria-label="m.says">
          <p class="text-11 text-ink-2 h-[16px]" aria-hidden="true">{{ m.says }}</p>
          <p class="flex gap-[3px] h-[14px] items-center" aria-hidden="true">
            <span v-for="s in m.slots" :key="s.day" class="slot" :class="s.is" />
          </p>
          <template v-for="(f, i) in m.frames" :key="key(f, i)">
            <button
              v-if="f.kind === 'read'"
              class="frame"
              :class="{ here: f.read.episode.id === here, fails: f.read.standing === 'fails' }"
              :aria-label="sayRead(f.read)"
              :aria-pressed="f.read.episode.id === here"
              :title="sayRead(f.read)"
              @click="emit('look', f.read.episode.id)"
            >
              <span class="pic" :class="{ square: isAudio }"
                ><img
                  v-if="pictures.url(f.read.episode.chosenPicture)"
                  :src="pictures.url(f.read.episode.chosenPicture)"
                  alt=""
                  class="w-full h-full object-cover" /><Chalk v-else :title="titleOf(f.read.episode)" /></span
              ><span class="flex items-center gap-1 px-1 h-[20px]"
                ><span class="num text-11 flex-1 text-left truncate">{{
                  partners.numberOf(f.read.episode)
                }}</span
                ><Flag v-if="f.read.standing === 'fails'" :size="10" /><LampMark
                  v-else
                  :lamp="
                    f.read.standing === 'delivered' ? { state: 'lit', share: 1 } : { state: 'open', share: 0 }
                  "
                  :size="13"
                  hidden
              /></span>
            </button>
            <p v-else class="frame empty" :class="f.kind">
              <span class="num text-11">{{ f.day ? sayDay(f.day).replace(/^\w+ /, '') : '' }}</span><span
                class="text-11 text-ink-2"
                >{{ f.kind === 'kept' ? 'kept' : 'open' }}</span
              >
            </p>
          </template>
          <template v-for="(f, i) in m.frames" :key="`said ${key(f, i)}`">
            <div
              v-if="f.kind === 'read' && f.read.at"
              class="said"
              :class="{ fails: f.read.standing === 'fails' }"
            >
              <span v-if="share(f.read) !== undefined" class="track" aria-hidden="true"
                ><span
                  v-if="place"
                  class="asked"
                  :style="{
                    left: `${100 * place.from}%`,
                    width: `${100 * (place.to - place.from)}%`,
                  }" /><span class="mark" :style="{ left: `${100 * (share(f.read) ?? 0)}%` }" /></span
              ><span class="num text-11">{{ sayTime(f.read.at.from) }}</span
              ><span class="text-11 text-ink-2">{{ feeWords[f.read.fee] }}</span>
            </div>
          </template>
          <p v-if="m.frames.length === 0" class="frame empty none"><span class="dark" /></p>
        </li>
        <li
          v-if="now !== undefined"
          class="now"
          aria-hidden="true"
          :style="{ left: `calc(${now} * (100% / var(--months)))` }"
        />
      </ul>
    </div>
    <p class="flex flex-wrap gap-x-6 gap-y-1">
      <span v-for="s in sums" :key="s.says"
        ><strong class="font-semibold" :class="s.late ? 'late' : ''"
          ><Flag v-if="s.late" />{{ s.says }}</strong
        >{{ ' ' }}<span v-if="s.also" class="sub">{{ s.also }}</span></span
      ><span v-for="f in film.loose" :key="f.kind === 'read' ? f.read.episode.id : ''">
        <button
          v-if="f.kind === 'read'"
          class="underline decoration-dotted underline-offset-2"
          @click="emit('look', f.read.episode.id)"
        >
          {{ titleOf(f.read.episode) }}
        </button>
        <span class="sub"> has no date</span></span
      >
    </p>
  </div>
</template>

<style scoped>
.months {
  display: grid;
  grid-template-columns: repeat(var(--months), minmax(66px, 1fr));
  min-width: calc(var(--months) * 68px);
  padding: 6px 0 8px;
}
.month {
  display: grid;
  gap: 3px;
  align-content: start;
  padding: 0 3px;
  min-width: 0;
}
.slot {
  width: 8px;
  height: 8px;
  border-radius: 2px;
  background: var(--line);
}
.slot.read {
  background: var(--ink);
}
.slot.fails {
  background: var(--rose);
}
.slot.kept {
  background: transparent;
  border: 1.5px solid var(--ink);
}
.slot.date {
  background: transparent;
  border: 1.5px dashed var(--ink-2);
}
.frame {
  display: block;
  width: 100%;
  border: 1px solid var(--line);
  border-radius: 4px;
  overflow: hidden;
  background: var(--panel);
}
.frame.here {
  border-color: var(--ink);
  box-shadow: 0 0 0 1px var(--ink);
}
.frame.fails {
  border-color: var(--rose);
}
.pic {
  display: block;
  aspect-ratio: 16 / 9;
  overflow: hidden;
}
.pic.square {
  aspect-ratio: 1;
}
.frame.empty {
  display: grid;
  align-content: center;
  justify-items: center;
  min-height: 56px;
  border-style: dashed;
  background: transparent;
}
.frame.kept {
  border-style: solid;
  border-color: var(--ink-2);
}
.frame.none {
  border-color: transparent;
}
.dark {
  width: 5px;
  height: 5px;
  border-radius: 50%;
  background: var(--ring);
}
.said {
  display: grid;
  gap: 1px;
}
.said.fails .num {
  color: var(--rose);
}
.track {
  position: relative;
  height: 5px;
  margin: 3px 0;
  background: var(--faint);
  border-radius: 2px;
}
.asked {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--ring);
  border-radius: 2px;
}
.mark {
  position: absolute;
  top: -3px;
  width: 4px;
  height: 11px;
  margin-left: -2px;
  border-radius: 1px;
  background: var(--ink);
}
.fails .mark {
  background: var(--rose);
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--lamp-line);
  pointer-events: none;
}
</style>
