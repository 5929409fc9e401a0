import type { Beat, Cue, Id, Records, Script, Section, Spoken } from '../../records'
import { type Result, ok, refused } from '../../result'
import { type Command, type Context, type Outcome, momentOf, putRecord } from '../change'

/** What people do to a script. Beats and cues are named by id. */
export type ScriptWish =
  | { kind: 'write beat'; beat: Id; text: string }
  | { kind: 'split beat'; beat: Id; at: number }
  | { kind: 'join beat'; beat: Id }
  | { kind: 'add beat'; section: Id }
  | { kind: 'deliver'; beat: Id; delivery: Beat['delivery'] }
  | { kind: 'paste'; beat: Id; beats: Beat[] }
  | { kind: 'move beat'; beat: Id; by: -1 | 1 }
  | { kind: 'add cue'; beat: Id; text: string; cue: Cue['kind'] }
  | { kind: 'write cue'; cue: Id; text: string }
  | { kind: 'remove cue'; cue: Id }
  | { kind: 'get cue'; cue: Id; got: boolean }
  | { kind: 'add section'; title: string }
  | { kind: 'name section'; section: Id; title: string }
  | { kind: 'remove section'; section: Id }
  | { kind: 'replace'; sections: Section[] }
  /** How a section is spoken, or the whole; undefined for as the whole is. */
  | { kind: 'speak'; section: Id | undefined; spoken: Spoken | undefined }
  /** How long a section, or the whole, lasts that is spoken freely, seconds. */
  | { kind: 'last'; section: Id | undefined; seconds: number | undefined }

/**
 * Changes an episode's script by one wish. Refused when what it names is no longer there.
 *
 * Refused:
 * - “This passage is no longer there; another change has taken it away.”
 * - “This episode has no script yet. Start it, and it gets the sections of its recipe.”
 */
export const writeScript: Command<{ episode: Id; wish: ScriptWish }> = (
  records,
  { episode, wish },
  context,
) => {
  const script = records.scripts.get(episode)
  if (!script) return begin(records, episode, wish, context)
  if ((wish.kind === 'speak' || wish.kind === 'last') && wish.section === undefined)
    return written(records, spoken(script, wish), script.sections, wish, context)
  const sections = changed(script.sections, wish, context)
  if (!sections)
    return refused('This passage is no longer there; another change has taken it away.', 'scripts.sections')
  return written(records, script, sections, wish, context)
}

function begin(records: Records, episode: Id, wish: ScriptWish, context: Context): Result<Outcome> {
  const at = momentOf(context)
  const blank: Script = { id: episode, sections: [], createdAt: at, updatedAt: at }
  if (
    (wish.kind === 'speak' || wish.kind === 'last') &&
    wish.section === undefined &&
    records.episodes.has(episode)
  )
    return written(records, spoken(blank, wish), [], wish, context)
  const sections = changed([], wish, context)
  if (!sections || !records.episodes.has(episode))
    return refused(
      'This episode has no script yet. Start it, and it gets the sections of its recipe.',
      'scripts',
    )
  return written(records, blank, sections, wish, context)
}

/** A script or section with another way of being spoken, or another length. */
function spoken<S extends Pick<Section, 'spoken' | 'lasts'>>(
  of: S,
  wish: Extract<ScriptWish, { kind: 'speak' | 'last' }>,
): S {
  return wish.kind === 'speak' ? { ...of, spoken: wish.spoken } : { ...of, lasts: wish.seconds }
}

function written(
  records: Records,
  script: Script,
  sections: Section[],
  wish: ScriptWish,
  context: Context,
): Result<Outcome> {
  const said = sentence(sections, script.sections, wish)
  return ok({
    changes: [putRecord(records, 'scripts', { ...script, sections, updatedAt: momentOf(context) })],
    sentence: said,
    about: [script.id],
    ...(wish.kind === 'write beat'
      ? { merge: `beat ${wish.beat}` }
      : wish.kind === 'write cue'
        ? { merge: `cue ${wish.cue}` }
        : wish.kind === 'name section'
          ? { merge: `section ${wish.section}` }
          : wish.kind === 'last'
            ? { merge: `lasts ${script.id} ${wish.section ?? ''}` }
            : {}),
  })
}

function beatAt(
  sections: readonly Section[],
  id: Id,
): { section: Section; index: number; beat: Beat } | undefined {
  for (const section of sections) {
    const index = section.beats.findIndex((b) => b.id === id)
    const beat = section.beats[index]
    if (beat) return { section, index, beat }
  }
  return undefined
}

function withBeats(sections: readonly Section[], section: Section, beats: Beat[]): Section[] {
  return sections.map((s) => (s.id === section.id ? { ...s, beats } : s))
}

