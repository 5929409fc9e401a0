import type { Episode, Outlet, SpinOff, Step } from '../records'
import { partsAt, type PartAt } from './part-at'
import type { PartSources } from './parts'
import { hasWords, isSpinDone, isSpinOut, spinWork } from './spin-offs'

/** What a spin-off is told by: its episode with its steps. */
export type SpinSources = PartSources & { steps: readonly Step[] }

/**
 * An episode as something made of it says it: with that one's title and words, and a description of nothing else. All that is handed over
 * of it is made from this.
 */
export function inItsWords<Of extends PartSources>(of: Of, spin: SpinOff): Of {
  return {
    ...of,
    recipe: { ...of.recipe, pattern: '{description}' },
    episode: wordsOf(of.episode, spin),
  }
}

function wordsOf(episode: Episode, spin: SpinOff): Episode {
  const title = spin.title.trim()
  return {
    ...episode,
    title: title || episode.title,
    titles: title === '' ? [] : [{ id: spin.id, text: title }],
    chosenTitle: spin.id,
    brief: { ...episode.brief, description: spin.text },
    otherwise: {},
  }
}

/** Whether a spin-off is made: its steps are done, by a tick or by its words. */
function isMade({ episode, steps }: SpinSources, spin: SpinOff): boolean {
  return steps
    .filter((s) => s.spin === spin.id)
    .every((s) => s.doneAt !== undefined || isSpinDone(episode, s))
}

/**
 * The fields of an outlet for something made of an episode: its own title and words, the rest the episode's; and that it is cut, where it
 * has to be.
 */
export function spinParts(outlet: Outlet, of: SpinSources, spin: SpinOff): PartAt[] {
  const mend = { label: 'Write it', stage: 'release' as const, focus: `spin-${spin.id}` }
  const parts = partsAt(outlet, inItsWords(of, spin)).map((part) =>
    part.field === 'title' || part.field === 'description' ? { ...part, mend } : part,
  )
  if (spinWork[spin.kind].isWritten) return parts
  const made = isMade(of, spin)
  const cut: PartAt = {
    ...{ field: 'length', name: 'File', isRequired: true, text: '', mend },
    state: made ? 'there' : 'missing',
    says: made ? 'cut' : 'not cut yet',
  }
  return [...parts.filter((p) => p.field !== 'length'), cut]
}

/** How far something made of an episode is. */
export type SpinState = 'off' | 'to make' | 'begun' | 'ready' | 'out'

/**
 * How far a spin-off is: off; out; ready when it is made and all that its outlet requires passes; begun when some of it is there.
 */
export function spinState(of: SpinSources, spin: SpinOff): SpinState {
  const { episode, steps, outlets } = of
  if (spin.off === true) return 'off'
  if (isSpinOut(episode, spin)) return 'out'
  const outlet = outlets.find((o) => o.id === spin.outlet)
  const passes = !outlet || spinParts(outlet, of, spin).every((p) => !p.isRequired || p.state === 'there')
  if (isMade(of, spin) && hasWords(spin) && passes) return 'ready'
  const isBegun = steps.some((s) => s.spin === spin.id && (s.logged > 0 || s.doneAt !== undefined))
  return hasWords(spin) || spin.title.trim() !== '' || isBegun ? 'begun' : 'to make'
}

/** What of a spin-off its outlet refuses, in words; nothing where it refuses nothing. */
export function spinFault(of: SpinSources, spin: SpinOff): string | undefined {
  const outlet = of.outlets.find((o) => o.id === spin.outlet)
  const own = (p: PartAt) => p.field === 'title' || p.field === 'description'
  const fault = outlet && spinParts(outlet, of, spin).find((p) => own(p) && p.state === 'failing')
  return fault && `${fault.name.toLowerCase()}: ${fault.says}`
}
