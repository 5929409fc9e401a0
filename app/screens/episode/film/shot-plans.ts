import type { Id, Records } from '@core/records'
import { cuesIn } from '@core/commands/episode'

/** What was said of shots before, by what is asked. */
export interface KnownPlans {
  place: string[]
  framing: string[]
  light: string[]
  clothes: string[]
}

/** What the scripts of a show have said of places, framings, light and clothes, each once. */
export function knownPlans(
  { scripts, episodes }: Pick<Records, 'scripts' | 'episodes'>,
  show: Id,
): KnownPlans {
  const found = {
    place: new Set<string>(),
    framing: new Set<string>(),
    light: new Set<string>(),
    clothes: new Set<string>(),
  }
  for (const script of scripts.values()) {
    if (episodes.get(script.id)?.show !== show) continue
    for (const { shot } of cuesIn(script.sections))
      for (const [name, set] of [
        ['place', found.place],
        ['framing', found.framing],
        ['light', found.light],
        ['clothes', found.clothes],
      ] as const)
        if (shot?.[name]) set.add(shot[name])
  }
  const listed = (set: ReadonlySet<string>) => [...set].sort()
  return {
    place: listed(found.place),
    framing: listed(found.framing),
    light: listed(found.light),
    clothes: listed(found.clothes),
  }
}

/** Minutes from one time of day to a later one, both `HH:MM`; 0 where it is not later. */
export function minutesBetween(from: string, to: string): number {
  const minutes = (time: string) => {
    const [h = 0, m = 0] = time.split(':').map(Number)
    return h * 60 + m
  }
  return Math.max(0, minutes(to) - minutes(from))
}
