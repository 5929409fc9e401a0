import { stateOf } from '../../plan/state'
import type { Beat, Day, Episode, Id, Picture, Records, Section, Step } from '../../records'
import type { Result } from '../../result'
import { addDays } from '../../rhythm/days'
import type { Context, Outcome } from '../change'
import { todayOf } from '../step-of'
import { cuesIn, type ScriptWish } from '../episode/write-script'

/**
 * What a random wish is made from: the records, the moment, and a source of numbers from 0 to below `most`.
 */
export interface Chance {
  r: Records
  c: Context
  n: (most: number) => number
}

export type Deed = (chance: Chance) => Result<Outcome>

export const words = ['Oak ribs', 'Keel bolts', 'A spar', 'Oars & tar', 'Sailcloth', 'Rope walk', 'Pitch']

export function one<T>(list: readonly T[], { n }: Chance): T | undefined {
  return list[n(Math.max(1, list.length))]
}
/** An id among those there; now and then one that is nowhere, so that refusing is tried too. */
export function idIn(map: ReadonlyMap<Id, unknown>, chance: Chance): Id {
  return chance.n(25) === 24 ? 'nowhere' : (one([...map.keys()], chance) ?? 'nowhere')
}
export const today = ({ r, c }: Chance): Day => todayOf(r, c)
export const near = (chance: Chance, before: number, after: number): Day =>
  addDays(today(chance), chance.n(before + after) - before)
export const word = (chance: Chance): string => one(words, chance) ?? 'Oak'
export const episode = (chance: Chance): Id => idIn(chance.r.episodes, chance)
export const inPhase = (chance: Chance, ...names: Episode['phase']['kind'][]): Id =>
  one(
    [...chance.r.episodes.values()].filter((e) => names.includes(e.phase.kind)),
    chance,
  )?.id ?? episode(chance)
export const show = (chance: Chance): Id => idIn(chance.r.shows, chance)
export const recipe = (chance: Chance): Id => idIn(chance.r.recipes, chance)
export const step = (chance: Chance): Id => idIn(chance.r.steps, chance)
/** Any open work, derived steps among it. */
export const openStep = (chance: Chance): Id =>
  one(stateOf(chance.r, chance.c.now).open.tasks, chance)?.id ?? step(chance)
export const laid = (chance: Chance): { s: Step; b: Step['blocks'][number] } | undefined =>
  one(
    [...chance.r.steps.values()].flatMap((s) => s.blocks.map((b) => ({ s, b }))),
    chance,
  )
export const slotDay = (chance: Chance): Day => {
  const from = [...chance.r.shows.values()][0]?.rhythm.start ?? today(chance)
  return addDays(from, 7 * (chance.n(14) + 1))
}
export const picture = (id: Id): Picture => ({
  id,
  name: 'ribs.png',
  type: 'image/png',
  width: 1280,
  height: 720,
  size: 4,
})
export const chosenStage = (chance: Chance): Id =>
  one(
    [...chance.r.recipes.values()].flatMap((x) => x.stages),
    chance,
  )?.id ?? ''

export function scriptWish(chance: Chance, id: Id): ScriptWish {
  const { r, c, n } = chance
  const sections = r.scripts.get(id)?.sections ?? []
  const section = one(sections, chance)
  const cue = one(cuesIn(sections), chance)?.id
  const beat: Beat = {
    id: c.id(),
    delivery: n(2) ? 'camera' : 'voice',
    text: `${word(chance)} bend when they are warm. They hold.`,
    hold: 0,
    cues: [{ id: c.id(), kind: 'shot', text: 'the plane', got: false, from: 0, to: 3 }],
  }
  const edit = (after: Section[]): ScriptWish => ({ kind: 'edit', base: sections, sections: after })
  const wishes: ScriptWish[] = [
    edit([...sections, { id: c.id(), title: word(chance), beats: [beat] }]),
    edit(sections.map((s) => (s === section ? { ...s, beats: [...s.beats, beat] } : s))),
    edit(sections.map((s) => (s === section ? { ...s, title: word(chance), beats: s.beats.slice(1) } : s))),
    edit(sections.filter((s) => s !== section)),
    edit([...sections].reverse()),
    { kind: 'get cue', cue: cue ?? 'none', got: n(2) > 0 },
    { kind: 'dismiss', remark: `long ${n(3)}` },
    { kind: 'speak', spoken: n(2) ? 'points' : 'free' },
    { kind: 'last', seconds: n(900) },
  ]
  return wishes[n(wishes.length)] ?? edit([])
}
