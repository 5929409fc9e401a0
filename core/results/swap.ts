import type { Candidate, Episode } from '../records'
import { lastViews } from './at-age'
import { againstUsual } from './usual'

/** How long it must be out before its picture is judged by its figures, days. */
const wait = 2
/** After so many days the first days' listing is past, and a swap says little. */
const fresh = 60

/** A released episode that runs below its usual and has another picture at hand. */
export interface Swap {
  episode: Episode
  /** How it does, as a multiple of its usual. */
  times: number
  instead: Candidate
}

/**
 * The swaps that a show's figures speak for: out for two days and for no more than sixty, below its usual at the age of
 * its last figure, with a runner-up, and not swapped yet. `released` in the order of release; `now` in ms.
 */
export function swapsOf(released: readonly Episode[], now: number): Swap[] {
  const asked = new Map(
    released.flatMap((episode) => {
      const instead = insteadOf(episode, now)
      return instead ? [[episode.id, instead]] : []
    }),
  )
  if (asked.size === 0) return []
  const usual = againstUsual(released, { of: (episode) => asked.has(episode.id) })
  return released.flatMap((episode) => {
    const instead = asked.get(episode.id)
    const times = usual.get(episode.id)?.times
    return instead && times !== undefined && times < 1 ? [{ episode, times, instead }] : []
  })
}

/** The picture that an episode may have instead, while that is worth asking. */
function insteadOf(episode: Episode, now: number): Candidate | undefined {
  const { phase, runnerUp, swapped } = episode
  if (phase.kind !== 'released' || swapped !== undefined || runnerUp === undefined) return undefined
  const days = (now - Date.parse(phase.at)) / 86_400_000
  const isKnown = (lastViews(episode)?.age ?? 0) >= wait
  return isKnown && days >= wait && days <= fresh
    ? episode.pictures.find((p) => p.id === runnerUp && p.id !== episode.chosenPicture)
    : undefined
}
