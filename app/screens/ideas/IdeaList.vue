<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { GripVertical } from '@lucide/vue'
import { textOf } from '@core/ideas/field'
import { isResting } from '@core/ideas/usable'
import type { Episode } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import { useIdeas } from '@app/stores/ideas'
import FormSign from '@app/ui/FormSign.vue'
import { useForms } from '@app/stores/forms'
import ImportanceMark from '@app/ui/ImportanceMark.vue'
import { useImportance } from '@app/stores/importance'
import Marked from '@app/ui/Marked.vue'
import { vCarries, vTakes, type Target } from '@app/ui/drag/carry'
import { carriedIdea } from './carried'
import { usePassages } from './passages'
import SortHeading from '@app/ui/table/SortHeading.vue'

/** The rows of the view; only those in sight are drawn. */
const { here } = defineProps<{ here: number }>()
const emit = defineEmits<{
  here: [number]
  pick: [Episode, boolean]
  open: [Episode]
  dropped: [string, Episode | undefined, Episode | undefined]
}>()
const moment = useMoment()
const ideas = useIdeas()
const importance = useImportance()
const forms = useForms()
const scroller = ref<HTMLElement>()
const rows = computed(() => ideas.shown.rows)
const columns = computed(() => ideas.view.columns.flatMap((c) => ideas.fields.get(c) ?? []))
const template = computed(
  () =>
    `minmax(180px,1fr) ${columns.value.map((c) => widths[c.name] ?? (c.kind === 'number' || c.kind === 'tick' ? '84px' : c.kind === 'date' ? '82px' : '130px')).join(' ')}`,
)
const widths: Record<string, string> = {
  number: '64px',
  code: '58px',
  phase: '82px',
  standing: '86px',
  rating: '74px',
  topics: '140px',
  note: '180px',
  premise: '180px',
}
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: (i: number) => (rows.value[i]?.kind === 'head' ? 34 : 46),
    overscan: 10,
    getItemKey: (i: number) => {
      const r = rows.value[i]
      return r === undefined ? i : r.kind === 'head' ? `head ${r.name}` : r.episode.id
    },
  })),
)
watch(
  () => [ideas.view.group, ideas.view.id],
  () => {
    virtual.value.measure()
  },
)

const passages = usePassages(() => virtual.value.getVirtualItems().flatMap((v) => rows.value[v.index] ?? []))
const wordsOf = (e: Episode) => ideas.found?.get(e.id)?.words ?? []
const below = (e: Episode) => passages.value[e.id] || e.note || e.idea.premise

function show(row: number, focus: boolean) {
  virtual.value.scrollToIndex(row)
  if (focus)
    void nextTick(() => {
      scroller.value?.querySelector<HTMLElement>(`[data-row="${row}"]`)?.focus({ preventScroll: true })
    })
}
defineExpose({ show })

function cell(e: Episode, name: string): string {
  const value = ideas.fields.get(name)?.of(e)
  if (name === 'jotted' || name === 'changed') return sayAway(textOf(value), moment.today)
  if ((name === 'release' || name === 'rests') && value !== undefined)
    return sayDay(textOf(value), moment.today)
  if (name === 'rating' && typeof value === 'number') return '★'.repeat(value)
  if (name === 'standing' && isResting(e, moment.today)) return 'resting'
  if (Array.isArray(value)) return value.join(', ')
  return textOf(value)
}
function click(event: MouseEvent, e: Episode, row: number) {
  emit('here', row)
  if (event.ctrlKey || event.metaKey || event.shiftKey) emit('pick', e, event.shiftKey)
}
const byHand = computed(() => ideas.view.sort.by === 'hand' && ideas.view.group === '')
/** In the order by hand a row takes an idea, to stand before it. */
const target = (row: number): Target | undefined =>
  byHand.value
    ? {
        takes: (c) => c.kind === 'idea',
        drop: (c) => {
          const at = (i: number) => {
            const r = rows.value[i]
            return r?.kind === 'episode' ? r.episode : undefined
          }
          if (c.kind === 'idea') emit('dropped', c.id, at(row - 1), at(row))
        },
      }
    : undefined
