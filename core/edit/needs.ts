import { ascending } from 'd3-array'
import type { CueKind, Script } from '../records'
import { cueKinds, lacksLicence, numberedCues, type CueThere } from '../script/cues'

/** One kind of thing that the edit needs: how much of it is there, what lacks first, and where that is got. */
export interface EditNeed {
  kind: CueKind
  name: string
  there: number
  of: number
  /** The first that is not there, and of which stage getting it is. */
  lacking: { cue: string; text: string; stage: 'film' | 'script' | 'edit' } | undefined
  /** How many are there without a licence that is needed. */
  unlicensed: number
}

/** Where things of a kind are got. */
const gotAt: Partial<Record<CueKind, 'film' | 'script' | 'edit'>> = {
  shot: 'film',
  find: 'edit',
  screen: 'film',
  graphic: 'edit',
  sound: 'edit',
}

/**
 * What the edit needs by the script's cues: shots, screen recordings, what is found, graphics, sound. Kinds of which the
 * script has none are left out; what lacks comes first.
 */
export function editNeeds(script: Script | undefined): EditNeed[] {
  const by = new Map<CueKind, CueThere[]>()
  for (const c of numberedCues(script)) by.set(c.cue.kind, [...(by.get(c.cue.kind) ?? []), c])
  return [...by]
    .flatMap(([kind, cues]): EditNeed[] => {
      const stage = gotAt[kind]
      if (!stage) return []
      const open = cues.filter((c) => !c.cue.got)
      const unlicensed = cues.filter((c) => lacksLicence(c.cue))
      const first = open[0] ?? unlicensed[0]
      return [
        {
          kind,
          name: cueKinds[kind].list,
          there: cues.length - open.length,
          of: cues.length,
          lacking: first && {
            cue: first.cue.id,
            text: first.cue.text,
            // A licence is written where the cue is.
            stage: open.length > 0 ? stage : 'script',
          },
          unlicensed: unlicensed.length,
        },
      ]
    })
    .sort((a, b) => ascending(a.lacking ? 0 : 1, b.lacking ? 0 : 1))
}
