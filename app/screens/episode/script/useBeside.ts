import { computed, shallowRef, watch, type Ref } from 'vue'
import { watchDebounced } from '@vueuse/core'
import type { Editor } from '@tiptap/core'
import type { Id, Script } from '@core/records'
import { remarksOn, type Remark } from '@core/script/copy-edit'
import { spokenIn } from '@core/script/spoken'
import { sayTime } from '@core/script/timecode'
import { beatSeconds, sectionSeconds } from '@core/script/timing'
import type { Card } from '@core/views/card'
import { Drawn, drawnKey } from './document/numbers'
import { sayTimes, type Sayings } from './document/views'

const howTo = { words: 'Write this beat', points: 'A point a line', free: 'Notes, if you like' }

/** What is said beside every title and beat of a script: what it takes, and what to write in a blank one. */
export function useSayings(
  script: Ref<Script>,
  card: () => Card,
  promised: Ref<ReadonlyMap<Id, string>>,
): Ref<ReadonlyMap<Id, Sayings>> {
  return computed(() => {
    const { pace } = card().show
    const said = new Map<Id, Sayings>()
    for (const section of script.value.sections) {
      const spoken = spokenIn(script.value, section)
      said.set(section.id, { time: sayTime(sectionSeconds(script.value, section, pace)), placeholder: '' })
      const guidance = card().recipe.outline.find((o) => section.id.endsWith(`/${o.id}`))?.guidance ?? ''
      const placeholder = section.beats.length === 1 && guidance !== '' ? guidance : howTo[spoken]
      for (const beat of section.beats) {
        const seconds = spoken === 'free' ? 0 : beatSeconds(beat, pace, spoken)
        said.set(beat.id, {
          time: seconds > 0 ? sayTime(seconds) : '',
          placeholder,
          promised: promised.value.get(beat.id),
        })
      }
    }
    return said
  })
}

/** Says it in the document, whenever it is another. */
export function useTimes(root: Ref<HTMLElement | null>, sayings: Ref<ReadonlyMap<Id, Sayings>>): void {
  watch(
    [sayings, root],
    () => {
      const document = root.value?.firstElementChild
      if (document instanceof HTMLElement) sayTimes(document, (id) => sayings.value.get(id))
    },
    { flush: 'post' },
  )
}

/** What a machine remarks on the script as it was read when typing rested, marked quietly under the words. */
export function useRemarks(
  editor: Ref<Editor | undefined>,
  script: Ref<Script>,
  active: Ref<Id | undefined>,
): { remarks: Ref<readonly Remark[]>; read: Ref<Script> } {
  const remarks = shallowRef<readonly Remark[]>([])
  const read = shallowRef(script.value)
  function draw() {
    const at = editor.value
    if (!at || at.isDestroyed) return
    at.view.dispatch(at.state.tr.setMeta(drawnKey, new Drawn(remarks.value, active.value, at.state.doc)))
  }
  watchDebounced(
    [script, editor],
    () => {
      read.value = script.value
      remarks.value = remarksOn(script.value)
      draw()
    },
    { debounce: 400, immediate: true },
  )
  watch(active, draw)
  return { remarks, read }
}
