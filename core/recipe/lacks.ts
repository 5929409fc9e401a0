import type { Day, Id } from '../records'
import { unlicensedClips } from '../edit/clips'
import { readChecks, readStandsAt, type ReadOf } from '../partners/read-checks'
import { episodeDescription } from '../release/parts'
import { lacksLicence, numberedCues } from '../script/cues'
import { sayMaterial } from './materials'
import type { StageState, StandingOf } from './progress'

/** Required items of a stage's checklists that are not ticked. */
export function openItems({ episode, recipe }: StandingOf, stage: Id): StageState['items'] {
  return (recipe.checklists ?? [])
    .filter((list) => list.stage === stage)
    .flatMap((list) =>
      list.items
        .filter((i) => i.required === true && !(episode.ticked ?? []).includes(i.id))
        .map(({ id, text }) => ({ kind: 'item' as const, id, text, list: list.name })),
    )
}

/** Materials that filming can't do without and that are not here. */
export function openMaterials({ episode, today }: StandingOf): StageState['items'] {
  return (episode.materials ?? []).flatMap((m) =>
    m.required && m.stand !== 'here'
      ? [{ kind: 'material' as const, id: m.id, text: m.what, list: sayMaterial(m, today) }]
      : [],
  )
}

/** Things of others' that the script or the cut uses without a licence being noted: nothing goes out with them. */
export function openLicences({ script, episode }: StandingOf): StageState['items'] {
  const cues = numberedCues(script).flatMap(({ cue }) => (lacksLicence(cue) ? [cue] : []))
  return [...cues, ...unlicensedClips(episode)].map(({ id, text }) => ({
    kind: 'licence' as const,
    id,
    text: `Licence of “${text}”`,
    list: 'not noted',
  }))
}

/**
 * What of a sponsor's read is not as it was agreed, before it goes out with it: that it is not there, or each thing that it lacks.
 */
export function openRead(of: StandingOf, day: Day | undefined): StageState['items'] {
  const { deal, episode, show, script, today } = of
  if (!deal || episode.phase.kind === 'released') return []
  const note = deal.noted[episode.id] ?? {}
  const read: ReadOf = {
    ...{ deal, episode, script, day, today, note, pace: show.pace, description: episodeDescription(of) },
  }
  const item = (id: string, text: string, list: string) => [{ kind: 'read' as const, id, text, list }]
  if (!readStandsAt(read)) return item('read', `The read for ${deal.sponsor}`, 'not written')
  return readChecks(read).flatMap((c) =>
    c.decides && c.state !== 'passes' ? item(c.id, `${deal.sponsor}: ${c.asked}`, c.says) : [],
  )
}

/** Which thing an item is, under the name that its kind has for it. */
export function itemNamed(kind: StageState['items'][number]['kind'], id: Id) {
  switch (kind) {
    case 'item':
      return { kind, item: id }
    case 'licence':
      return { kind, cue: id }
    case 'material':
      return { kind, material: id }
    case 'read':
      return { kind, check: id }
  }
}