const sortedBy = (name: string) => {
  const { by, down } = ideas.view.sort
  return by === name ? (down ? 'desc' : 'asc') : false
}
function sortBy(name: string) {
  const { sort } = ideas.view
  ideas.change({ sort: { by: name, down: sort.by === name ? !sort.down : false } })
}
</script>

<template>
  <div class="panel overflow-hidden">
    <div role="table" aria-label="Columns" class="border-b border-line text-11 text-ink-2 max-sm:hidden">
      <div
        class="grid gap-3 pr-[54px] pl-[62px] py-1.5"
        role="row"
        :style="{ gridTemplateColumns: template }"
      >
        <SortHeading as="span" label="Title" :sorted="sortedBy('title')" @sort="sortBy('title')" />
        <SortHeading
          v-for="c in columns"
          :key="c.name"
          as="span"
          :label="c.label"
          :sorted="sortedBy(c.name)"
          @sort="sortBy(c.name)"
        />
      </div>
    </div>
    <div ref="scroller" class="h-[calc(100vh-312px)] min-h-[300px] overflow-y-auto" tabindex="-1">
      <p v-if="rows.length === 0" class="sub p-5">
        {{ ideas.view.words ? 'Nothing has these words.' : 'Nothing fits this view.' }}
      </p>
      <ul class="relative" aria-label="Ideas" :style="{ height: `${virtual.getTotalSize()}px` }">
        <li
          v-for="v in virtual.getVirtualItems()"
          :key="String(v.key)"
          class="absolute inset-x-0 top-0"
          :style="{ transform: `translateY(${v.start}px)`, height: `${v.size}px` }"
        >
          <template
            v-for="r in rows.slice(v.index, v.index + 1)"
            :key="r.kind === 'head' ? r.name : r.episode.id"
          >
            <p
              v-if="r.kind === 'head'"
              class="h-full flex items-end gap-2 px-3 pb-1 border-b border-faint font-semibold text-12"
            >
              {{ r.name }} <span class="num">{{ r.count }}</span>
            </p>
            <div
              v-else
              v-takes="target(v.index)"
              class="row"
              :class="{
                here: v.index === here,
                picked: ideas.chosen.has(r.episode.id),
              }"
            >
              <input
                type="checkbox"
                class="tick"
                :checked="ideas.chosen.has(r.episode.id)"
                :aria-label="`Choose “${r.episode.title}”`"
                tabindex="-1"
                @click="emit('pick', r.episode, $event.shiftKey)"
              />
              <button
                v-carries="carriedIdea(r.episode)"
                class="idea"
                :data-row="v.index"
                :aria-current="v.index === here"
                :tabindex="v.index === here ? 0 : -1"
                :style="{ gridTemplateColumns: template }"
                @click="click($event, r.episode, v.index)"
                @focus="emit('here', v.index)"
                @dblclick="emit('open', r.episode)"
              >
                <span class="min-w-0 flex items-center gap-2"
                  ><GripVertical :size="14" class="text-ink-3 flex-none" aria-hidden="true" /><span
                    class="min-w-0"
                    ><span class="block truncate font-medium leading-[19px]"
                      ><Marked :text="r.episode.title" :words="wordsOf(r.episode)" />{{ ' '
                      }}<FormSign :name="forms.of(r.episode)" /></span
                    ><span v-if="below(r.episode)" class="sub block truncate leading-[16px]"
                      ><Marked :text="below(r.episode)" :words="wordsOf(r.episode)" /></span></span
                ></span>
                <span
                  v-for="c in columns"
                  :key="c.name"
                  class="truncate text-12 max-sm:hidden"
                  :class="c.kind === 'number' || c.kind === 'date' ? 'num' : 'text-ink-2'"
                  >{{ cell(r.episode, c.name) }}</span
                >
              </button>
              <ImportanceMark
                class="mr-2"
                :of="importance.of(r.episode)"
                :tabindex="v.index === here ? 0 : -1"
                @press="importance.press(r.episode)"
              />
            </div>
          </template>
        </li>
      </ul>
    </div>
    <p class="sub px-3 py-1.5 border-t border-faint flex gap-4">
      <span>{{ ideas.shown.episodes.length }} shown</span
      ><span class="max-lg:hidden">{{ byHand ? 'Drag, or Alt ↑ ↓, to order by hand' : '' }}</span>
    </p>
  </div>
</template>

<style scoped src="./idea-list.css"></style>
