import { draftOf, joined, readLines, splitAt } from './lines'
import { titleFromLink } from './links'

test('a block of mixed lines: lists, boxes, headings, notes below, links', () => {
  const drafts = readLines(`# Ropes
- Tarring a rope
  the old way, with a kettle
- [ ] Ten knots with cold hands
- [x] A bowline, done
* See https://rope.example/how-to-splice-wire for wire
1. First numbered

---
## Sails
Sewing a lugsail
https://sails.example/cutting-a-jib.html
[The loft](https://loft.example/a) in winter`)
  expect(drafts.map((d) => d.title)).toEqual([
    'Tarring a rope',
    'Ten knots with cold hands',
    'A bowline, done',
    'See for wire',
    'First numbered',
    'Sewing a lugsail',
    'Cutting a jib',
    'The loft in winter',
  ])
  expect(drafts[0]).toMatchObject({ note: 'the old way, with a kettle', topics: ['Ropes'], ticked: false })
  expect(drafts[2]?.ticked).toBe(true)
  expect(drafts[3]?.urls).toEqual(['https://rope.example/how-to-splice-wire'])
  expect(drafts[6]).toMatchObject({ urls: ['https://sails.example/cutting-a-jib.html'], topics: ['Sails'] })
  expect(drafts[7]?.urls).toEqual(['https://loft.example/a'])
})

test('CSV with a header by its columns, commas in quotes, semicolons too', () => {
  expect(
    readLines(
      'Title,Notes,Link,Tags\n"Oars, balanced","why, though",https://a.example/x,"Oars; Spars"\n\nTar,,,',
    ),
  ).toEqual([
    {
      title: 'Oars, balanced',
      note: 'why, though',
      urls: ['https://a.example/x'],
      topics: ['Oars', 'Spars'],
      ticked: false,
    },
    { title: 'Tar', note: '', urls: [], topics: [], ticked: false },
  ])
  expect(readLines('Idea;Topic\nTar;Ropes').map((d) => d.title)).toEqual(['Tar'])
  expect(readLines('Oars, spars and sails\nTar').map((d) => d.title)).toEqual([
    'Oars, spars and sails',
    'Tar',
  ])
})

test('long lines keep their whole text in the note; blank text gives none', () => {
  const long = `An idea ${'very '.repeat(80)}long`
  const draft = draftOf(long)
  expect(draft.title.length).toBeLessThanOrEqual(300)
  expect(draft.note).toBe(long)
  expect(readLines(' \n\n')).toEqual([])
  expect(titleFromLink('https://host.example/x9')).toBe('host.example')
})

test('drafts are joined and split', () => {
  const [a, b] = [draftOf('Tar'), draftOf('and rope https://r.example')]
  expect(joined(a, b)).toMatchObject({ title: 'Tar', note: 'and rope', urls: ['https://r.example'] })
  expect(splitAt(draftOf('Tar, rope and oars'), 3).map((d) => d.title)).toEqual(['Tar', 'rope and oars'])
  expect(splitAt(draftOf('Tar'), 0)).toHaveLength(1)
})
