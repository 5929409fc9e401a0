import type { Result } from '../result'
import type { Outcome } from './change'

import type { Chance, Deed } from './random/chance'
import { catalogueDeeds } from './random/catalogue'
import { cutDeeds } from './random/cuts'
import { episodeDeeds } from './random/episode'
import { figureDeeds } from './random/figures'
import { ideasDeeds } from './random/ideas'
import { jobDeeds } from './random/jobs'
import { pastDeeds } from './random/past'
import { peopleDeeds } from './random/people'
import { pictureDeeds } from './random/pictures'
import { releaseDeeds } from './random/release'
import { scheduleDeeds } from './random/schedule'
import { recipesDeeds } from './random/recipes'
import { scriptDeeds } from './random/scripts'
import { sessionDeeds } from './random/sessions'
import { showsDeeds } from './random/shows'
import { spinOffDeeds } from './random/spin-offs'
import { workDeeds } from './random/work'

/**
 * One way or more to wish for each command, at random; refusals are part of it. Test support: every command
 * of `core/commands` has a row.
 */
export const randomDeeds = {
  ...catalogueDeeds,
  ...cutDeeds,
  ...episodeDeeds,
  ...figureDeeds,
  ...ideasDeeds,
  ...jobDeeds,
  ...pastDeeds,
  ...peopleDeeds,
  ...pictureDeeds,
  ...releaseDeeds,
  ...scheduleDeeds,
  ...recipesDeeds,
  ...scriptDeeds,
  ...sessionDeeds,
  ...showsDeeds,
  ...spinOffDeeds,
  ...workDeeds,
} satisfies Record<string, Deed>

export type CommandName = keyof typeof randomDeeds
export const commandNames: readonly string[] = Object.keys(randomDeeds)

/** Does one command's deed by name. Throws on a name that none has. */
export function doDeed(name: string, chance: Chance): Result<Outcome> {
  const all: Readonly<Record<string, Deed>> = randomDeeds
  const deed = all[name]
  if (!deed) throw new Error(`No random deed for ${name}`)
  return deed(chance)
}
