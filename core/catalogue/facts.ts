import { ascending } from 'd3-array'
import type { Day, Episode, Fact, Id, Script } from '../records'
import { addDays } from '../rhythm/days'

/** Days after which something that may change is looked at again, where nothing else is said. */
export const usualDays = 365

/** The facts of an episode, the first to be looked at first. */
export function factsOf({ facts = [] }: Pick<Episode, 'facts'>): Fact[] {
  return [...facts].sort((a, b) => ascending(a.on, b.on))
}

/** What is to be looked at by a day. */
export function outdated(episode: Pick<Episode, 'facts'>, today: Day): Fact[] {
  return factsOf(episode).filter((f) => f.on <= today)
}

/** Whether anything in an episode is to be looked at by a day. */
export function isOutdated({ facts }: Pick<Episode, 'facts'>, today: Day): boolean {
  return facts?.some((f) => f.on <= today) === true
}

/** When a fact is looked at again if nothing else is said: a year after it goes out, or from today. */
export function usualDay(release: Day | undefined, today: Day): Day {
  return addDays(release !== undefined && release > today ? release : today, usualDays)
}

/** The day in a year, on which what is still true is looked at the next time. */
export function nextLook(today: Day): Day {
  return addDays(today, usualDays)
}

/** The words that a fact is noted by: those that are selected, else the sentence at the caret. */
export function factWords(text: string, from: number, to: number): string {
  const chosen = text.slice(from, to).trim()
  if (chosen !== '') return shortened(chosen)
  const ends = [...text.matchAll(sentenceEnd)].map((m) => m.index)
  const before = ends.findLast((end) => end < from) ?? -1
  const after = ends.find((end) => end >= from) ?? text.length
  return shortened(text.slice(before + 1, after).trim())
}

/** Where a sentence ends; a point within a number or a word is none. */
const sentenceEnd = /[.!?…](?=\s|$)|\n/g

const most = 300
const shortened = (text: string) => (text.length > most ? `${text.slice(0, most - 1).trimEnd()}…` : text)

/** The beat in which a fact is said, where its script still has it. */
export function beatOf(script: Script | undefined, fact: Fact): Id | undefined {
  return script?.sections.flatMap((s) => s.beats).find((b) => b.id === fact.beat)?.id
}
