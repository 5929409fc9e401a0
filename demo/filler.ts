import type { Beat, Recipe, Script } from '@core/records'
import type { Chance } from './chance'
import type { Subject } from './titles'

type Say = (s: Subject) => string

const boat: Record<string, Say[]> = {
  hook: [
    (s) => `This is ${s.thing}, and an hour ago I was sure I had ruined it.`,
    (s) => `Everyone told me to buy it new. Here is what happened when I made it from ${s.material} instead.`,
    (s) => `If you own ${s.tool}, you can do this. If you don't, you will want one by the end.`,
    (s) => `Three people wrote to ask the same thing about ${s.thing}. They were right to ask.`,
    () => `I have done this wrong twice, so you only have to do it once.`,
    (s) => `Look at ${s.thing} in this light. Then look at it again when I turn the lamp.`,
  ],
  need: [
    (s) => `You need ${s.material}, more than you think, and ${s.tool} with an edge you trust.`,
    () => `Bring a pencil, a lamp you can move, and somewhere to sit that is not the boat.`,
    (s) => `The dear part is ${s.material}. I paid for it by not buying a second anything.`,
    (s) => `${cap(s.tool)} does nine tenths of the work. The last tenth is your thumb.`,
    () => `Clear the bench first. It takes four minutes and it saves the afternoon.`,
    (s) =>
      `If ${s.material} is out of reach where you live, ask at the yard for offcuts and be polite about it.`,
    () => `None of this is special, and most of mine came out of other people's skips.`,
  ],
  making: [
    (s) => `Start where ${s.thing} is worst, because the rest will be measured against it.`,
    (s) => `I go slowly here. With ${s.material} the first pass decides how the last one looks.`,
    (s) => `Watch ${s.tool} and not my hands. It tells you when to stop a moment before you know.`,
    () => `Mark both sides. Then mark them again from the middle, and see how far out you were.`,
    (s) => `There is a sound ${s.material} makes when it is about to give up. You will hear it in a second.`,
    (s) => `Now ${s.thing} sits where it should, more or less, and more or less is what a river asks for.`,
    () => `I wet it, I wait, and I do something else with my hands so that I really do wait.`,
    (s) => `Two strokes with ${s.tool}, then look along it. Two more, then look again.`,
    () => `The light from the door is enough to see a hair of difference. Close the lamp and use it.`,
    (s) => `If ${s.thing} fights you, it is telling you the shape it wants. Listen to that once, not twice.`,
    () => `Here I changed my mind, and the old marks are still there to prove it.`,
    (s) => `That curl came off in one piece, which is how I know ${s.material} was ready.`,
    () => `Leave it a little proud. You can always take more, and you can never put it back.`,
    () => `Step away, make tea, come back. It will look worse, and then you will see why.`,
  ],
  wrong: [
    (s) => `I hurried ${s.thing} on the second evening, and it cost me the third.`,
    (s) => `My mistake was trusting ${s.tool} more than the line I had drawn.`,
    (s) => `The board of ${s.material} I liked best was the wrong one. It had a twist I didn't want to see.`,
    () => `I measured from the edge that moves. Measure from the one that doesn't.`,
    () => `It held for a day. Then the tide went out, and so did my good mood.`,
    () => `If I did it again I would do less, sooner, and with the door shut.`,
  ],
  signoff: [
    (s) => `Tell me how you would have done ${s.thing}. I read all of it, mostly at low water.`,
    () => `Next Thursday there is a worse one. Bring a coat.`,
    (s) => `If you know a better way with ${s.material}, I would rather hear it than be right.`,
    () => `That's it. Sweep up, put the stone away, go home.`,
  ],
}

const talk: Record<string, Say[]> = {
  opening: [
    (s) => `Before it got light I met someone who knows ${s.thing} better than the map does.`,
    (s) => `We sat with ${s.tool} on the table between us, and the kettle talked first.`,
    () => `You will hear a gull. We tried to move it on, and it had more patience than we did.`,
  ],
  work: [
    (s) => `What is the first thing you look at when you come down to ${s.thing}?`,
    (s) => `How long before ${s.material} stopped frightening you?`,
    (s) => `Show me with your hands what ${s.tool} does, and I will say it out loud for them.`,
    () => `What does a bad day weigh, next to a good one?`,
    () => `Who taught you, and what did they get wrong?`,
  ],
  story: [
    (s) => `Tell me about the night with ${s.thing}. Everyone on the quay says to ask.`,
    () => `At what moment did you know it would be all right?`,
    (s) => `And what did ${s.material} look like in the morning?`,
    () => `Did you tell them at home, or did the river tell them first?`,
  ],
  questions: [
    (s) => `A listener asks whether a beginner can touch ${s.tool}.`,
    () => `Somebody wants to know what you eat out there. So do I.`,
    (s) => `Is ${s.thing} the same as it was, or do we only say so?`,
    () => `What should a visitor never say to you?`,
  ],
  close: [
    (s) => `I'll remember ${s.tool}, and that you never looked at it once.`,
    () => `In two weeks we go upriver. Thank you for walking slowly with me.`,
    () => `If you have someone like this on your quay, write to me.`,
  ],
}

function cap(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/**
 * A script of about so many words for the large world, which is for trying out scale: shuffled from a bank,
 * not to be read.
 */
export function fillerScript(
  id: string,
  subject: Subject,
  recipe: Recipe,
  kind: 'video' | 'audio',
  chance: Chance,
  words: number,
  at: string,
): Script {
  const bank = kind === 'video' ? boat : talk
  const share: Record<string, number> = {
    hook: 0.06,
    need: 0.14,
    making: 0.5,
    wrong: 0.2,
    signoff: 0.1,
    opening: 0.15,
    work: 0.3,
    story: 0.25,
    questions: 0.2,
    close: 0.1,
  }
  const used = new Set<string>()
  const sections = recipe.outline.map((section) => {
    const beats: Beat[] = []
    let left = words * (share[section.id] ?? 0.15)
    while (left > 0) {
      const lines = Array.from({ length: chance.between(2, 3) }, () =>
        fresh(bank[section.id] ?? boat['making'] ?? [], subject, chance, used),
      )
      const text = lines.join(' ')
      left -= text.split(' ').length
      beats.push({
        id: `${id}/${section.id}/${beats.length + 1}`,
        delivery: kind === 'audio' || chance.next() < 0.55 ? 'camera' : 'voice',
        text,
        hold: 0,
        cues: [],
      })
    }
    return { id: `${id}/${section.id}`, title: section.title, beats }
  })
  return { id, sections, createdAt: at, updatedAt: at }
}

const joints: readonly Say[] = [
  () => 'That is the whole of it.',
  (s) => `I still have the first try, and it hangs above ${s.tool}.`,
  () => 'Take your time there.',
  () => 'It is slower than it looks.',
  (s) => `Nobody looks at ${s.thing} until the day it matters.`,
  () => 'My neighbour disagrees, and she has the better boat.',
  (s) => `You can smell when ${s.material} has had enough.`,
  () => 'Wind from the west, so the door stays shut.',
  () => 'I counted, and it was eleven tries.',
  (s) => `Then put ${s.tool} down and look.`,
]

/** A sentence of the bank not used in this script yet, or where all were, one joined to a remark. */
function fresh(bank: readonly Say[], subject: Subject, chance: Chance, used: Set<string>): string {
  for (let tries = 0; tries < 8; tries++) {
    const text = chance.pick(bank)(subject)
    if (!used.has(text)) {
      used.add(text)
      return text
    }
  }
  return chance.pick(joints)(subject)
}
