import { computed, ref, watch, type Ref } from 'vue'
import { noteTake } from '@core/commands/episode'
import type { Id, Section } from '@core/records'
import { isGot, linesToRead, pacingOf, stepTo, type Passed, type ReadMode } from '@core/script/reading'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useTwin, type Shared } from './useTwin'

/** A beat that is passed sooner than this was skipped, not read; seconds. */
const skipped = 0.7

/** Where one reads, what was passed and how long it took, and the takes that come of it. */
export function useReading(card: () => Card, mode: Ref<ReadMode>, follows: boolean) {
  const library = useLibrary()
  const lines = computed(() => linesToRead(card().script, card().show.pace, mode.value))
  const at = ref(stepTo(lines.value, -1, 1))
  const running = ref(false)
  const passed = ref<Passed[]>([])
  /** When the current beat and the current take began; nothing before the first key. */
  let since: number | undefined
  const takeSince = ref<number>()
  const now = () => performance.now() / 1000
  const line = computed(() => lines.value[at.value])
  const section = computed(() => card().script?.sections.find((s) => s.id === line.value?.section))
  const pacing = computed(() => pacingOf(passed.value, card().script, card().show.pace))

  const share = useTwin(card().episode.id, (said) => {
    at.value = said.at
    running.value = said.running
  })
  const tell = () => {
    share({ at: at.value, running: running.value } satisfies Shared)
  }
  // The script may be changed elsewhere meanwhile: one stays on what one reads, else goes on to what comes then.
  watch(lines, (all, before) => {
    const was = before[at.value]
    const same = all.findIndex((l) => l.beat.id === was?.beat.id)
    const near = same >= 0 ? same : Math.min(at.value, all.length - 1)
    const here = all[near]
    if (here?.kind === 'read' && (same >= 0 || here.section === was?.section)) {
      at.value = near
      return
    }
    const on = stepTo(all, near, 1)
    const back = stepTo(all, near, -1)
    const stays = [on, back].find((i) => all[i]?.kind === 'read' && all[i].section === was?.section)
    at.value = stays ?? (all[on]?.kind === 'read' ? on : back)
  })

  function begin() {
    since = now()
    takeSince.value ??= since
  }
  function take(kept: boolean, reason: string, of: Section | undefined) {
    const seconds = takeSince.value === undefined ? 0 : Math.round((now() - takeSince.value) * 10) / 10
    takeSince.value = undefined
    if (!of || seconds < skipped || follows) return
    const wish = { episode: card().episode.id, section: of.id, take: { seconds, kept, reason } }
    void library.perform(noteTake, wish, 'quietly')
  }
  /** The beat was read; the last of a section keeps the take. */
  function next() {
    const here = line.value
    const of = section.value
    if (!here) return
    const seconds = since === undefined ? undefined : now() - since
    if (seconds !== undefined && seconds >= skipped) passed.value = [...passed.value, { line: here, seconds }]
    const to = stepTo(lines.value, at.value, 1)
    const isLast = to === at.value
    if ((isLast || lines.value[to]?.section !== here.section) && since !== undefined) take(true, '', of)
    at.value = to
    if (isLast) {
      since = undefined
      running.value = false
    } else begin()
    tell()
  }
  function back() {
    at.value = stepTo(lines.value, at.value, -1)
    since = undefined
    tell()
  }
  function goTo(id: Id) {
    const first = lines.value.findIndex((l) => l.section === id && l.kind === 'read')
    if (first < 0) return
    at.value = first
    since = undefined
    takeSince.value = undefined
    tell()
  }
  /** A new take: from the first beat of the section again. */
  function again() {
    const of = section.value
    take(false, 'again', of)
    if (of) goTo(of.id)
    begin()
  }
  return {
    lines,
    at,
    line,
    section,
    pacing,
    running,
    takeSince,
    next,
    back,
    goTo,
    again,
    run: () => {
      running.value = !running.value
      if (running.value) begin()
      tell()
    },
    /** How many sections with something to read were got. */
    got: computed(() => {
      const read = new Set(lines.value.flatMap((l) => (l.kind === 'read' ? [l.section] : [])))
      const all = (card().script?.sections ?? []).filter((s) => read.has(s.id))
      return { of: all.length, got: all.filter(isGot).length }
    }),
  }
}
