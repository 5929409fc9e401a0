import type { Beat, Recipe, Script } from '@core/records'
import { composed } from './texts/composed'
import { readScript, type HandBeat } from './texts/read'
import { releasedTexts } from './texts/released'
import { talkTexts } from './texts/talks'
import { workTexts } from './texts/work'
import type { Subject } from './titles'

/** How much of a script is there: all, all but the last `n` sections, or nothing. */
export type Written = { sections: 'all' } | { sections: 'but'; last: number } | { sections: 'none' }

/** Topics on which an episode also says what it costs. */
const costly = new Set(['Fastenings', 'Finish', 'Planking'])

const byHand: Readonly<Record<string, string>> = { ...workTexts, ...releasedTexts, ...talkTexts }

/** Seconds without words: the work is filmed for longer than it is spoken of, and who is asked answers. */
function seen(kind: 'video' | 'audio', line: HandBeat): number {
  if (kind === 'audio') return Math.max(line.hold, 12)
  return Math.max(line.hold * 3, line.shot === undefined ? 0 : 8)
}

/**
 * The script of a subject in its recipe's sections: written by hand where there is one, else composed of
 * what is said of its thing and tool; so many of its shots got.
 */
export function scriptFor(
  id: string,
  subject: Subject,
  recipe: Recipe,
  kind: 'video' | 'audio',
  written: Written,
  got: 'all' | 'none' | number,
  at: string,
): Script {
  const hand = readScript(byHand[subject.title] ?? '')
  let cue = 0
  const section = (name: string, title: string, blank: boolean) => {
    const lines = blank ? [] : (hand.get(name) ?? composed(kind, name, subject))
    const beats = lines.map((line, i): Beat => {
      const isGot = got === 'all' || (typeof got === 'number' && cue < got)
      return {
        id: `${id}/${name}/${i + 1}`,
        delivery: line.delivery,
        text: line.text,
        hold: seen(kind, line),
        cues:
          line.shot === undefined
            ? []
            : [{ id: `${id}/cue${cue++}`, kind: 'shot', text: line.shot, got: isGot }],
      }
    })
    const none: Beat = { id: `${id}/${name}/1`, delivery: 'camera', text: '', hold: 0, cues: [] }
    return { id: `${id}/${name}`, title, beats: beats.length > 0 ? beats : [none] }
  }
  const { outline } = recipe
  const sections = outline.map((o, i) =>
    section(
      o.id,
      o.title,
      written.sections === 'none' || (written.sections === 'but' && i >= outline.length - written.last),
    ),
  )
  const costs: readonly HandBeat[] | undefined = hand.get('cost')
  if (written.sections === 'all' && kind === 'video' && (hand.size > 0 ? costs : costly.has(subject.topic)))
    sections.splice(-1, 0, section('cost', 'What it costs', false))
  return { id, sections, createdAt: at, updatedAt: at }
}
