import { z } from 'zod/mini'
import { Section, type Cue, type Id, type Records, type Script, type Spoken } from '../../records'
import { same } from '../../records/same'
import { type Result, ok, refused } from '../../result'
import { cameraId } from '../../script/to-camera'
import { type Command, type Context, type Outcome, momentOf, putRecord } from '../change'
import { merge3 } from '../rebase'

/** What people do to a script. */
export type ScriptWish =
  /**
   * Writes the document as it stands in the editor: what was altered against `base`, the sections from which the editor
   * began, upon what stands by now.
   */
  | { kind: 'edit'; base: readonly Section[]; sections: Section[] }
  /** Ticks a cue where what it asks for was got, or takes the tick back. */
  | { kind: 'get cue'; cue: Id; got: boolean }
  /** How the whole is spoken. */
  | { kind: 'speak'; spoken: Spoken }
  /** How long the whole lasts where it is spoken freely, seconds. */
  | { kind: 'last'; seconds: number | undefined }
  /** Dismisses a remark of the copy-edit for good, by its key. */
  | { kind: 'dismiss'; remark: string }

/**
 * Changes an episode's script by one wish; an episode without a script gets one.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “This cue is no longer there; another change has taken it away.”
 */
export const writeScript: Command<{ episode: Id; wish: ScriptWish }> = (
  records,
  { episode, wish },
  context,
) => {
  if (!records.episodes.has(episode)) return refused('This episode is no longer there.', 'scripts')
  const at = momentOf(context)
  const script = records.scripts.get(episode) ?? { id: episode, sections: [], createdAt: at, updatedAt: at }
  const after = changed(script, wish)
  if (!after)
    return refused('This cue is no longer there; another change has taken it away.', 'scripts.sections')
  return written(records, script, after, wish, context)
}

function changed(script: Script, wish: ScriptWish): Script | undefined {
  switch (wish.kind) {
    case 'edit':
      return { ...script, sections: rewritten(wish, script.sections) }
    case 'get cue':
      return ticked(script, wish.cue, wish.got)
    case 'speak':
      return { ...script, spoken: wish.spoken }
    case 'last':
      return { ...script, lasts: wish.seconds }
    case 'dismiss':
      return { ...script, dismissed: [...new Set([...(script.dismissed ?? []), wish.remark])] }
  }
}

function rewritten(
  { base, sections }: Extract<ScriptWish, { kind: 'edit' }>,
  stands: readonly Section[],
): Section[] {
  if (same(base, stands)) return sections
  const both = z.array(Section).safeParse(merge3(base, sections, stands))
  return both.success ? eachOnce(both.data) : sections
}

/** What two tabs moved to different places stands at the first of them. */
function eachOnce(sections: readonly Section[]): Section[] {
  const seen = new Set<Id>()
  const isFirst = ({ id }: { id: Id }) => !seen.has(id) && seen.add(id).has(id)
  return sections.filter(isFirst).map((s) => ({ ...s, beats: s.beats.filter(isFirst) }))
}

/** Every cue of a script with what it stands beside, in order. */
export function cuesIn(sections: readonly Section[]): Cue[] {
  return sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
}

function ticked(script: Script, id: Id, got: boolean): Script | undefined {
  if (id === cameraId(script.id)) return { ...script, toCamera: { ...script.toCamera, got } }
  if (!cuesIn(script.sections).some((c) => c.id === id)) return undefined
  const sections = script.sections.map((section) =>
    section.beats.some((b) => b.cues.some((c) => c.id === id))
      ? {
          ...section,
          beats: section.beats.map((b) => ({
            ...b,
            cues: b.cues.map((c) => (c.id === id ? { ...c, got } : c)),
          })),
        }
      : section,
  )
  return { ...script, sections }
}

function written(
  records: Records,
  before: Script,
  after: Script,
  wish: ScriptWish,
  context: Context,
): Result<Outcome> {
  const touched =
    wish.kind === 'edit'
      ? after.sections.filter((s) => !before.sections.includes(s) && isOther(s, before))
      : []
  const merge =
    wish.kind === 'edit'
      ? `script ${after.id} ${touched.length === 1 ? (touched[0]?.id ?? '') : ''}`
      : wish.kind === 'last'
        ? `lasts ${after.id}`
        : undefined
  return ok({
    changes: [putRecord(records, 'scripts', { ...after, updatedAt: momentOf(context) })],
    sentence: sentence(wish, before, after, touched),
    about: [after.id],
    ...(merge === undefined ? {} : { merge }),
  })
}

const isOther = (section: Section, { sections }: Script) =>
  !same(
    section,
    sections.find((s) => s.id === section.id),
  )

function sentence(wish: ScriptWish, before: Script, after: Script, touched: readonly Section[]): string {
  switch (wish.kind) {
    case 'edit': {
      const gone = before.sections.filter((s) => !after.sections.some((x) => x.id === s.id))
      const [first] = touched
      if (gone.length === 1 && touched.length === 0) return `Removed the section “${gone[0]?.title ?? ''}”`
      if (touched.length === 1 && first && gone.length === 0) return `Wrote in “${first.title}”`
      return touched.length + gone.length === 0 ? 'Moved sections of the script' : 'Wrote in the script'
    }
    case 'get cue':
      return wish.got ? 'Ticked a cue' : 'Took back the tick of a cue'
    case 'dismiss':
      return 'Dismissed a remark on the script'
    case 'speak':
    case 'last':
      return 'Changed how the script is spoken'
  }
}
