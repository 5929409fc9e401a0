<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRafFn, useScroll } from '@vueuse/core'
import { usePictures } from '@app/stores/pictures'
import KeySign from '@app/ui/KeySign.vue'
import { useWidth } from '@app/ui/width'
import { catalogueKeys } from '../keymap'
import type { CatalogueHere } from '../useCatalogue'
import { drawArcs } from './arcs'
import { lanes, useFilm } from './useFilm'

/** Everything that is out on film, with links as arcs: linked ones whole, likely ones dashed. */
const { of } = defineProps<{ of: CatalogueHere }>()
const { here, arcs, linked, likely, offered } = of
const pictures = usePictures()
const scroller = useTemplateRef<HTMLElement>('scroller')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const room = useWidth(scroller, 'catalogue-film', 1280)
/** The list is there first, the film with the frame that follows. */
const isNext = ref(false)
onMounted(() => {
  requestAnimationFrame(() => {
    requestAnimationFrame(() => {
      isNext.value = true
    })
  })
})
const width = computed(() => (isNext.value ? room.value : 0))
const { x: left } = useScroll(scroller)
const film = useFilm(of, width)
const { frames, byId, found, inner, height, months, now } = film
/** Frames in sight and a little beside it; counted in steps, so that scrolling seldom makes any anew. */
const step = 240
const first = computed(() => Math.floor(left.value / step) * step)
const inSight = computed(() =>
  frames.value.filter((f) => f.x + f.w > first.value - step && f.x < first.value + width.value + 2 * step),
)
const marks = computed(() =>
  months.value.filter((m) => m.x > first.value - step && m.x < first.value + width.value + 2 * step),
)
/** What each end of an arc is called, where none stands in another's way. */
const names = computed(() => {
  const ends = [
    ...likely.value.map((l) => ({ id: l.row.episode.id, number: l.row.number, words: l.words.join(', ') })),
    ...linked.value.map((r) => ({ id: r.episode.id, number: r.number, words: '' })),
  ]
  const taken: number[] = []
  return ends.flatMap((e) => {
    const frame = byId.value.get(e.id)
    if (!frame || taken.some((t) => Math.abs(t - frame.x) < 96)) return []
    taken.push(frame.x)
    return [{ ...e, x: frame.x + frame.w / 2 }]
  })
})
const lead = computed(() => {
  const of = offered.value.map((o) => o.row.number)
  return here.value && of.length > 0 ? `Link ${here.value.number} with ${of.join(' and ')}` : ''
})
const isStale = ref(true)
watch([arcs, here, likely, byId, width, height, left, inner], () => {
  isStale.value = true
})
useRafFn(() => {
  const element = canvas.value
  const pen = element?.getContext('2d')
  if (!isStale.value || !element || !pen || width.value === 0) return
  isStale.value = false
  const scale = window.devicePixelRatio || 1
  if (element.width !== Math.round(width.value * scale)) element.width = Math.round(width.value * scale)
  if (element.height !== Math.round(height.value * scale)) element.height = Math.round(height.value * scale)
  pen.setTransform(scale, 0, 0, scale, 0, 0)
  const style = getComputedStyle(element)
  drawArcs(pen, {
    ...{ frames: byId.value, arcs: arcs.value, here: here.value?.episode.id },
    likely: likely.value.map((l) => l.row.episode.id),
    ...{ left: left.value, width: width.value, height: height.value },
    ink: style.getPropertyValue('--ink'),
    faint: style.getPropertyValue('--line'),
  })
})
/** What is looked at stays in sight. */
function follow() {
  const frame = here.value && byId.value.get(here.value.episode.id)
  const room = scroller.value
  if (!frame || !room) return
  if (frame.x < room.scrollLeft + 40 || frame.x + frame.w > room.scrollLeft + room.clientWidth - 40)
    room.scrollLeft = frame.x - room.clientWidth * 0.7
}
watch([() => here.value?.episode.id, inner], follow, { flush: 'post' })
onMounted(follow)
const kept = (id: string) => linked.value.some((r) => r.episode.id === id)
</script>

