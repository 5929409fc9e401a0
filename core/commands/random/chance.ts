import { stateOf } from '../../plan/state'
import type { Day, Episode, Id, Picture, Records, Step } from '../../records'
import type { Result } from '../../result'
import { addDays } from '../../rhythm/days'
import type { Context, Outcome } from '../change'
import { todayOf } from '../step-of'
import { type ScriptWish } from '../episode/write-script'

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
  const beats = sections.flatMap((s) => s.beats)
  const beat = one(beats, chance)?.id ?? 'none'
  const section = one(sections, chance)?.id ?? 'none'
  const cue = one(
    beats.flatMap((b) => b.cues),
    chance,
  )?.id
  const wishes: ScriptWish[] = [
    { kind: 'write beat', beat, text: `${word(chance)} bend when they are warm. They hold.` },
    { kind: 'split beat', beat, at: n(20) },
    { kind: 'join beat', beat },
    { kind: 'add beat', section },
    { kind: 'deliver', beat, delivery: n(2) ? 'camera' : 'voice' },
    {
      kind: 'paste',
      beat,
      beats: [{ id: c.id(), delivery: 'voice', text: 'Pasted words.', hold: 0, cues: [] }],
    },
    { kind: 'move beat', beat, by: n(2) ? 1 : -1 },
    { kind: 'add cue', beat, text: 'the plane', cue: 'shot' },
    { kind: 'write cue', cue: cue ?? 'none', text: 'the adze' },
    { kind: 'remove cue', cue: cue ?? 'none' },
    { kind: 'get cue', cue: cue ?? 'none', got: n(2) > 0 },
    { kind: 'add section', title: word(chance) },
    { kind: 'name section', section, title: word(chance) },
    { kind: 'remove section', section },
    { kind: 'replace', sections: sections.slice(0, 1) },
    { kind: 'speak', section: n(2) ? section : undefined, spoken: n(2) ? 'points' : 'free' },
    { kind: 'last', section: n(2) ? section : undefined, seconds: n(900) },
  ]
  return wishes[n(wishes.length)] ?? { kind: 'add section', title: 'More' }
}
