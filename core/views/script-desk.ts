import type { Day, Script, ScriptStand } from '../records'
import { remarksOn } from '../script/copy-edit'
import { scriptFigures, scriptWritten, type ScriptFigures } from '../script/timing'
import type { Card } from './card'

/** A script on the desk: how long it is, what it lacks, and when it is due. */
export interface DeskScript {
  card: Card
  figures: ScriptFigures
  /** What is missing in a few words: “2 beats unwritten”, “3 remarks”; empty where nothing is. */
  lacks: string
  due: Day | undefined
  late: number
}

const count = (n: number, one: string, many: string) => (n === 0 ? '' : `${n} ${n === 1 ? one : many}`)

function lacksOf(script: Script | undefined, figures: ScriptFigures, stand: ScriptStand): string {
  if (!script || (figures.words === 0 && figures.seconds === 0)) return 'not begun'
  const unwritten = count(figures.blank, 'beat unwritten', 'beats unwritten')
  const remarks = stand === 'writing' ? '' : count(remarksOn(script).length, 'remark', 'remarks')
  return [unwritten, remarks].filter((s) => s !== '').join(', ')
}

/** What was written last stands first; then what is due first. */
function inHandFirst(a: DeskScript, b: DeskScript): number {
  const [x, y] = [a.card.script?.updatedAt ?? '', b.card.script?.updatedAt ?? '']
  if (a.figures.words > 0 !== b.figures.words > 0) return a.figures.words > 0 ? -1 : 1
  if (a.figures.words > 0 && x !== y) return x > y ? -1 : 1
  return (a.due ?? '9') < (b.due ?? '9') ? -1 : 1
}

/**
 * The scripts of what is in work, by how far they are; the one in hand first. What is filmed already is off the desk, and
 * so is what is ready for long: it is what could be filmed next.
 */
export function scriptDesk(working: readonly Card[]): Record<ScriptStand, DeskScript[]> {
  const desk: Record<ScriptStand, DeskScript[]> = { writing: [], 'copy-edit': [], ready: [] }
  for (const card of working) {
    const { script, standing, episode, show } = card
    const film = standing.stages.find((s) => s.stage.kind === 'film')
    const writing = standing.stages.find((s) => s.stage.kind === 'script')
    if (episode.phase.kind !== 'work' || !writing || film?.lamp.state === 'lit') continue
    const figures = scriptFigures(script, show.pace)
    // A script of before there were stands is ready when its lamp is lit and it was said of none.
    const stand =
      script?.stand ?? (writing.lamp.state === 'lit' && scriptWritten(script) ? 'ready' : 'writing')
    const step = writing.steps.find((s) => s.left && s.due)
    desk[stand].push({
      card,
      figures,
      lacks: lacksOf(script, figures, stand),
      due: step?.due,
      late: writing.lamp.late ?? 0,
    })
  }
  for (const row of Object.values(desk)) row.sort(inHandFirst)
  return desk
}
