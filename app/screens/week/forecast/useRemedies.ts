import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import { placeOnSlot, pushEpisode, skipMissed, swapInSpare } from '@core/commands/schedule'
import { pushed } from '@core/commands/schedule/moved'
import { moreOnDays } from '@core/commands/week'
import { estimateStep, handStep, removeStep } from '@core/commands/work'
import type { Outlook } from '@core/plan/outlook'
import { hoursOn } from '@core/plan/load'
import type { Day, Id, Step } from '@core/records'
import { addDays, sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useLibrary } from '@app/stores/library'
import { usePlan, type WhatIf } from '@app/stores/plan'

/** One way out: its name, what it changes, and what does it. */
export interface Choice {
  name: string
  what: WhatIf
  act: (() => Promise<unknown>) | undefined
}

/** What could be done about a release, and what each would make of it and of the others. */
export function useRemedies(
  id: Id,
  card: Ref<Card | undefined>,
  outlook: Ref<Outlook | undefined>,
  step: Ref<Step | undefined>,
) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const schedule = useSchedule()
  const plan = usePlan()
  /** More hours, on days of one's own choosing. */
  const more = ref<{ hours: number; days: Day[] }>({ hours: 2, days: [] })
  const nearDays = computed(() =>
    Array.from({ length: 14 }, (_, n) => addDays(moment.today, n)).filter(
      (d) => d <= (outlook.value?.release ?? ''),
    ),
  )
  function chooseDay(day: Day) {
    const { days, hours } = more.value
    more.value = { hours, days: days.includes(day) ? days.filter((d) => d !== day) : [...days, day].sort() }
  }
  /** The step that a change is tried on: the one that decides, until another is chosen. */
  const other = ref('')
  const openSteps = computed(() =>
    (card.value?.standing.steps ?? [])
      .filter((x) => x.left && x.step.lead.kind !== 'after')
      .map((x) => x.step),
  )
  const changing = computed(() => openSteps.value.find((x) => x.id === other.value) ?? step.value)
  const choices = computed<Choice[]>(() => {
    const c = card.value
    const o = outlook.value
    if (!c || !o) return []
    const list: Choice[] = []
    const days = Array.from({ length: 10 }, (_, n) => addDays(moment.today, n)).filter((d) => d <= o.release)
    const open = days.find((d) => hoursOn(moment.settings, d) < 240) ?? moment.today
    const chosenDays = more.value.days.length > 0 ? more.value.days : [open]
    const minutes = Math.round(more.value.hours * 60)
    list.push({
      name: `${more.value.hours === 2 ? 'Two' : more.value.hours} more ${more.value.hours === 1 ? 'hour' : 'hours'} on ${chosenDays.map((d) => sayDay(d)).join(', ')}`,
      what: { hours: Object.fromEntries(chosenDays.map((d) => [d, minutes])) },
      act: () => library.perform(moreOnDays, { days: chosenDays, minutes }),
    })
    const s = changing.value
    const { place } = c.episode
    if (s) {
      list.push({
        name: `Half the time for “${s.name}”`,
        what: { minutes: { [s.id]: Math.round(s.minutes / 2) } },
        act: () =>
          library.perform(estimateStep, { step: s.id, minutes: Math.max(5, Math.round(s.minutes / 2)) }),
      })
      list.push({
        name: `“${s.name}” handed to someone`,
        what: { handed: [s.id] },
        act: () => library.perform(handStep, { step: s.id, owner: 'someone' }),
      })
      if (s.part === undefined)
        list.push({
          name: `Without “${s.name}”`,
          what: { without: [s.id] },
          act: () => library.perform(removeStep, { step: s.id }),
        })
    }
    const next = schedule.openOf(c.show, 12).find((x) => x.day > o.release)
    if (next)
      list.push({
        name: `Moved to ${sayDay(next.day)}`,
        what: { moved: { [c.episode.id]: next.day } },
        act: () => library.perform(placeOnSlot, { episode: c.episode.id, day: next.original }),
      })
    const behind = place.kind === 'slot' ? pushed(library.records, c.episode.id, moment.now) : undefined
    const first = behind?.ok ? behind.value[0] : undefined
    if (behind?.ok && first && first.to.day !== next?.day)
      list.push({
        name: `Pushed to ${sayDay(first.to.day)}, ${behind.value.length - 1} behind it too`,
        what: { moved: Object.fromEntries(behind.value.map((m) => [m.episode.id, m.to.day])) },
        act: () => library.perform(pushEpisode, { episode: c.episode.id }),
      })
    const spare = cards.spares.find((x) => x.show.id === c.show.id && x.standing.ready)
    if (spare && place.kind === 'slot')
      list.push({
        name: `The spare “${spare.title}” instead`,
        what: { off: [c.episode.id] },
        act: () => library.perform(swapInSpare, { episode: c.episode.id, spare: spare.episode.id }),
      })
    if (place.kind === 'slot')
      list.push({
        name: 'Its slot skipped',
        what: { off: [c.episode.id] },
        act: () => library.perform(skipMissed, { episode: c.episode.id }),
      })
    return list
  })
  /**
   * Each way out with what it would make of this release and of the others; filled one after the other, in
   * the worker.
   */
  const after = shallowRef<ReadonlyMap<string, Map<Id, Outlook>>>(new Map())
  const opened = ref('')
  let turn = 0
  watch(
    [() => id, () => plan.outlooks, () => more.value.hours, () => more.value.days.join(), other],
    async () => {
      const mine = ++turn
      after.value = new Map()
      for (const choice of choices.value) {
        const found = await plan.whatIf(choice.what)
        if (mine !== turn) return
        after.value = new Map([...after.value, [choice.name, found]])
      }
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    turn++
  })
  const tried = computed(() => {
    const choice = choices.value.find((c) => c.name === opened.value)
    const found = choice && after.value.get(choice.name)
    return choice && found ? { choice, after: found } : undefined
  })
  /** Releases whose chance moves by at least one in a hundred, or that fall away. */
  const moved = computed(() => {
    const t = tried.value
    if (!t) return []
    return [...plan.outlooks.values()].flatMap((before) => {
      const next = t.after.get(before.episode)
      const c = cards.card(before.episode)
      return c && (next === undefined || Math.abs(next.chance - before.chance) >= 0.01)
        ? [{ card: c, before, after: next }]
        : []
    })
  })
  const own = (name: string) => {
    const found = after.value.get(name)
    return (
      found && {
        next: found.get(id),
        others: [...plan.outlooks.values()].filter(
          (o) => o.episode !== id && Math.abs((found.get(o.episode)?.chance ?? o.chance) - o.chance) >= 0.01,
        ).length,
      }
    )
  }
  /** Unfolds one way out, or folds it again. */
  function unfold(name: string) {
    opened.value = opened.value === name ? '' : name
  }
  function setHours(hours: number) {
    more.value = { ...more.value, hours }
  }
  function setStep(id: string) {
    other.value = id
  }
  return {
    unfold,
    setHours,
    setStep,
    more,
    nearDays,
    chooseDay,
    other,
    openSteps,
    choices,
    opened,
    tried,
    moved,
    own,
  }
}

export type Remedies = ReturnType<typeof useRemedies>
