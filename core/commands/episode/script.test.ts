import {
  after,
  exampleContext,
  exampleEpisode,
  exampleRecords,
  exampleScript,
  refusalOf,
  valueOf,
} from '../../examples'
import type { Records } from '../../records'
import { scriptWritten } from '../../script/timing'
import { takeSection } from './take-section'
import { writeScript, type ScriptWish } from './write-script'

const base: Records = {
  ...exampleRecords([exampleEpisode()]),
  scripts: new Map([['episode', exampleScript({ Hook: ['One two.', 'Three.'], Body: ['Four.'] })]]),
}
const context = exampleContext()
const act = (wish: ScriptWish, records = base) =>
  after(records, writeScript(records, { episode: 'episode', wish }, context))
const texts = (r: Records) => r.scripts.get('episode')?.sections.map((s) => s.beats.map((b) => b.text))

describe('the script', () => {
  test('is written beat by beat; one beat’s typing is one step of undo', () => {
    expect(texts(act({ kind: 'write beat', beat: 'Hook/0', text: 'New.' }))).toEqual([
      ['New.', 'Three.'],
      ['Four.'],
    ])
    expect(
      valueOf(
        writeScript(
          base,
          { episode: 'episode', wish: { kind: 'write beat', beat: 'Hook/0', text: 'x' } },
          context,
        ),
      ),
    ).toMatchObject({ merge: 'beat Hook/0', sentence: 'Wrote in “Hook”' })
  })

  test('a beat splits at the caret and joins the one before', () => {
    const split = act({ kind: 'split beat', beat: 'Hook/0', at: 3 })
    expect(texts(split)).toEqual([['One', 'two.', 'Three.'], ['Four.']])
    const second = split.scripts.get('episode')?.sections[0]?.beats[1]?.id ?? ''
    expect(texts(act({ kind: 'join beat', beat: second }, split))).toEqual([
      ['One two.', 'Three.'],
      ['Four.'],
    ])
    expect(texts(act({ kind: 'join beat', beat: 'Hook/0' }))).toEqual(texts(base))
  })

  test('joining keeps the shots of both', () => {
    const shot = act({ kind: 'add cue', beat: 'Hook/1', text: ' Low ', cue: 'shot' })
    const joined = act({ kind: 'join beat', beat: 'Hook/1' }, shot)
    expect(joined.scripts.get('episode')?.sections[0]?.beats[0]?.cues.map((c) => c.text)).toEqual(['Low'])
  })

  test('pasted beats stand behind written ones and in place of blank ones', () => {
    const beats = [{ id: 'n', delivery: 'voice' as const, text: 'Pasted.', hold: 0, cues: [] }]
    expect(texts(act({ kind: 'paste', beat: 'Hook/0', beats }))).toEqual([
      ['One two.', 'Pasted.', 'Three.'],
      ['Four.'],
    ])
    const blank = act({ kind: 'write beat', beat: 'Hook/0', text: '' })
    expect(texts(act({ kind: 'paste', beat: 'Hook/0', beats }, blank))?.[0]).toEqual(['Pasted.', 'Three.'])
  })

  test('beats change delivery and place; at the edge nothing moves', () => {
    expect(
      act({ kind: 'deliver', beat: 'Body/0', delivery: 'voice' }).scripts.get('episode')?.sections[1]
        ?.beats[0]?.delivery,
    ).toBe('voice')
    expect(texts(act({ kind: 'move beat', beat: 'Hook/1', by: -1 }))?.[0]).toEqual(['Three.', 'One two.'])
    expect(texts(act({ kind: 'move beat', beat: 'Hook/1', by: 1 }))).toEqual(texts(base))
  })

  test('shots are noted, changed, got and removed', () => {
    const noted = act({ kind: 'add cue', beat: 'Hook/0', text: 'Low', cue: 'shot' })
    const cue = noted.scripts.get('episode')?.sections[0]?.beats[0]?.cues[0]?.id ?? ''
    expect(
      act({ kind: 'get cue', cue, got: true }, noted).scripts.get('episode')?.sections[0]?.beats[0]?.cues[0]
        ?.got,
    ).toBe(true)
    expect(
      act({ kind: 'write cue', cue, text: 'High' }, noted).scripts.get('episode')?.sections[0]?.beats[0]
        ?.cues[0]?.text,
    ).toBe('High')
    expect(
      act({ kind: 'remove cue', cue }, noted).scripts.get('episode')?.sections[0]?.beats[0]?.cues,
    ).toEqual([])
  })

  test('sections are added, named, removed and replaced whole', () => {
    expect(act({ kind: 'add section', title: 'End' }).scripts.get('episode')?.sections[2]).toMatchObject({
      title: 'End',
      beats: [{ text: '' }],
    })
    expect(
      act({ kind: 'name section', section: 'Hook', title: 'Cold open' }).scripts.get('episode')?.sections[0]
        ?.title,
    ).toBe('Cold open')
    expect(texts(act({ kind: 'remove section', section: 'Hook' }))).toEqual([['Four.']])
    expect(texts(act({ kind: 'add beat', section: 'Body' }))).toEqual([
      ['One two.', 'Three.'],
      ['Four.', ''],
    ])
    expect(act({ kind: 'replace', sections: [] }).scripts.get('episode')?.sections).toEqual([])
  })

  test('what is no longer there is refused; an episode without a script can begin one', () => {
    expect(
      refusalOf(
        writeScript(
          base,
          { episode: 'episode', wish: { kind: 'write beat', beat: 'gone', text: '' } },
          context,
        ),
      ),
    ).toMatch(/no longer there/)
    expect(
      refusalOf(writeScript(base, { episode: 'nobody', wish: { kind: 'add section', title: 'x' } }, context)),
    ).toMatch(/no script yet/)
    const bare = exampleRecords([exampleEpisode()])
    expect(
      after(
        bare,
        writeScript(bare, { episode: 'episode', wish: { kind: 'add section', title: 'Hook' } }, context),
      ).scripts.get('episode')?.sections,
    ).toHaveLength(1)
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