<template>
  <section class="film text-ink relative bg-base rounded-panel overflow-hidden" aria-label="On film">
    <div v-if="lead" class="absolute left-4 top-3 z-2 max-w-[300px]">
      <h2 class="mb-1.5">{{ lead }}</h2>
      <button class="btn btn-main btn-small" @click="of.link">
        Add {{ offered.length }} {{ offered.length === 1 ? 'link' : 'links' }}
        <KeySign :line="catalogueKeys.lines.link" />
      </button>
    </div>
    <p class="absolute right-4 top-2 z-2 text-11 text-ink-2 flex gap-4" aria-hidden="true">
      <span><span class="line-sign" /> linked</span><span><span class="line-sign dashed" /> likely</span>
    </p>
    <div
      ref="scroller"
      role="group"
      class="overflow-x-auto"
      tabindex="0"
      aria-label="The film, to be scrolled"
    >
      <div class="relative" :style="{ width: `${inner}px`, height: `${height}px` }">
        <canvas
          ref="canvas"
          class="sticky left-0 top-0 block pointer-events-none"
          :style="{ width: `${width}px`, height: `${height}px` }"
          aria-hidden="true"
        />
        <span
          v-for="m in marks"
          :key="m.x"
          class="absolute num text-11 text-ink-2"
          :style="{ left: `${m.x}px`, top: `${lanes.months - 14}px` }"
          aria-hidden="true"
          >{{ m.says }}</span
        >
        <template v-for="f in inSight" :key="f.id">
          <button
            v-if="f.row"
            class="frame"
            :class="{ here: f.id === here?.episode.id, dim: !found.has(f.id) && !kept(f.id) }"
            :style="{ left: `${f.x}px`, top: `${f.y}px`, width: `${f.w}px`, height: `${f.h}px` }"
            :aria-label="`${f.number} ${f.row.title}`"
            :title="`${f.number} ${f.row.title}`"
            tabindex="-1"
            @click="of.look(f.id)"
          >
            <img
              v-if="pictures.url(f.row.episode.chosenPicture)"
              :src="pictures.url(f.row.episode.chosenPicture)"
              alt=""
              class="w-full h-full object-cover"
            />
          </button>
          <span
            v-else
            class="frame coming num text-11"
            :style="{ left: `${f.x}px`, top: `${f.y}px`, width: `${f.w}px`, height: `${f.h}px` }"
            >{{ f.w > 20 ? f.number.replace(/\D+/, '') : '' }}</span
          >
        </template>
        <span
          v-for="n in names"
          :key="n.id"
          class="name"
          :style="{ left: `${n.x}px`, top: `${lanes.first - 34}px` }"
          aria-hidden="true"
          ><strong class="num text-ink">{{ n.number }}</strong
          ><span v-if="n.words" class="block">{{ n.words }}</span></span
        >
        <span class="now" :style="{ left: `${now}px` }" aria-hidden="true" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.frame {
  position: absolute;
  overflow: hidden;
  border-radius: 2px;
  background: var(--raised);
}
.frame.dim {
  opacity: 0.4;
  filter: grayscale(1);
}
.frame.here {
  outline: 2px solid var(--ink);
  z-index: 1;
}
.frame.coming {
  display: grid;
  place-items: center;
  background: none;
  border: 1px dashed var(--ring);
  color: var(--ink-2);
}
.name {
  position: absolute;
  transform: translateX(-50%);
  max-width: 92px;
  font-size: 11px;
  line-height: 1.2;
  color: var(--ink-2);
  text-align: center;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  background: oklch(0.11 0.012 60 / 0.75);
}
.now {
  position: absolute;
  top: 12px;
  bottom: 6px;
  border-left: 1.5px solid var(--lamp);
}
.line-sign {
  display: inline-block;
  width: 26px;
  border-top: 2px solid var(--ink);
  vertical-align: middle;
}
.line-sign.dashed {
  border-top-style: dashed;
}
</style>
