import type { Beat, CueKind, Recipe, Script } from '@core/records'
import { composed } from './texts/composed'
import { readScript, type HandBeat, type HandSection } from './texts/read'
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
  return Math.max(line.hold * 3, line.cues.length === 0 ? 0 : 8)
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
  stands: Written,
  got: 'all' | 'none' | number,
  at: string,
): Script {
  const hand = readScript(byHand[subject.title] ?? '')
  let cue = 0
  // What is told to others is done when the rest is; shots are got in their order.
  const isGot = (of: CueKind, n: number) =>
    got === 'all' || (typeof got === 'number' && n < got && of !== 'upload' && of !== 'edit')
  const section = (name: string, title: string, blank: boolean) => {
    const written = hand.get(name)
    const lines = blank ? [] : (written?.beats ?? composed(kind, name, subject))
    const beats = lines.map((line, i): Beat => {
      return {
        id: `${id}/${name}/${i + 1}`,
        delivery: line.delivery,
        text: line.text,
        hold: seen(kind, line),
        cues: line.cues.map((c) => ({ ...c, id: `${id}/cue${cue}`, got: isGot(c.kind, cue++) })),
      }
    })
    const none: Beat = { id: `${id}/${name}/1`, delivery: 'camera', text: '', hold: 0, cues: [] }
    const serves = written?.serves ?? []
    return {
      id: `${id}/${name}`,
      title,
      beats: beats.length > 0 ? beats : [none],
      ...(serves.length > 0 ? { serves } : {}),
    }
  }
  const { outline } = recipe
  const sections = outline.map((o, i) =>
    section(
      o.id,
      o.title,
      stands.sections === 'none' || (stands.sections === 'but' && i >= outline.length - stands.last),
    ),
  )
  const costs: HandSection | undefined = hand.get('cost')
  if (stands.sections === 'all' && kind === 'video' && (hand.size > 0 ? costs : costly.has(subject.topic)))
    sections.splice(-1, 0, section('cost', 'What it costs', false))
  const stand = stands.sections === 'all' ? { stand: 'ready' as const } : {}
  const shot = { place: 'Bench', framing: 'wide', light: 'lamp' }
  const toCamera = kind === 'video' ? { toCamera: { got: got === 'all', shot } } : {}
  return { id, sections, ...toCamera, ...stand, createdAt: at, updatedAt: at }
}
