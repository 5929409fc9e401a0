import type { Subject } from '../titles'
import type { HandBeat } from './read'

type Say = (s: Subject) => string

/**
 * What older episodes say, composed: each sentence names the thing and the tool, which no two subjects
 * share, and is used once an episode; so no sentence is said twice. Past tenses, as things may be many.
 */
const boat: Readonly<Record<string, readonly Say[]>> = {
  hook: [
    (s) => `I went down to the slip for ${s.thing} with ${s.tool} and came home three days later.`,
    (s) => `Everybody had advice on ${s.thing}, and none of it mentioned ${s.tool}.`,
  ],
  need: [
    (s) => `For ${s.thing} I put out ${s.material}, ${s.tool} and a lamp that I could move.`,
    (s) => `Without ${s.tool} I would have left ${s.thing} for another winter.`,
    (s) => `What came with ${s.thing} went into a bucket, and ${s.tool} stayed on the bench.`,
  ],
  making: [
    (s) => `I began with ${s.thing} at the worst end and kept ${s.tool} for the best.`,
    (s) => `Where ${s.tool} went in, ${s.thing} showed what lay under the paint.`,
    (s) => `I worked on ${s.thing} in short turns, because ${s.tool} and tired arms had never got on.`,
    (s) => `Halfway through ${s.thing} I put down ${s.tool} and drew the line again.`,
    (s) => `With ${s.tool} in the left hand, ${s.thing} came out truer than with the right.`,
    (s) => `By evening ${s.thing} lay as I had wanted, and ${s.tool} lay beside it, still warm.`,
  ],
  wrong: [
    (s) => `I hurried ${s.thing} on the second night, and ${s.tool} told on me in the morning.`,
    (s) => `The first try at ${s.thing} is still in the shed, hung above ${s.tool} as a warning.`,
    (s) => `Next time I would meet ${s.thing} earlier in the year and treat ${s.tool} better.`,
  ],
  cost: [(s) => `I bought the ${bare(s.material)} for ${s.thing} and borrowed all else, ${s.tool} included.`],
  signoff: [
    (s) => `If you did ${s.thing} some other way than with ${s.tool}, write and tell me.`,
    (s) => `That was ${s.thing}, and I have put ${s.tool} back where it belonged.`,
  ],
}

const talk: Readonly<Record<string, readonly Say[]>> = {
  opening: [
    (s) => `We met before light beside ${s.thing}, with ${s.tool} on the table and a kettle going.`,
    (s) => `Hardly anyone still knew ${s.thing} as well, or could explain ${s.tool} so shortly.`,
  ],
  work: [
    (s) => `What did you learn first about ${s.thing}: to look, or to hold ${s.tool}?`,
    (s) => `How did a morning at ${s.thing} begin, and when did ${s.tool} come out?`,
    (s) => `Was it ${s.material} that made ${s.thing} hard, or the hours with ${s.tool}?`,
  ],
  story: [
    (s) => `Tell us about the night when ${s.thing} went wrong and ${s.tool} was all you had.`,
    (s) => `Who else saw ${s.thing} that night, and did they believe you about ${s.tool}?`,
  ],
  questions: [
    (s) => `A listener asked what a beginner at ${s.thing} should do with ${s.tool}.`,
    (s) => `Would you give ${s.tool} away if ${s.thing} closed for good?`,
    (s) => `What did visitors to ${s.thing} always say when they saw ${s.tool}?`,
    (s) => `Which came to you in dreams, ${s.thing} or ${s.tool}?`,
    (s) => `Who will have ${s.tool}, and who will mind ${s.thing}, after you?`,
  ],
  close: [(s) => `We walked back from ${s.thing} in daylight, and ${s.tool} stayed behind on its nail.`],
}

const shots: readonly Say[] = [
  (s) => `${cap(s.thing)} from the door, before ${s.tool}`,
  (s) => `${cap(s.tool)} close, ${s.thing} behind`,
  (s) => `${cap(s.thing)} half done in low light, ${s.tool} at rest`,
  (s) => `Hands on ${s.thing}, ${s.tool} put down`,
  (s) => `${cap(s.thing)} finished, ${s.tool} on the bench`,
]

function cap(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

function bare(text: string): string {
  return text.replace(/^(the|a|an|two|one) /, '')
}

/** The beats of one section, composed for a subject. */
export function composed(kind: 'video' | 'audio', section: string, subject: Subject): HandBeat[] {
  const video = kind === 'video'
  return ((video ? boat : talk)[section] ?? []).map((say, i) => ({
    text: say(subject),
    delivery: video && i % 2 === 1 ? 'voice' : 'camera',
    hold: section === 'making' ? 25 : video ? 3 : 18,
    cues:
      video && section === 'making'
        ? shots.slice(i, i + 1).map((shot) => ({ kind: 'shot', text: shot(subject) }))
        : [],
  }))
}
