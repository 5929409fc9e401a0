import type { Beat, Cue, CueKind, Script, Section, Take, UploadPlace } from '../records'

/** Each kind of cue as it is said: one of them, and the list of those who need it. */
export const cueKinds: Readonly<Record<CueKind, { name: string; list: string; done: string }>> = {
  shot: { name: 'to film', list: 'To film', done: 'filmed' },
  find: { name: 'to find', list: 'To find', done: 'found' },
  screen: { name: 'screen recording', list: 'Screen recordings', done: 'recorded' },
  graphic: { name: 'graphic', list: 'Graphics', done: 'made' },
  sound: { name: 'sound or music', list: 'Sound and music', done: 'found' },
  edit: { name: 'for the edit', list: 'For the edit', done: 'done' },
  upload: { name: 'for the upload', list: 'For the upload', done: 'done' },
}

/** Where a cue for the upload goes, as it is said. */
export const uploadPlaces: Readonly<Record<UploadPlace, string>> = {
  card: 'info card',
  'end screen': 'end screen',
  link: 'link',
  comment: 'first comment',
}

/** Cues that give something to look at. */
const pictures: ReadonlySet<CueKind> = new Set(['shot', 'find', 'screen', 'graphic'])

/** Whether something is shown while a beat is spoken, beside the one who speaks. */
export function isPictured(beat: Pick<Beat, 'cues'>): boolean {
  return beat.cues.some((c) => pictures.has(c.kind))
}

/** A cue where it stands: its number in the script, from 1, its beat and section, and the words it belongs to. */
export interface CueThere {
  number: number
  cue: Cue
  beat: Beat
  section: Section
  /** The words it is anchored to; the whole beat where it has none. */
  words: string
}

/** Where a cue stands in its beat: what has no words of its own comes last. */
const placeOf = (cue: Cue) => cue.from ?? Infinity

/** The cues of a beat in the order of its words. */
export function inOrder(cues: readonly Cue[]): Cue[] {
  return [...cues].sort((a, b) => (placeOf(a) === placeOf(b) ? 0 : placeOf(a) - placeOf(b)))
}

/** A script's cues, numbered as they are met. */
export function numberedCues(script: Pick<Script, 'sections'> | undefined): readonly CueThere[] {
  if (!script) return []
  const known = numbered.get(script.sections)
  if (known) return known
  const all = cuesIn(script)
  numbered.set(script.sections, all)
  return all
}
const numbered = new WeakMap<Script['sections'], CueThere[]>()

function cuesIn(script: Pick<Script, 'sections'>): CueThere[] {
  const all: CueThere[] = []
  for (const section of script.sections)
    for (const beat of section.beats)
      for (const cue of inOrder(beat.cues)) {
        const words = cue.from === undefined ? beat.text : beat.text.slice(cue.from, cue.to)
        all.push({ number: all.length + 1, cue, beat, section, words })
      }
  return all
}

/** Kinds whose things belong to others, so that a licence says whether they may be used. */
const borrowed: ReadonlySet<CueKind> = new Set(['find', 'sound'])

/** Whether a cue asks for something of another's, whose licence must be known. */
export function wantsLicence(cue: Cue): boolean {
  return borrowed.has(cue.kind)
}

/** Whether a licence is needed and none is noted: what was got, or has a source, without one. */
export function lacksLicence(cue: Cue): boolean {
  const isThere = cue.got || (cue.source ?? '').trim() !== ''
  return wantsLicence(cue) && isThere && (cue.licence ?? '').trim() === ''
}

/** The sources of a script's cues as credits, a line each, each once: “Tractor idling, by whom, licence”. */
export function creditsOf(script: Pick<Script, 'sections'> | undefined): string[] {
  const lines = numberedCues(script).flatMap(({ cue }) => {
    const parts = [cue.text, cue.source ?? '', cue.licence ?? ''].map((p) => p.trim())
    return wantsLicence(cue) && parts[1] !== '' ? [parts.filter((p) => p !== '').join(', ')] : []
  })
  return [...new Set(lines)]
}

/** The clip in which the take that was kept is, as far as that was typed; else nothing. */
export function clipOf({ takes }: { takes?: readonly Take[] | undefined }): string {
  return takes?.findLast((t) => t.kept)?.clip ?? ''
}
