<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { sayVerdict } from '@core/views/verdict'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayUntil } from '@core/rhythm/zone'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import Chalk from '@app/ui/Chalk.vue'
import Flag from '@app/ui/Flag.vue'
import StageLine from '@app/ui/StageLine.vue'
import { mend, mendLabel } from '../../episode/mend'

/** The next release: its pictures, its lamps, and what is still missing, each with what mends it. */
const { card } = defineProps<{ card: Card }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const workload = useWorkload()
const pictures = usePictures()
const router = useRouter()

const shown = computed(() => {
  const { pictures: all, chosenPicture } = card.episode
  return [...all].sort((a, b) => Number(b.id === chosenPicture) - Number(a.id === chosenPicture)).slice(0, 3)
})
const release = computed(() => card.standing.release)
const verdict = computed(() => sayVerdict(workload.verdict(card)))
const then = computed(() =>
  cards.coming.slice(1, 4).map((c) => {
    const verdict = workload.verdict(c)
    return { card: c, says: verdict.word || verdict.why, whole: sayVerdict(verdict) }
  }),
)
const stages = computed(() => card.standing.stages.filter((s) => s.stage.kind !== 'after'))
</script>

<template>
  <aside class="panel p-4 self-start min-w-0" aria-labelledby="nextout">
    <div class="flex justify-between mb-3">
      <h2 id="nextout" class="font-sans font-normal text-14 text-ink-2">Next out</h2>
      <p v-if="release" class="text-lamp-text font-semibold">
        {{ sayDay(release.day) }} {{ release.time }}, {{ sayUntil(moment.now, release.at, card.show.zone) }}
      </p>
    </div>
    <RouterLink
      :to="{ name: 'episode', params: { code: card.episode.code, stage: 'thumbnail' } }"
      class="film flex gap-2"
      aria-label="Its pictures"
    >
      <span v-for="p in shown.slice(0, 1)" :key="p.id" class="frame-edge flex-[2.05] aspect-[16/10]"
        ><img v-if="pictures.url(p.id)" :src="pictures.url(p.id)" alt="" class="w-full h-full object-cover"
      /></span>
      <span v-if="shown.length === 0" class="frame-edge flex-1 aspect-[16/7]"
        ><Chalk :title="card.title"
      /></span>
      <span v-if="shown.length > 1" class="flex-1 flex flex-col gap-2"
        ><span v-for="p in shown.slice(1)" :key="p.id" class="frame-edge flex-1 min-h-0"
          ><img
            v-if="pictures.url(p.id)"
            :src="pictures.url(p.id)"
            alt=""
            class="w-full h-full object-cover absolute inset-0 py-[7px] px-[4px]" /></span
      ></span>
    </RouterLink>
    <RouterLink :to="{ name: 'episode', params: { code: card.episode.code } }" class="block no-underline mt-3"
      ><h3 class="text-20 leading-6">{{ card.title }}</h3></RouterLink
    >
    <p class="sub mb-3">
      <span class="num">{{ card.number }}</span> {{ card.show.title
      }}<template v-if="verdict">
        · <Flag v-if="card.standing.late" /><strong class="text-ink">{{ verdict }}</strong></template
      >
    </p>
    <StageLine :stages="stages" />
    <div class="mt-4 border-t border-faint">
      <p class="py-2.5">
        <strong class="font-semibold">{{
          card.standing.missing.length === 0
            ? 'Nothing is missing'
            : `${card.standing.missing.length} still missing`
        }}</strong>
      </p>
      <ul>
        <li
          v-for="m in card.standing.missing.slice(0, 6)"
          :key="m.kind + m.name"
          class="flex items-center gap-3 border-t border-faint py-1.5 min-h-[42px]"
        >
          <p class="flex-1 min-w-0 truncate">
            <span class="font-medium">{{ m.name }}</span> <span class="sub">{{ m.sentence }}</span>
          </p>
          <button class="btn btn-small" @click="mend(card, m, library, router)">{{ mendLabel(m) }}</button>
        </li>
      </ul>
      <RouterLink
        v-if="card.standing.ready && !card.standing.scheduled"
        :to="{ name: 'episode', params: { code: card.episode.code, stage: 'release' } }"
        class="btn btn-main w-full mt-1"
        >Get the release kit</RouterLink
      >
    </div>
    <dl
      v-if="then.length > 0"
      class="border-t border-faint mt-3 pt-3 grid grid-cols-[auto_1fr_auto] gap-x-3 gap-y-1 text-12 items-baseline"
    >
      <template v-for="t in then" :key="t.card.episode.id">
        <dt class="whitespace-nowrap">
          {{
            t.card.standing.release
              ? `${sayDay(t.card.standing.release.day)}, ${sayAway(t.card.standing.release.day, moment.today)}`
              : ''
          }}
        </dt>
        <dd class="truncate text-ink-2">
          <span class="num text-11">{{ t.card.number }}</span> {{ t.card.title }}
        </dd>
        <dd class="font-semibold whitespace-nowrap" :title="t.whole">
          <Flag v-if="t.card.standing.late" />{{ t.says }}
        </dd>
      </template>
    </dl>
  </aside>
</template>

<style scoped>
.frame-edge {
  position: relative;
  display: block;
  overflow: hidden;
  padding: 7px 4px;
  border-radius: 4px;
  background: oklch(0.11 0.012 60)
    repeating-linear-gradient(90deg, oklch(0.3 0.018 70) 0 6px, transparent 6px 13px) 4px 2px / auto 3px
    repeat-x;
}
.frame-edge::after {
  content: '';
  position: absolute;
  inset: auto 4px 2px;
  height: 3px;
  background: repeating-linear-gradient(90deg, oklch(0.3 0.018 70) 0 6px, transparent 6px 13px);
}
</style>
