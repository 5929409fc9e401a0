import { defineStore } from 'pinia'
import { computed } from 'vue'
import { aheadOf, type Ahead } from '@core/plan/ready'
import type { Day, Show } from '@core/records'
import { dayIn } from '@core/rhythm/creator'
import { addDays, dayNumber } from '@core/rhythm/days'
import { framesOf, type Frame } from '@core/rhythm/film'
import { filledSlots, slotsOf, type Slot } from '@core/rhythm/slots'
import type { Card, SlotRow } from '@core/views/card'
import { releasedAt, useCards } from './cards'
import { useMoment } from './moment'

/** Slots to come and the releases on them, as rows and as frames of the film. */
export const useSchedule = defineStore('schedule', () => {
  const moment = useMoment()
  const cards = useCards()
  /** Slots of a show that are to come and hold nothing, skipped ones too, between two dates. */
  function vacantOf(show: Show, from: Day, to: Day): Slot[] {
    // What went out before its slot came has used it up.
    const filled = filledSlots(show, cards.byShow.get(show.id) ?? [])
    return slotsOf(show, from, to).filter((s) => !filled.has(s.original) && s.at > moment.now)
  }
  function rowsOf(show: Show, days: number): SlotRow[] {
    const mine = cards.placed.filter((c) => c.show.id === show.id)
    const rows = vacantOf(show, addDays(moment.today, -40), addDays(moment.today, days)).map(
      (slot): SlotRow => ({
        key: slot.key,
        day: slot.day,
        time: slot.time,
        at: slot.at,
        show,
        slot,
        card: undefined,
        number: cards.numbers.get(show.id)?.open.get(slot.original),
      }),
    )
    for (const c of mine)
      if (c.standing.release)
        rows.push({
          key: c.episode.id,
          day: c.standing.release.day,
          time: c.standing.release.time,
          at: c.standing.release.at,
          show,
          slot: undefined,
          card: c,
          number: undefined,
        })
    return rows
  }
  /**
   * Every slot and release to come for some weeks, open ones too, in order of release; overdue ones first.
   */
  const rows = computed(() => moment.shows.flatMap((s) => rowsOf(s, 70)).sort((a, b) => a.at - b.at))

  /** The next open slots of a show. */
  function openOf(show: Show, count: number): Slot[] {
    return rowsOf(show, 400)
      .filter((r) => r.slot && !r.slot.skipped && !r.card)
      .slice(0, count)
      .flatMap((r) => r.slot ?? [])
  }

  /** A show's frames between two dates. */
  function frames(show: Show, from: Day, to: Day): Frame[] {
    return framesOf(show, cards.byShow.get(show.id) ?? [], from, to, moment.minute)
  }
  const firstDay = computed(() => {
    let first = dayNumber(moment.today)
    for (const e of cards.released.slice(-1))
      first = Math.min(first, dayNumber(dayIn(releasedAt(e), moment.zone)))
    return first - 10
  })

  function runOf(show: Show): Ahead & { next: (Card | undefined)[] } {
    const within = (days: number) =>
      rowsOf(show, days)
        .filter((r) => !r.slot?.skipped && r.at > moment.now)
        .sort((a, b) => a.at - b.at)
    const near = within(190)
    const next = near.length > show.readyAhead ? near : within(800)
    const slots = next.map((r) => ({
      day: r.day,
      ready: r.card?.standing.ready ?? false,
      live: r.card?.standing.live ?? false,
      topical: r.card?.episode.nature.kind === 'topical',
    }))
    const kept = cards.spares
      .filter((c) => c.show.id === show.id)
      .map((c) => ({
        ready: c.standing.ready,
        ...(c.episode.nature.kind === 'topical'
          ? { notBefore: c.episode.nature.notBefore, staleAfter: c.episode.nature.staleAfter }
          : {}),
      }))
    return {
      ...aheadOf(slots, kept, moment.today, show.readyMost),
      next: next.slice(0, Math.max(show.readyAhead, 1)).map((r) => r.card),
    }
  }

  const runs = computed(() => new Map(moment.shows.map((s) => [s.id, runOf(s)])))
  /** How a show stands against its wish, with what is on its next slots; kept from screen to screen. */
  function readyRun(show: Show): Ahead & { next: (Card | undefined)[] } {
    return runs.value.get(show.id) ?? runOf(show)
  }

  return { vacantOf, rows, openOf, frames, firstDay, readyRun }
})
