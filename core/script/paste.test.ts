import { beatsFrom, sectionsFrom } from './paste'

const ids = () => {
  let n = 0
  return () => `n${++n}`
}

describe('pasted text', () => {
  test('parts into beats at blank lines, single breaks staying inside', () => {
    expect(beatsFrom('One\ntwo\n\n\nThree\r\n', 'voice', ids()).map((b) => [b.text, b.delivery])).toEqual([
      ['One two', 'voice'],
      ['Three', 'voice'],
    ])
  })

  test('parts at every break where there are no blank lines', () => {
    expect(beatsFrom('One\nTwo', 'camera', ids()).map((b) => b.text)).toEqual(['One', 'Two'])
    expect(beatsFrom('   ', 'camera', ids())).toEqual([])
  })

  test('finds sections by Markdown headings and lines in capitals', () => {
    const sections = sectionsFrom(
      'Before.\n\n# The hook\nOne.\n\nWHAT I GOT WRONG\nTwo.\n\nThree.',
      'Script',
      ids(),
    )
    expect(sections.map((s) => [s.title, s.beats.map((b) => b.text)])).toEqual([
      ['Script', ['Before.']],
      ['The hook', ['One.']],
      ['What I got wrong', ['Two.', 'Three.']],
    ])
  })

  test('a text without titles is one section, no text none', () => {
    expect(sectionsFrom('Only this.', 'Script', ids())).toHaveLength(1)
    expect(sectionsFrom('  \n', 'Script', ids())).toEqual([])
  })
})
