import { computed } from 'vue'
import { sum } from 'd3-array'
import { editSettings } from '@core/commands/settings'
import { orderByHand } from '@core/commands/ideas'
import { WorkGroup, type WorkView } from '@core/records'
import { addDays, daysBetween } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { nudged, sayLeft, workRows, type WorkRows } from '@core/views/work-rows'
import { useCards } from '@app/stores/cards'
import { useDesk } from '@app/stores/desk'
import { useForms } from '@app/stores/forms'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { remembered } from '@app/stores/remembered'
import { useWorkload } from '@app/stores/workload'

/** By what the work may be grouped. */
export const workGroups: readonly (readonly [WorkGroup, string])[] = [
  ['stage', 'by stage'],
  ['show', 'by show'],
  ['form', 'by kind'],
  ['topic', 'by topic'],
  ['month', 'by month'],
  ['move', 'by whose move'],
]

/** Everything in work in rows: how it is grouped, in which order, and under which names that is kept. */
export function useWorkRows() {
  const library = useLibrary()
  const cards = useCards()
  const desk = useDesk()
  const forms = useForms()
  const moment = useMoment()
  const workload = useWorkload()
  const group = remembered<WorkGroup>(
    'lamp-reel.work-group',
    'stage',
    (kept) => WorkGroup.safeParse(kept).data,
  )
  const byHand = remembered('lamp-reel.work-by-hand', false, (kept) =>
    typeof kept === 'boolean' ? kept : undefined,
  )
  const shown = computed(() =>
    cards.working.filter((c) => c.episode.phase.kind === 'work' && forms.isShown(c.episode)),
  )
  const rows = computed(() => workRows(shown.value, group.value, byHand.value, (c) => forms.of(c.episode)))

  /** What is left under a heading, against the hours given until the last of it goes out. */
  function left(of: WorkRows): string {
    const days = of.until === undefined ? 0 : Math.max(0, daysBetween(moment.today, of.until) + 1)
    const given = Array.from({ length: days }, (_, i) => workload.figuresOf(addDays(moment.today, i)))
    return sayLeft(
      of,
      sum(given, (f) => f.whole - f.taken),
    )
  }

  /** Puts one before another of its heading; the order by hand begins with the one that was seen. */
  async function put(of: WorkRows, row: readonly Card[]) {
    const done = await library.perform(
      orderByHand,
      { episodes: rows.value.flatMap((g) => (g.key === of.key ? row : g.cards)).map((c) => c.episode.id) },
      'quietly',
    )
    if (done.ok) byHand.value = true
  }
  /** One place up or down; nothing is to be done where it stands at that end. */
  function nudge(of: WorkRows, card: Card, by: 1 | -1): Promise<void> | undefined {
    const row = nudged(of.cards, card, by)
    return row && put(of, row)
  }
  function before(of: WorkRows, id: string, card: Card) {
    const moved = of.cards.find((c) => c.episode.id === id)
    if (!moved || moved === card) return
    const row = of.cards.filter((c) => c !== moved)
    row.splice(row.indexOf(card), 0, moved)
    void put(of, row)
  }

  const kept = computed(() => library.settings.workViews ?? [])
  function keep(name: string) {
    const view: WorkView = {
      id: crypto.randomUUID(),
      name: name.trim(),
      group: group.value,
      byHand: byHand.value,
      only: forms.only.value,
    }
    const others = kept.value.filter((v) => v.name !== view.name)
    return library.perform(editSettings, { workViews: [...others, view] }, 'quietly')
  }
  function letGo(id: string) {
    return library.perform(editSettings, { workViews: kept.value.filter((v) => v.id !== id) })
  }
  function take(view: WorkView) {
    group.value = view.group
    byHand.value = view.byHand
    desk.only = view.only
  }
  return { group, byHand, shown, rows, left, nudge, before, kept, keep, letGo, take }
}

export type WorkRowsSeen = ReturnType<typeof useWorkRows>
