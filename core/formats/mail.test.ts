import { refusalOf, valueOf } from '../examples'
import { CodeReader, Mail, readHandOver, writeCodes, writeHandOver, type JottedMail } from './mail'

const jotted = (n: number, line = `Idea ${n}, “with” ünïcödé`): JottedMail => ({
  kind: 'jotted',
  id: `0000000${n}-aaaa`,
  at: '2026-11-24T09:00:00.000Z',
  line,
  note: '',
  url: '',
  show: '',
})
const ideas = Array.from({ length: 9 }, (_, i) => jotted(i, `Idea ${i} ${'words '.repeat(20)}`))

test('a hand-over file comes back whole; a broken one is refused with the idea that is wrong', () => {
  expect(valueOf(readHandOver(writeHandOver(ideas)))).toEqual(ideas)
  expect(refusalOf(readHandOver('{'))).toMatch(/not a hand-over/)
  expect(
    refusalOf(
      readHandOver(
        JSON.stringify({ format: 'lamp-reel ideas', ideas: [jotted(1), { ...jotted(2), line: ' ' }] }),
      ),
    ),
  ).toBe('Idea 2: An idea needs at least a word. Nothing was taken.')
})

test('codes are read in any order, twice over, and a new set begins anew', () => {
  const codes = writeCodes(ideas, 's1')
  expect(codes.length).toBeGreaterThan(1)
  const reader = new CodeReader()
  let last
  for (const code of [...codes].reverse().concat(codes)) last = valueOf(reader.read(code))
  expect(last?.ideas).toEqual(ideas)
  expect(valueOf(reader.read(writeCodes([jotted(1)], 's2')[0] ?? '')).ideas).toEqual([jotted(1)])
  expect(refusalOf(reader.read('https://else.example'))).toMatch(/not one of/)
  expect(refusalOf(reader.read('LR1 s3 1/1 [nonsense'))).toMatch(/broken/)
})

test('mail with too much, with control signs, or with a link that is none is refused', () => {
  const wish = {
    kind: 'wish',
    id: '12345678',
    at: '2026-11-24T09:00:00.000Z',
    line: 'Knots, please',
    url: '',
    show: '',
    name: '',
    mail: '',
    tell: false,
  }
  expect(Mail.safeParse(wish).success).toBe(true)
  expect(Mail.safeParse({ ...wish, url: 'javascript:alert(1)' }).success).toBe(false)
  expect(Mail.safeParse({ ...wish, line: 'x'.repeat(301) }).success).toBe(false)
  expect(Mail.safeParse({ ...wish, name: 'a\u0000b' }).success).toBe(false)
  expect(Mail.safeParse({ ...wish, mail: 'nobody' }).success).toBe(false)
  expect(
    Mail.safeParse({ ...wish, picture: { type: 'image/png', width: 1, height: 1, base64: '<svg>' } }).success,
  ).toBe(false)
})
