import { lanesOf } from '../plan/ramp'
import type { Day, Recipe } from '../records'
import { rampOf } from '../plan/ramp'
import { daysBetween } from '../rhythm/days'
import type { Card } from './card'
import { lampKinds } from './slots'

/** The row of a stage; one of the creator's own lies in that of the stage before it. */
export function rowOf(card: Card, stage: string | undefined): number {
  const { stages } = card.recipe
  for (let i = stages.findIndex((s) => s.id === stage); i >= 0; i--) {
    const row = lampKinds.findIndex((k) => k === stages[i]?.kind)
    if (row >= 0) return row
  }
  return stage === undefined ? lampKinds.length - 1 : 0
}

/** A release as it lies in the Countdown; lengths in pixels. */
export interface Put {
  card: Card
  row: number
  left: number
  right: number
  /** Which of the lanes of its row it lies in; none where it finds no room and is a pin. */
  lane: number | undefined
  /** Days to its release. */
  days: number
  late: number | undefined
}

/** What a Countdown is drawn from: how days lie on its width, and how wide a card is. */
export interface CountdownOf {
  cards: readonly Card[]
  today: Day
  /** How many days are in sight. */
  days: number
  x: (days: number) => number
  /** Where the first card may begin. */
  head: number
  cardWidth: number
}

/** How many cards lie one below another in a row at most. */
const mostLanes = 3

/** Where each release lies: by stage and days to go, the most late in the first lanes. */
export function putsOf({ cards, today, days: most, x, head, cardWidth }: CountdownOf): Put[] {
  const puts = cards
    .map((card): Put => {
      const days = daysBetween(today, card.standing.release?.day ?? today)
      const right = x(days)
      return {
        card,
        row: rowOf(card, card.standing.where?.stage.id),
        left: Math.max(head, right - cardWidth),
        right,
        days,
        late: card.standing.late,
        lane: 0,
      }
    })
    .filter((p) => p.days <= most)
  for (let row = 0; row < lampKinds.length; row++) {
    const mine = puts
      .filter((p) => p.row === row)
      .sort((a, b) => (b.late ?? 0) - (a.late ?? 0) || a.right - b.right)
    const lanes = lanesOf(
      mine.map((p) => ({ id: p.card.episode.id, from: p.left, to: p.right })),
      mostLanes,
    )
    for (const p of mine) p.lane = lanes.get(p.card.episode.id)
  }
  return puts
}

/** How many lanes each row has, one at least. */
export function depthsOf(puts: readonly Put[]): number[] {
  const depths = lampKinds.map(() => 1)
  for (const p of puts) depths[p.row] = Math.max(depths[p.row] ?? 1, (p.lane ?? 0) + 1)
  return depths
}

/** A recipe's ramp as a line from stage to stage, a row each; empty where it has none. */
export function rampPath(of: Recipe | undefined, rowHeight: number, x: (days: number) => number): string {
  const ramp = of ? rampOf(of) : []
  let path = ''
  lampKinds.forEach((kind, i) => {
    const at = ramp.find((r) => of?.stages.find((s) => s.id === r.stage)?.kind === kind)
    if (!at) return
    const px = x(at.days)
    path += `${path === '' ? 'M' : 'L'}${px},${i * rowHeight} L${px},${(i + 1) * rowHeight} `
  })
  return path
}
