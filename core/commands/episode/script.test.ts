import {
  after,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  refusalOf,
  valueOf,
} from '../../examples'
import type { Cue, Records, Section } from '../../records'
import { scriptWritten } from '../../script/timing'
import { takeSection } from './take-section'
import { cuesIn, writeScript, type ScriptWish } from './write-script'

const base: Records = {
  ...exampleRecords([exampleEpisode()]),
  scripts: new Map([['episode', exampleScript({ Hook: ['One two.', 'Three.'], Body: ['Four.'] })]]),
}
const context = exampleContext()
const act = (wish: ScriptWish, records = base) =>
  after(records, writeScript(records, { episode: 'episode', wish }, context))
const sectionsOf = (r: Records) => r.scripts.get('episode')?.sections ?? []
const texts = (r: Records) => sectionsOf(r).map((s) => s.beats.map((b) => b.text))
const began = sectionsOf(base)
/** The sections with one beat’s words changed. */
const withText = (sections: readonly Section[], beat: string, text: string): Section[] =>
  sections.map((s) => ({ ...s, beats: s.beats.map((b) => (b.id === beat ? { ...b, text } : b)) }))
const cue = (id: string, fields: Partial<Cue> = {}): Cue => ({
  id,
  kind: 'shot',
  text: 'Low',
  got: false,
  ...fields,
})

describe('the script', () => {
  test('is written as it stands in the editor; typing in one section is one step of undo', () => {
    const wish: ScriptWish = { kind: 'edit', base: began, sections: withText(began, 'Hook/0', 'New.') }
    expect(texts(act(wish))).toEqual([['New.', 'Three.'], ['Four.']])
    expect(valueOf(writeScript(base, { episode: 'episode', wish }, context))).toMatchObject({
      merge: 'script episode Hook',
      sentence: 'Wrote in “Hook”',
    })
  })

  test('what another tab wrote meanwhile in another beat stays, and so does what it added', () => {
    const theirs = act({ kind: 'edit', base: began, sections: withText(began, 'Body/0', 'Theirs.') })
    const mine: ScriptWish = { kind: 'edit', base: began, sections: withText(began, 'Hook/1', 'Mine.') }
    expect(texts(act(mine, theirs))).toEqual([['One two.', 'Mine.'], ['Theirs.']])
    const longer = act({
      kind: 'edit',
      base: began,
      sections: [...began, ...exampleScript({ End: ['Five.'] }).sections],
    })
    expect(texts(act(mine, longer))).toEqual([['One two.', 'Mine.'], ['Four.'], ['Five.']])
  })

  test('a beat that two tabs moved to different places stands once', () => {
    const [hook, body] = began
    const moved = hook?.beats[1]
    if (!hook || !body || !moved) throw new Error('no example')
    const end = { id: 'End', title: 'End', beats: [] }
    const from = [{ ...hook, beats: hook.beats.slice(0, 1) }]
    const three = act({ kind: 'edit', base: began, sections: [...began, end] })
    const stands = sectionsOf(three)
    const theirs = act(
      { kind: 'edit', base: stands, sections: [...from, body, { ...end, beats: [moved] }] },
      three,
    )
    const both = act(
      { kind: 'edit', base: stands, sections: [...from, { ...body, beats: [...body.beats, moved] }, end] },
      theirs,
    )
    expect(texts(both)).toEqual([['One two.'], ['Four.', 'Three.'], []])
  })

  test('a cue is ticked where it stands; one that is gone is refused', () => {
    const noted = act({
      kind: 'edit',
      base: began,
      sections: began.map((s) => ({
        ...s,
        beats: s.beats.map((b) => (b.id === 'Hook/0' ? { ...b, cues: [cue('c', { from: 0, to: 3 })] } : b)),
      })),
    })
    const got = act({ kind: 'get cue', cue: 'c', got: true }, noted)
    expect(cuesIn(sectionsOf(got))).toEqual([cue('c', { from: 0, to: 3, got: true })])
    expect(
      refusalOf(
        writeScript(base, { episode: 'episode', wish: { kind: 'get cue', cue: 'gone', got: true } }, context),
      ),
    ).toMatch(/no longer there/)
  })

  test('sections that are taken away or moved are named for the history', () => {
    const said = (sections: Section[]) =>
      valueOf(
        writeScript(base, { episode: 'episode', wish: { kind: 'edit', base: began, sections } }, context),
      ).sentence
    expect(said(began.slice(1))).toBe('Removed the section “Hook”')
    expect(said(began.toReversed())).toBe('Moved sections of the script')
  })

  test('an episode without a script can begin one; one that is gone is refused', () => {
    const wish: ScriptWish = { kind: 'edit', base: [], sections: exampleScript({ Hook: ['One.'] }).sections }
    expect(refusalOf(writeScript(base, { episode: 'nobody', wish }, context))).toMatch(/no longer there/)
    const bare = exampleRecords([exampleEpisode()])
    expect(sectionsOf(act(wish, bare))).toHaveLength(1)
  })

  test('a remark is dismissed once and stays so', () => {
    const wish: ScriptWish = { kind: 'dismiss', remark: 'long One' }
    const twice = act(wish, act(wish))
    expect(twice.scripts.get('episode')?.dismissed).toEqual(['long One'])
  })
})

describe('a drafted section', () => {
  test('is taken as points below what is there, never over it, and does not count as written', () => {
    const records = exampleRecords([exampleEpisode()])
    const title = records.recipes.get('recipe')?.outline[0]?.title ?? ''
    let now = after(
      records,
      takeSection(
        records,
        { episode: 'episode', title, points: ['Show the bend', 'Say why'] },
        exampleContext(),
      ),
    )
    const section = () => now.scripts.get('episode')?.sections.find((s) => s.title === title)
    expect(now.scripts.get('episode')?.sections.map((s) => s.title)).toEqual(
      records.recipes.get('recipe')?.outline.map((o) => o.title),
    )
    expect(section()?.beats.map((b) => b.text)).toEqual(['• Show the bend\n• Say why'])
    expect(scriptWritten(now.scripts.get('episode'))).toBe(false)
    now = after(
      now,
      takeSection(
        now,
        { episode: 'episode', title, points: ['More'] },
        { ...exampleContext(), id: () => 'other' },
      ),
    )
    expect(section()?.beats.map((b) => b.text)).toEqual(['• Show the bend\n• Say why', '• More'])
    now = after(
      now,
      takeSection(
        now,
        { episode: 'episode', title: 'What it costs', points: [] },
        { ...exampleContext(), id: () => 'third' },
      ),
    )
    expect(now.scripts.get('episode')?.sections.at(-1)?.title).toBe('What it costs')
  })
})
