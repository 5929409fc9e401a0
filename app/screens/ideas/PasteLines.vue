<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { Link2, Merge, Split } from '@lucide/vue'
import { jotIdeas } from '@core/commands/ideas'
import { joined, readLines, splitAt, type Draft } from '@core/formats/lines'
import { useCaptureShow } from '@app/stores/capture-show'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'

/**
 * A pasted block, offered as that many ideas: each line can be changed, joined to the one above, split, or
 * left out.
 */
const { text } = defineProps<{ text: string }>()
const library = useLibrary()
const moment = useMoment()
const desk = useDesk()
const dialogs = useDialogs()
interface Line {
  key: number
  draft: Draft
  taken: boolean
}
let keys = 0
const line = (draft: Draft): Line => ({ key: keys++, draft, taken: !draft.ticked })
const lines = ref<Line[]>(readLines(text).map(line))
const show = ref(useCaptureShow().value?.id ?? '')
const taken = computed(() => lines.value.filter((l) => l.taken && l.draft.title.trim() !== ''))
const list = ref<HTMLElement>()

function close() {
  dialogs.close()
}
function focusOn(i: number) {
  void nextTick(() => {
    list.value?.querySelectorAll<HTMLInputElement>('input[type="text"]')[i]?.focus()
  })
}
function join(i: number) {
  const [above, mine] = [lines.value[i - 1], lines.value[i]]
  if (!above || !mine) return
  lines.value.splice(i - 1, 2, {
    ...above,
    draft: joined(above.draft, mine.draft),
    taken: above.taken || mine.taken,
  })
  focusOn(i - 1)
}
function split(i: number) {
  const mine = lines.value[i]
  if (!mine) return
  const field = list.value?.querySelectorAll<HTMLInputElement>('input[type="text"]')[i]
  const at = field?.selectionStart ?? 0
  // Without a place chosen in the text it is split at its first comma, semicolon or " and ".
  const mark = /[,;/]|\s(?:and|or)\s/.exec(mine.draft.title)
  const parts = splitAt(mine.draft, at > 0 && at < mine.draft.title.length ? at : (mark?.index ?? 0))
  if (parts.length === 1) {
    library.say('Put the cursor where the line should part, then split it.', 'refused')
    return
  }
  lines.value.splice(i, 1, ...parts.map((d) => ({ ...line(d), taken: mine.taken })))
  focusOn(i + 1)
}
async function keep() {
  const done = await library.perform(jotIdeas, { show: show.value, drafts: taken.value.map((l) => l.draft) })
  if (done.ok) {
    desk.captureShow = show.value
    close()
  }
}
</script>

<template>
  <Sheet
    :open="true"
    :title="`${lines.length} ${lines.length === 1 ? 'line' : 'lines'} pasted`"
    wide
    @close="close"
  >
    <p v-if="lines.length === 0" class="sub mb-3">There is no line in it.</p>
    <div
      v-if="moment.shows.length > 1"
      class="flex flex-wrap items-center gap-1.5 mb-3"
      role="radiogroup"
      aria-label="For which show"
    >
      <button
        v-for="s in moment.shows"
        :key="s.id"
        type="button"
        role="radio"
        :aria-checked="s.id === show"
        class="btn btn-small"
        :class="s.id === show ? 'border-ink bg-raised' : ''"
        @click="show = s.id"
      >
        {{ s.title }}
      </button>
    </div>
    <ul
      ref="list"
      class="max-h-[52vh] overflow-y-auto -mx-1 px-1 divide-y divide-faint"
      aria-label="Lines to keep as ideas"
    >
      <li
        v-for="(l, i) in lines"
        :key="l.key"
        class="grid grid-cols-[18px_minmax(0,1fr)_auto] gap-x-3 items-start py-1.5"
        :class="l.taken ? '' : 'opacity-60'"
      >
        <input
          v-model="l.taken"
          type="checkbox"
          class="tick mt-1.5"
          :aria-label="`Keep “${l.draft.title}”`"
        />
        <div class="min-w-0">
          <input
            v-model="l.draft.title"
            type="text"
            class="quiet-field mx-0"
            maxlength="300"
            :aria-label="`Line ${i + 1}`"
            :class="l.taken ? '' : 'line-through'"
          />
          <p
            v-if="l.draft.note || l.draft.urls.length > 0 || l.draft.topics.length > 0"
            class="sub px-2 flex flex-wrap gap-x-3"
          >
            <span v-if="l.draft.topics.length > 0" class="text-ink">{{
              l.draft.topics.join(', ')
            }}</span><span v-if="l.draft.note" class="truncate max-w-full">{{ l.draft.note }}</span
            ><span
              v-for="u in l.draft.urls"
              :key="u"
              class="inline-flex items-center gap-1 truncate max-w-full"
              ><Link2 :size="12" aria-hidden="true" />{{ u }}</span
            >
          </p>
        </div>
        <span class="flex gap-1">
          <button
            class="btn btn-bare btn-small px-1.5"
            :disabled="i === 0"
            :aria-label="`Join line ${i + 1} to the one above`"
            title="Join to the one above"
            @click="join(i)"
          >
            <Merge :size="15" />
          </button>
          <button
            class="btn btn-bare btn-small px-1.5"
            :aria-label="`Split line ${i + 1} at the cursor`"
            title="Split at the cursor"
            @mousedown.prevent
            @click="split(i)"
          >
            <Split :size="15" />
          </button>
        </span>
      </li>
    </ul>
    <div class="flex items-center gap-3 mt-4">
      <button class="btn btn-main" :disabled="taken.length === 0" @click="keep">
        Keep {{ taken.length }} {{ taken.length === 1 ? 'idea' : 'ideas' }}</button
      ><span v-if="lines.length - taken.length > 0" class="sub"
        >{{ lines.length - taken.length }} left out</span
      >
    </div>
  </Sheet>
</template>
