import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import type { Change, Command } from '@core/commands/change'
import { bookGuest } from '@core/commands/people'
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
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'

/** One way out: its name, what it would change, and what does it. */
export interface Choice {
  name: string
  changes: readonly Change[]
  act: () => Promise<unknown>
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
  const workload = useWorkload()
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
  /** A way out as it is offered: not where it would be refused, or change nothing. */
  function way<Wish extends object>(name: string, command: Command<Wish>, wish: Wish): Choice[] {
    const changes = library.look(command, wish)
    return changes.length === 0 ? [] : [{ name, changes, act: () => library.perform(command, wish) }]
  }
  function moreHours(release: Day): Choice[] {
    const { hours, days } = more.value
    const near = Array.from({ length: 10 }, (_, n) => addDays(moment.today, n)).filter((d) => d <= release)
    const free = near.find((d) => hoursOn(moment.settings, d) < 240) ?? moment.today
    const on = days.length > 0 ? days : [free]
    const name = `${hours === 2 ? 'Two' : hours} more ${hours === 1 ? 'hour' : 'hours'} on ${on.map((d) => sayDay(d)).join(', ')}`
    return way(name, moreOnDays, { days: on, minutes: Math.round(hours * 60) })
  }
  /** What is agreed with a guest, on the last day with the hours for it before the one agreed on. */
  function sooner({ standing, episode }: Card, release: Day): Choice[] {
    return standing.steps.flatMap(({ step, agreed, left }) => {
      if (!agreed || !left || agreed.day <= moment.today) return []
      const before = Array.from({ length: 14 }, (_, n) => addDays(agreed.day, -1 - n)).find(
        (d) => d > moment.today && d < release && workload.figuresOf(d).free >= step.minutes,
      )
      const to = { episode: episode.id, guest: agreed.guest, at: agreed.at, minutes: step.minutes }
      return before
        ? way(`${agreed.guest} already on ${sayDay(before)} (ask first)`, bookGuest, { ...to, day: before })
        : []
    })
  }
  function lessWork({ id: step, name, minutes, part }: Step): Choice[] {
    // What is agreed with somebody is neither halved nor handed on.
    if (card.value?.standing.steps.some((s) => s.step.id === step && s.agreed)) return []
    const half = Math.max(5, Math.round(minutes / 2))
    return [
      ...way(`Half the time for “${name}”`, estimateStep, { step, minutes: half }),
      ...way(`“${name}” handed to someone`, handStep, { step, owner: 'someone' }),
      ...(part === undefined ? way(`Without “${name}”`, removeStep, { step }) : []),
    ]
  }
  function elsewhere({ episode, show }: Card, release: Day): Choice[] {
    const next = schedule.openOf(show, 12).find((x) => x.day > release)
    const isOnSlot = episode.place.kind === 'slot'
    const behind = isOnSlot ? pushed(library.tables, episode.id, moment.now) : undefined
    const first = behind?.ok ? behind.value[0] : undefined
    const spare = cards.spares.find((x) => x.show.id === show.id && x.standing.ready)
    return [
      ...(next
        ? way(`Moved to ${sayDay(next.day)}`, placeOnSlot, { episode: episode.id, day: next.original })
        : []),
      ...(behind?.ok && first && first.to.day !== next?.day
        ? way(`Pushed to ${sayDay(first.to.day)}, ${behind.value.length - 1} behind it too`, pushEpisode, {
            episode: episode.id,
          })
        : []),
      ...(spare && isOnSlot
        ? way(`The spare “${spare.title}” instead`, swapInSpare, {
            episode: episode.id,
            spare: spare.episode.id,
          })
        : []),
      ...(isOnSlot ? way('Its slot skipped', skipMissed, { episode: episode.id }) : []),
    ]
  }
  const choices = computed<Choice[]>(() => {
    if (!card.value || !outlook.value) return []
    const { release } = outlook.value
    return [
      ...moreHours(release),
      ...sooner(card.value, release),
      ...(changing.value ? lessWork(changing.value) : []),
      ...elsewhere(card.value, release),
    ]
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
        const found = await plan.afterwards(choice.changes)
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
  /** The ways out that are offered: none that makes this release less likely. */
  const offered = computed(() =>
    choices.value.filter(({ name }) => {
      const next = own(name)?.next
      return next === undefined || next.chance >= (outlook.value?.chance ?? 0)
    }),
  )
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
    offered,
    opened,
    tried,
    moved,
    own,
  }
}

export type Remedies = ReturnType<typeof useRemedies>
