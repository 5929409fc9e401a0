<script setup lang="ts">
import { computed } from 'vue'
import { median } from 'd3-array'
import { countedAt } from '@core/results/at-age'
import { addDays, daysBetween, sayAway, sayDay } from '@core/rhythm/days'
import { sayTime } from '@core/script/timecode'
import type { CatalogueRow } from '@core/views/catalogue'
import { useAddresses } from '@app/stores/addresses'
import { useMoment } from '@app/stores/moment'
import { usePictures } from '@app/stores/pictures'
import EpisodeWorth from './EpisodeWorth.vue'
import AddressLinks from '@app/ui/AddressLinks.vue'
import Chalk from '@app/ui/Chalk.vue'
import KeySign from '@app/ui/KeySign.vue'
import { catalogueKeys } from '../keymap'
import type { CatalogueHere } from '../useCatalogue'

/** One released episode: how it did at the same ages as the ten before it, where it lives, and what follows it. */
const { of, row } = defineProps<{ of: CatalogueHere; row: CatalogueRow }>()
const { all, follows } = of
const moment = useMoment()
const pictures = usePictures()
const addresses = useAddresses()
const ages = [7, 28, 90] as const
const ten = 10
/** The ten of its kind before it. */
const before = computed(() =>
  all.value
    .filter((r) => r.show.id === row.show.id && r.episode.form === row.episode.form && r.day < row.day)
    .slice(0, ten),
)
const bars = computed(() => {
  const found = ages.map((age) => {
    const counted = before.value.flatMap((r) => countedAt(r.episode, age) ?? [])
    return {
      age,
      views: countedAt(row.episode, age),
      usual: counted.length < 3 ? undefined : median(counted),
      due: addDays(row.day, age),
    }
  })
  const most = Math.max(1, ...found.flatMap((f) => [f.views ?? 0, f.usual ?? 0]))
  return found
    .filter((f) => f.views !== undefined || f.usual !== undefined)
    .map((f) => ({
      ...f,
      share: ((f.views ?? 0) / most) * 100,
      mark: ((f.usual ?? 0) / most) * 100,
      times: f.views !== undefined && f.usual ? f.views / f.usual : undefined,
    }))
})
const lead = computed(() => {
  const last = bars.value.findLast((b) => b.times !== undefined)
  return last?.times === undefined
    ? 'No figures to compare yet'
    : `${last.times.toFixed(1)} times the usual after ${last.age} days`
})
const lives = computed(() => addresses.of(row.episode))
const number = new Intl.NumberFormat('en')
const age = computed(() => daysBetween(row.day, moment.today))
</script>

<template>
  <section class="min-w-0 grid grid-cols-1 gap-4 content-start" aria-labelledby="known">
    <div class="flex gap-3">
      <span
        class="film bg-base rounded-card overflow-hidden flex-none"
        :class="row.show.kind === 'audio' ? 'w-[92px] h-[92px]' : 'w-[150px] h-[84px]'"
        ><img
          v-if="pictures.url(row.episode.chosenPicture)"
          :src="pictures.url(row.episode.chosenPicture)"
          alt=""
          class="w-full h-full object-cover" /><Chalk v-else :title="row.title"
      /></span>
      <div class="min-w-0">
        <p class="num text-ink-2">{{ row.number }}</p>
        <h2 id="known" class="leading-tight">{{ row.title }}</h2>
        <p class="sub">
          {{ sayDay(row.day, moment.today) }}, {{ sayAway(row.day, moment.today) }}<br />
          <template v-if="row.episode.cut.length">{{ sayTime(row.episode.cut.length) }} · </template
          >{{ row.episode.topics.join(', ') }}
        </p>
      </div>
    </div>
    <div>
      <h3 class="font-title font-semibold mb-1">{{ lead }}</h3>
      <ul class="grid gap-1.5">
        <li
          v-for="b in bars"
          :key="b.age"
          class="grid grid-cols-[52px_minmax(0,1fr)_108px] items-center gap-2"
        >
          <span class="text-12">{{ b.age }} days</span>
          <span class="track" aria-hidden="true"
            ><span v-if="b.views !== undefined" class="counted" :style="{ width: `${b.share}%` }" /><span
              v-else
              class="coming"
              :style="{ width: `${b.mark}%` }" /><span
              v-if="b.usual"
              class="mark"
              :style="{ left: `${b.mark}%` }"
          /></span>
          <span class="num text-right"
            ><template v-if="b.views !== undefined"
              >{{ number.format(Math.round(b.views))
              }}<template v-if="b.times"
                >, <strong class="text-ink">{{ b.times.toFixed(1) }}×</strong></template
              ></template
            ><template v-else-if="age < b.age">{{ sayDay(b.due) }}</template
            ><template v-else>not counted</template></span
          >
        </li>
      </ul>
      <p v-if="bars.length > 0" class="sub mt-1">The mark is the usual: the middle of the ten before it.</p>
    </div>
    <div>
      <h3 class="font-title font-semibold mb-1">Where it is</h3>
      <ul v-if="lives.length > 0">
        <li v-for="a in lives" :key="a.name" class="flex items-center gap-2 border-t border-faint py-1">
          <span class="w-[88px] flex-none text-12">{{ a.name }}</span><span
            class="flex-1 min-w-0 truncate text-12 text-ink-2"
            >{{ a.address.replace(/^https?:\/\//, '') }}</span
          ><AddressLinks :of="[a]" :about="row.number" @copy="addresses.copy" />
        </li>
      </ul>
      <p v-else class="sub">No address is kept. Release says where it lives.</p>
    </div>
    <EpisodeWorth :row="row" />
    <div class="border border-dashed border-ring rounded-card p-3 flex items-center gap-3">
      <template v-if="follows"
        ><p class="flex-1 min-w-0">
          <span class="sub block">It is followed up by</span><strong>{{ follows.title }}</strong>
        </p>
        <RouterLink
          class="btn btn-small"
          :to="
            follows.phase.kind === 'idea'
              ? { name: 'idea', params: { code: follows.code } }
              : { name: 'episode', params: { code: follows.code } }
          "
          >Open</RouterLink
        ></template
      ><template v-else
        ><p class="flex-1 sub">Does it go on? Then it becomes an idea with what is known.</p>
        <button class="btn btn-small" @click="of.followUp">
          Follow up <KeySign :line="catalogueKeys.lines.follow" /></button
      ></template>
    </div>
  </section>
</template>

<style scoped>
.track {
  position: relative;
  display: block;
  height: 12px;
}
.counted,
.coming {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--ink-2);
  border-radius: 2px;
}
.coming {
  background: none;
  border: 1px dashed var(--ring);
}
.mark {
  position: absolute;
  top: -2px;
  bottom: -2px;
  width: 2px;
  background: var(--ink);
  outline: 1px solid var(--ground);
}
</style>
