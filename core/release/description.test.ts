import { exampleEpisode } from '../examples'
import { descriptionOf, unknownWords } from './description'

const brief = {
  takeaway: '',
  points: [],
  description: 'How ribs bend.\nAnd why.',
  pictureIdea: '',
  pictureWords: '',
}
const pattern = '{description}\n\n{chapters}\n\n{links}\n\nWith {guests}, thanks.\n\n{call}'

describe('the description', () => {
  test('is made from the pattern, lines without anything to say left out', () => {
    const made = descriptionOf({ pattern, call: 'Every Thursday.' }, exampleEpisode({ brief }), 'Title', [
      { start: 0, title: 'Hook' },
      { start: 65, title: 'Body' },
    ])
    expect(made).toBe('How ribs bend.\nAnd why.\n\n0:00 Hook\n1:05 Body\n\nEvery Thursday.')
  })

  test('names links and guests where there are some', () => {
    const made = descriptionOf(
      { pattern, call: '' },
      exampleEpisode({
        brief,
        guests: ['Ines Varga', 'Tomas Ek'],
        links: [{ id: 'l', label: 'Drawings', url: 'https://x.example' }],
      }),
      'Title',
      [],
    )
    expect(made).toBe(
      'How ribs bend.\nAnd why.\n\nDrawings: https://x.example\n\nWith Ines Varga, Tomas Ek, thanks.',
    )
  })

  test('what is typed is taken as it is, braces and dollars too', () => {
    const made = descriptionOf(
      { pattern: '{description}', call: '' },
      exampleEpisode({ brief: { ...brief, description: 'Costs $1 {call} $&' } }),
      'T',
      [],
    )
    expect(made).toBe('Costs $1 {call} $&')
  })

  test('unknown words stay as they are and can be named', () => {
    expect(unknownWords('{description} {chpaters} {foo bar}')).toEqual(['chpaters', 'foo bar'])
    expect(descriptionOf({ pattern: '{chpaters}', call: '' }, exampleEpisode(), 'T', [])).toBe('{chpaters}')
  })
})

test('credits stand where the pattern has a place for them, else at the end', () => {
  const made = (pattern: string) =>
    descriptionOf({ pattern, call: '' }, exampleEpisode(), 'T', [], ['Wind, A. Reed, CC BY'])
  expect(made('{credits}\n\n{title}')).toBe('Wind, A. Reed, CC BY\n\nT')
  expect(made('{title}')).toBe('T\n\nWind, A. Reed, CC BY')
})
