import { looksLikeMarkdown, plainBreaks } from './markdown'

test('breaks of a line stay plain, and nothing is lost of the words', () => {
  expect(plainBreaks('one  \ntwo\n\nthree  \n')).toBe('one\ntwo\n\nthree')
})

test('Markdown is known by its signs at the start of a line, or a link', () => {
  for (const text of ['# A', 'x\n- a', '1. first', '- [ ] tick', '> said', 'see [it](https://a.example)'])
    expect(looksLikeMarkdown(text)).toBe(true)
  for (const text of ['plain words', 'a - b', '#tag', 'https://a.example/x', '3 ribs'])
    expect(looksLikeMarkdown(text)).toBe(false)
})