function overCues(sections: readonly Section[], id: Id, to: (cue: Cue) => Cue[]): Section[] | undefined {
  if (!sections.some((s) => s.beats.some((b) => b.cues.some((c) => c.id === id)))) return undefined
  return sections.map((s) => ({
    ...s,
    beats: s.beats.map((b) =>
      b.cues.some((c) => c.id === id)
        ? { ...b, cues: b.cues.flatMap((c) => (c.id === id ? to(c) : [c])) }
        : b,
    ),
  }))
}

function changed(sections: readonly Section[], wish: ScriptWish, context: Context): Section[] | undefined {
  const blank = (delivery: Beat['delivery'], text = ''): Beat => ({
    id: context.id(),
    delivery,
    text,
    hold: 0,
    cues: [],
  })
  switch (wish.kind) {
    case 'replace':
      return wish.sections
    case 'add section':
      return [...sections, { id: context.id(), title: wish.title, beats: [blank('camera')] }]
    case 'name section':
      return sections.some((s) => s.id === wish.section)
        ? sections.map((s) => (s.id === wish.section ? { ...s, title: wish.title } : s))
        : undefined
    case 'remove section':
      return sections.filter((s) => s.id !== wish.section)
    case 'speak':
    case 'last':
      return sections.some((s) => s.id === wish.section)
        ? sections.map((s) => (s.id === wish.section ? spoken(s, wish) : s))
        : undefined
    case 'add beat': {
      const section = sections.find((s) => s.id === wish.section)
      return (
        section &&
        withBeats(sections, section, [...section.beats, blank(section.beats.at(-1)?.delivery ?? 'camera')])
      )
    }
    case 'write cue':
      return overCues(sections, wish.cue, (c) => [{ ...c, text: wish.text }])
    case 'remove cue':
      return overCues(sections, wish.cue, () => [])
    case 'get cue':
      return overCues(sections, wish.cue, (c) => [{ ...c, got: wish.got }])
    default:
      return overBeat(sections, wish, context, blank)
  }
}

function overBeat(
  sections: readonly Section[],
  wish: Extract<ScriptWish, { beat: Id }>,
  context: Context,
  blank: (delivery: Beat['delivery'], text?: string) => Beat,
): Section[] | undefined {
  const at = beatAt(sections, wish.beat)
  if (!at) return undefined
  const { section, index, beat } = at
  const instead = (...beats: Beat[]) =>
    withBeats(sections, section, section.beats.toSpliced(index, 1, ...beats))
  switch (wish.kind) {
    case 'write beat':
      return instead({ ...beat, text: wish.text })
    case 'deliver':
      return instead({ ...beat, delivery: wish.delivery })
    case 'paste':
      return instead(...(beat.text.trim() === '' ? [] : [beat]), ...wish.beats)
    case 'add cue':
      return instead({
        ...beat,
        cues: [...beat.cues, { id: context.id(), kind: wish.cue, text: wish.text.trim(), got: false }],
      })
    case 'split beat':
      return instead(
        { ...beat, text: beat.text.slice(0, wish.at).trimEnd() },
        blank(beat.delivery, beat.text.slice(wish.at).trimStart()),
      )
    case 'join beat': {
      const before = section.beats[index - 1]
      if (!before)
        return beat.text === '' && beat.cues.length === 0 && section.beats.length > 1
          ? withBeats(sections, section, section.beats.toSpliced(index, 1))
          : [...sections]
      const joined = {
        ...before,
        text: [before.text, beat.text].filter((t) => t !== '').join(' '),
        cues: [...before.cues, ...beat.cues],
      }
      return withBeats(sections, section, section.beats.toSpliced(index - 1, 2, joined))
    }
    case 'move beat': {
      const other = section.beats[index + wish.by]
      if (!other) return [...sections]
      return withBeats(
        sections,
        section,
        section.beats.map((b, i) => (i === index ? other : i === index + wish.by ? beat : b)),
      )
    }
  }
}

function sentence(after: readonly Section[], before: readonly Section[], wish: ScriptWish): string {
  switch (wish.kind) {
    case 'write beat':
      return `Wrote in “${beatAt(after, wish.beat)?.section.title ?? 'the script'}”`
    case 'paste':
      return `Pasted ${wish.beats.length} ${wish.beats.length === 1 ? 'beat' : 'beats'} into the script`
    case 'replace':
      return `Pasted a script of ${wish.sections.length} ${wish.sections.length === 1 ? 'section' : 'sections'}`
    case 'get cue':
      return wish.got ? 'Ticked a shot' : 'Took back the tick of a shot'
    case 'add cue':
      return `Noted the ${wish.cue === 'shot' ? 'shot' : wish.cue} “${wish.text.trim()}”`
    case 'add section':
      return `Added the section “${wish.title}”`
    case 'remove section':
      return `Removed the section “${before.find((s) => s.id === wish.section)?.title ?? ''}”`
    default:
      return 'Changed the script'
  }
}
