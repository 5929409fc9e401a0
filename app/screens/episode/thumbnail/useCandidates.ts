import { computed, ref } from 'vue'
import { choosePicture, keepRunnerUp, refusePicture, removePicture } from '@core/commands/episode'
import { frameOf } from '@core/pictures/frame'
import type { Finding } from '@core/pictures/proof'
import type { Candidate, Id } from '@core/records'
import type { StageState } from '@core/recipe/progress'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useProof } from '@app/stores/proof'
import { letterOf } from './letters'

/** A candidate as it is shown: its letter, and what was found on it. */
export interface Tried {
  picture: Candidate
  letter: string
  /** Nothing until it is measured. */
  findings: Finding[] | undefined
  failing: Finding[]
  isChosen: boolean
  isRunnerUp: boolean
}

/** The pictures tried for an episode, which one is looked at, and what can be done with it. */
export function useCandidates(card: () => Card, here: () => StageState) {
  const library = useLibrary()
  const proof = useProof()
  const seen = ref<Id>()
  /** The one that is looked at as soon as it is there. */
  const next = ref<Id>()
  const frame = computed(() => frameOf(card().show))
  const all = computed((): Tried[] =>
    card().episode.pictures.map((picture) => {
      const findings = proof.findings(card(), picture)
      return {
        picture,
        letter: letterOf(card().episode, picture),
        findings,
        failing: (findings ?? []).filter((f) => f.state === 'fails'),
        isChosen: picture.id === card().episode.chosenPicture,
        isRunnerUp: picture.id === card().episode.runnerUp,
      }
    }),
  )
  const large = computed(
    () =>
      all.value.find((t) => t.picture.id === next.value) ??
      all.value.find((t) => t.picture.id === seen.value) ??
      all.value.find((t) => t.isChosen) ??
      all.value.find((t) => t.picture.refused === undefined) ??
      all.value[0],
  )
  const stamp = computed(() => {
    const { length } = card().episode.cut
    return frame.value.stamp && length !== undefined ? sayTime(length) : ''
  })
  const episode = () => card().episode.id
  function look(id: Id | undefined): void {
    seen.value = id
    next.value = undefined
  }
  return {
    all,
    large,
    frame,
    stamp,
    /** The step that choosing one ends. */
    ends: computed(() => here().steps.some((s) => s.left && s.step.part === 'thumbnail')),
    look,
    lookOnceThere: (id: Id) => {
      next.value = id
    },
    turn: (by: -1 | 1) => {
      const at = all.value.findIndex((t) => t === large.value)
      look((all.value[at + by] ?? all.value[at])?.picture.id)
    },
    choose: (picture: Id | undefined) =>
      library.perform(
        choosePicture,
        { episode: episode(), picture },
        picture === undefined ? 'quietly' : undefined,
      ),
    refuse: (picture: Id, reason: string | undefined) =>
      library.perform(refusePicture, { episode: episode(), picture, reason }, 'quietly'),
    keep: (picture: Id | undefined) =>
      library.perform(keepRunnerUp, { episode: episode(), picture }, 'quietly'),
    remove: (picture: Id) => library.perform(removePicture, { episode: episode(), picture }),
  }
}

export type Candidates = ReturnType<typeof useCandidates>
