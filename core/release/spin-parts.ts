import type { Episode, Outlet, SpinOff } from '../records'
import { partsAt, type PartAt } from './part-at'
import type { PartSources } from './parts'

/** An episode whose words are those of something made of it. */
function inItsWords(episode: Episode, spin: SpinOff): Episode {
  const title = spin.title.trim()
  return {
    ...episode,
    titles: title === '' ? [] : [{ id: spin.id, text: title }],
    chosenTitle: spin.id,
    brief: { ...episode.brief, description: spin.text },
    otherwise: {},
  }
}

/** The fields of an outlet for something made of an episode: its own title and words, the rest the episode's. */
export function spinParts(outlet: Outlet, of: PartSources, spin: SpinOff): PartAt[] {
  const recipe = { ...of.recipe, pattern: '{description}' }
  const mend = { label: 'Write it', stage: 'release' as const, focus: `spin-${spin.id}` }
  return partsAt(outlet, { ...of, recipe, episode: inItsWords(of.episode, spin) }).map((part) =>
    part.field === 'title' || part.field === 'description' ? { ...part, mend } : part,
  )
}
