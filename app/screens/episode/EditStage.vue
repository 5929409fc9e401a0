<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import type { StageState } from '@core/recipe/progress'
import { chapterFaults } from '@core/script/chapters'
import { episodeChapters } from '@core/release/parts'
import { readTime, sayTime } from '@core/script/timecode'
import { scriptFigures } from '@core/script/timing'
import type { Card } from '@core/views/card'
import Flag from '@app/ui/Flag.vue'
import CutLiesWith from './edit/CutLiesWith.vue'
import CutRoom from './edit/CutRoom.vue'
import HandOver from './edit/HandOver.vue'
import { useCut } from './edit/useCut'
import { useJob } from './helper/useJob'
import CueLists from './parts/CueLists.vue'
import Footage from './parts/Footage.vue'
import StepList from './StepList.vue'
import { useWriting } from './writing'
import { typedIn } from '@app/ui/fields/event'

/** The edit as it came out: its real length, and where the sections start. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const route = useRoute()
const write = useWriting(() => card)
const of = useCut(() => card)
const job = useJob(() => card.episode.id, 'cut')
const faults = ref<Record<string, string>>({})
const cut = computed(() => card.episode.cut)
const figures = computed(() => scriptFigures(card.script, card.show.pace))
const chapters = computed(() => episodeChapters(card))
const broken = computed(() => [
  ...new Set(card.outlets.flatMap((o) => chapterFaults(chapters.value.list, o.chapters, cut.value.length))),
])
const scale = computed(() =>
  cut.value.length && figures.value.seconds ? cut.value.length / figures.value.seconds : 1,
)

function read(key: string, event: Event): number | undefined {
  const text = typedIn(event)
  if (text.trim() === '') {
    faults.value = { ...faults.value, [key]: '' }
    return undefined
  }
  const time = readTime(text)
  faults.value = { ...faults.value, [key]: time.ok ? '' : time.problem.sentence }
  return time.ok ? time.value : Number.NaN
}
function length(event: Event) {
  const seconds = read('length', event)
  if (Number.isNaN(seconds) || seconds === 0) return
  const { length: _before, ...rest } = cut.value
  void write({ cut: seconds === undefined ? rest : { ...rest, length: seconds } }, 'the length of the edit')
}
function start(id: string, event: Event) {
  const seconds = read(id, event)
  if (Number.isNaN(seconds)) return
  const { [id]: _before, ...rest } = cut.value.starts
  void write(
    { cut: { ...cut.value, starts: seconds === undefined ? rest : { ...rest, [id]: seconds } } },
    'the section times',
  )
}
function takeEstimates() {
  void write(
    {
      cut: {
        ...cut.value,
        starts: Object.fromEntries(
          figures.value.sections
            .filter((s) => s.seconds > 0)
            .map((s) => [s.id, Math.round(s.start * scale.value)]),
        ),
      },
    },
    'the section times',
  )
}
const shown = (seconds: number | undefined) => (seconds === undefined ? '' : sayTime(seconds))
onMounted(() => {
  if (route.query['at']) void nextTick(() => document.querySelector<HTMLElement>('[data-at]')?.focus())
})
</script>

<template>
  <div>
    <CutRoom v-if="of.cut.value" :key="of.cut.value.id" :cut="of.cut.value" :of="of" :card="card" />
    <div v-else-if="card.episode.phase.kind !== 'idea'" class="mx-auto max-w-[1080px] px-5 pt-5">
      <div class="panel p-4 flex flex-wrap items-center gap-4">
        <span class="flex-1 min-w-[260px]"
          >Is the first cut there? Review it here: it plays beside its script, and what you note at a moment
          becomes the list for the next cut.</span
        ><HandOver :of="of" :card="card" :job="job" /><button class="btn btn-main" @click="of.begin()">
          Review cut 1
        </button>
      </div>
      <CutLiesWith
        v-if="job.job.value"
        :of="of"
        :card="card"
        :job="job"
        :given="job.job.value"
        class="mt-4"
      />
    </div>
    <div class="mx-auto max-w-[1080px] px-5 py-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_280px]">
      <div class="grid grid-cols-1 gap-6 content-start">
        <section aria-labelledby="length">
          <h2 id="length" class="mb-2">How long it came out</h2>
          <div class="flex items-center gap-4 flex-wrap">
            <input
              class="field font-mono text-20 w-[130px] h-[44px]"
              data-at="length"
              :value="shown(cut.length)"
              placeholder="9:51"
              aria-label="Length of the edit"
              :aria-invalid="!!faults['length']"
              @change="length"
            />
            <p class="sub">
              {{ figures.seconds ? `The script is ${sayTime(figures.seconds)}.` : '' }} The aim is
              {{ card.show.aim.from }} to {{ card.show.aim.to }} min.
            </p>
          </div>
          <p v-if="faults['length']" role="alert" class="late mt-1">{{ faults['length'] }}</p>
        </section>
        <section v-if="card.script && card.script.sections.length > 0" aria-labelledby="times">
          <div class="flex items-baseline gap-3 mb-2">
            <h2 id="times">Where the sections start</h2>
            <button class="btn btn-small ml-auto" @click="takeEstimates">
              Start from the script’s estimates
            </button>
          </div>
          <div class="panel overflow-hidden">
            <div
              v-if="cut.length"
              class="film relative h-[26px] bg-base border-b border-faint"
              aria-hidden="true"
            >
              <span
                v-for="c in chapters.list"
                :key="c.title"
                class="absolute inset-y-0 border-l-2 border-ink-2 pl-1 text-11 text-ink-2 truncate"
                :style="{ left: `${(c.start / cut.length) * 100}%` }"
                >{{ sayTime(c.start) }}</span
              >
            </div>
            <ul class="divide-y divide-faint">
              <li v-for="s in card.script.sections" :key="s.id" class="px-4 py-2">
                <div class="flex items-center gap-4">
                  <span class="flex-1">{{ s.title }}</span><span class="sub"
                    >script:
                    {{ sayTime((figures.sections.find((x) => x.id === s.id)?.start ?? 0) * scale) }}</span
                  ><input
                    class="field font-mono w-[96px]"
                    :value="shown(cut.starts[s.id])"
                    placeholder="m:ss"
                    :aria-label="`Start of ${s.title}`"
                    :aria-invalid="!!faults[s.id]"
                    @change="start(s.id, $event)"
                  />
                </div>
                <p v-if="faults[s.id]" role="alert" class="late text-12 text-right">{{ faults[s.id] }}</p>
              </li>
            </ul>
          </div>
          <p class="mt-2 text-12 text-ink-2">
            <template v-if="broken[0] && chapters.list.length > 0"
              ><Flag /><span class="late">Chapters:</span> {{ broken.join('; ') }}</template
            ><template v-else-if="chapters.from === 'edit'"
              >{{ chapters.list.length }} chapters, timed at the edit.</template
            ><template v-else-if="chapters.from === 'script'"
              >While nothing is typed, the {{ chapters.list.length }} chapters go by the script’s
              estimate.</template
            >
          </p>
        </section>
        <CueLists :card="card" :kinds="['edit', 'graphic', 'sound']" class="mt-6" />
        <Footage v-if="card.show.kind === 'video'" :card="card" />
      </div>
      <aside><StepList :card="card" :here="here" /></aside>
    </div>
  </div>
</template>
