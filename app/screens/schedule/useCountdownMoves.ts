import { shallowRef } from 'vue'
import { finishStages } from '@core/commands/work'
import { daysBetween } from '@core/rhythm/days'
import type { Slot } from '@core/rhythm/slots'
import type { Card, SlotRow } from '@core/views/card'
import { rowOf, type Put } from '@core/views/countdown'
import { lampKinds } from '@core/views/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import type { Target } from '@app/ui/drag/carry'
import { followPress } from '@app/ui/drag/press'
import { keysOn } from '@app/ui/keymap'
import { useCarrying } from './carrying'
import { countdownKeys } from './keymap'
import { rowHeight, type CountdownSeen } from './useCountdown'

/** Stages to be finished at once, with what is open in them. */
export interface Finishing {
  card: Card
  stages: string[]
  steps: string[]
  parts: string[]
}

/** What moves cards of the Countdown: to other slots sideways, to other stages up and down; by hand and by keys. */
export function useCountdownMoves(seen: CountdownSeen) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const schedule = useSchedule()
  const dialogs = useDialogs()
  /** The slots that an episode may be carried to: its show's, in order. */
  function slotsFor(card: Card): Slot[] {
    const filled = cards.placed
      .filter((c) => c.show.id === card.show.id && c.episode.place.kind === 'slot')
      .flatMap((c) => schedule.rows.filter((r) => r.card === c))
    const days = [
      ...filled.flatMap((r) =>
        r.card?.standing.release
          ? [
              {
                day: r.day,
                original: r.card.episode.place.kind === 'slot' ? r.card.episode.place.day : r.day,
              },
            ]
          : [],
      ),
      ...seen.open.value.flatMap((r) =>
        r.slot && r.show.id === card.show.id ? [{ day: r.slot.day, original: r.slot.original }] : [],
      ),
    ]
    return days
      .sort((a, b) => (a.day < b.day ? -1 : 1))
      .map((d) => ({
        key: d.original,
        show: card.show.id,
        original: d.original,
        day: d.day,
        time: card.show.rhythm.time,
        at: 0,
        skipped: false,
        moved: false,
      }))
  }
  /**
   * What is being dragged is moved in the page itself; only what is said of it is drawn anew, so that
   * hundreds of cards can lie about it.
   */
  const { over, put: putOn, end } = useCarrying()
  interface Drag {
    put: Put
    goals: { slot: Slot; days: number }[]
    slot: Slot | undefined
    row: number
  }
  function grab(event: PointerEvent, put: Put) {
    const card = event.currentTarget
    if (!(card instanceof HTMLElement)) return
    const held: Drag = {
      put,
      goals: slotsFor(put.card).map((slot) => ({ slot, days: daysBetween(moment.today, slot.day) })),
      slot: undefined,
      row: put.row,
    }
    const back = () => {
      card.classList.remove('drag')
      card.style.transform = ''
      end()
    }
    followPress(event, {
      start: () => {
        card.classList.add('drag')
      },
      move: (dx, dy) => {
        card.style.transform = `translate(${dx}px, ${dy}px)`
        aim(held, dx, dy)
      },
      drop: () => {
        back()
        if (held.slot) void putOn(put.card, held.slot)
        else if (held.row !== put.row) void toStage(put, held.row)
      },
      cancel: back,
      tap: () => {
        dialogs.show({ kind: 'forecast', episode: put.card.episode.id })
      },
    })
  }
  /** Where a card would come to. */
  function aim(h: Drag, dx: number, dy: number) {
    const { put } = h
    h.slot = undefined
    h.row = Math.max(0, Math.min(lampKinds.length - 1, put.row + Math.round(dy / rowHeight)))
    if (Math.abs(dy) > rowHeight / 2 && Math.abs(dy) > Math.abs(dx)) {
      over(
        put.card,
        undefined,
        h.row > put.row
          ? `Finish ${lampKinds.slice(put.row, h.row).join(', ')}`
          : h.row < put.row
            ? `Open ${lampKinds.slice(h.row, put.row).join(', ')} again`
            : '',
      )
      return
    }
    h.row = put.row
    const days = put.days + Math.round(seen.x.value.invert(put.right + dx) - seen.x.value.invert(put.right))
    let near: Drag['goals'][number] | undefined
    for (const g of h.goals) if (!near || Math.abs(g.days - days) < Math.abs(near.days - days)) near = g
    const { place } = put.card.episode
    if (near && !(place.kind === 'slot' && place.day === near.slot.original)) h.slot = near.slot
    over(put.card, h.slot, '')
  }
  const asking = shallowRef<Finishing>()
  async function toStage(put: Put, row: number) {
    const { stages } = put.card.standing
    const of = (from: number, to: number) =>
      stages.filter((s) => {
        const at = rowOf(put.card, s.stage.id)
        return s.stage.kind !== 'after' && at >= from && at < to
      })
    if (row > put.row) {
      const between = of(put.row, row)
      asking.value = {
        card: put.card,
        stages: between.map((s) => s.stage.id),
        steps: between.flatMap((s) => s.steps.filter((x) => !x.done).map((x) => x.step.name)),
        parts: between.flatMap((s) => s.parts.filter((p) => p.state !== 'there').map((p) => p.name)),
      }
    } else
      await library.perform(finishStages, {
        episode: put.card.episode.id,
        stages: of(row, lampKinds.length).map((s) => s.stage.id),
        done: false,
      })
  }
  async function finish() {
    const a = asking.value
    asking.value = undefined
    if (a) await library.perform(finishStages, { episode: a.card.episode.id, stages: a.stages, done: true })
  }
  async function moveBy({ card }: Put, by: 1 | -1) {
    const slots = slotsFor(card)
    const { place } = card.episode
    const to = slots[slots.findIndex((s) => s.original === (place.kind === 'slot' ? place.day : '')) + by]
    if (!to) return
    await putOn(card, to)
    document.querySelector<HTMLElement>(`[data-card="${card.episode.id}"]`)?.focus()
  }
  const keyed = keysOn<keyof (typeof countdownKeys)['lines'], [Put]>(countdownKeys, {
    move: ({ which }, put) => {
      void moveBy(put, which === 0 ? -1 : 1)
    },
    stage: ({ which }, put) => {
      const row = put.row + (which === 0 ? -1 : 1)
      if (row < 0 || row >= lampKinds.length) return false
      void toStage(put, row)
      return true
    },
    forecast: (_, put) => {
      dialogs.show({ kind: 'forecast', episode: put.card.episode.id })
    },
  })
  /** An open slot takes a spare of its show. */
  const target = ({ slot, show }: SlotRow): Target | undefined =>
    slot && {
      takes: (c) => c.kind === 'episode' && c.show === show.id,
      over: (c) => {
        const card = c.kind === 'episode' ? cards.card(c.id) : undefined
        if (card) over(card, slot)
      },
      left: end,
      drop: (c) => {
        const card = c.kind === 'episode' ? cards.card(c.id) : undefined
        if (card) void putOn(card, slot)
      },
    }
  return { grab, keyed, target, asking, finish }
}
