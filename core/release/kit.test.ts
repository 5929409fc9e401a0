import { exampleEpisode, exampleRecords, exampleScript } from '../examples'
import { fileName, kitTexts, outletTexts } from './kit'

const records = exampleRecords()
const show = records.shows.get('show')
const recipe = records.recipes.get('recipe')
if (!show || !recipe) throw new Error('no example')
const episode = exampleEpisode({
  titles: [{ id: 't', text: 'Ribs; bent = cold' }],
  chosenTitle: 't',
  tags: ['oak', 'green oak'],
  brief: { takeaway: '', points: [], description: 'How.', pictureIdea: '', pictureWords: '' },
  cut: { length: 120, starts: { Hook: 0, Body: 20, End: 90 } },
})
const script = exampleScript({ Hook: ['One.'], Body: ['Two.'], End: ['Three.'] })
const second = script.sections[1]?.beats[0]
if (second) {
  second.delivery = 'voice'
  second.cues.push({ id: 'c', kind: 'shot', text: 'Low, from the side', got: true })
}
const texts = kitTexts(
  { episode, show, recipe, script, outlets: [...records.outlets.values()] },
  { number: '#42', at: Date.parse('2026-11-26T17:00:00Z'), pictures: ['thumbnail.png'] },
)

describe('the release kit', () => {
  test('has the chapters as lines, and in the description', () => {
    expect(texts['chapters.txt']).toBe('0:00 Hook\n0:20 Body\n1:30 End\n')
    expect(texts['description.txt']).toBe('How.\n\n0:00 Hook\n0:20 Body\n1:30 End\n')
    expect(texts['tags.txt']).toBe('oak, green oak\n')
  })

  test('has JSON chapters of the podcast namespace', () => {
    expect(JSON.parse(texts['chapters.json'])).toEqual({
      version: '1.2.0',
      title: 'Ribs; bent = cold',
      chapters: [
        { startTime: 0, title: 'Hook' },
        { startTime: 20, title: 'Body' },
        { startTime: 90, title: 'End' },
      ],
    })
  })

  test('has FFmpeg metadata, what the format keeps for itself escaped', () => {
    expect(texts['chapters.ffmeta']).toContain(
      ';FFMETADATA1\ntitle=Ribs\\; bent \\= cold\nartist=Tern & Tiller\n',
    )
    expect(texts['chapters.ffmeta']).toContain(
      '[CHAPTER]\nTIMEBASE=1/1000\nSTART=90000\nEND=120000\ntitle=End\n',
    )
  })

  test('has the script as Markdown: voice-over quoted, shots as a checklist', () => {
    expect(texts['script.md']).toMatch(/^# Ribs; bent = cold\n\n## Hook \(0:0\d\)\n\nOne\.\n\n## Body/)
    expect(texts['script.md']).toContain('> Two.\n\n- [x] Low, from the side')
  })

  test('says in kit.json what it holds', () => {
    expect(JSON.parse(texts['kit.json'])).toMatchObject({
      format: 'lamp-reel kit',
      number: '#42',
      title: 'Ribs; bent = cold',
      goesOut: '2026-11-26T17:00:00.000Z',
      lengthSeconds: 120,
      chaptersFrom: 'edit',
      outlets: ['Video site'],
    })
    expect(JSON.parse(texts['kit.json']).files).toContain('thumbnail.png')
  })

  test('has a name in plain letters', () => {
    expect(fileName('#42', 'Café, ribs & “oak”')).toBe('42-cafe-ribs-oak')
    expect(fileName('', '…')).toBe('episode')
  })
})

test('an outlet’s own kit has its fields in their order, as they are said there', () => {
  const outlet = records.outlets.get('outlet')
  if (!outlet) throw new Error('no example')
  const marked = { ...episode, season: 2, explicit: true, otherwise: { outlet: { title: 'Ribs' } } }
  const files = outletTexts(
    { ...outlet, takes: ['title', 'length'], required: ['title'] },
    {
      ...{ episode: marked, show, recipe, script, outlets: [outlet] },
    },
  )
  expect(files).toEqual({
    '1-title.txt': 'Ribs\n',
    '2-season.txt': 'Season 2\n',
    '3-strong-words.txt': 'Strong words in it\n',
  })
})
