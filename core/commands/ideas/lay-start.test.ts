import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf } from '../../examples'
import { layStart } from './lay-start'

test('a start is laid below what is there, each part once, and nothing is written over', () => {
  const records = exampleRecords([exampleEpisode({ note: '# Own\n\nMine.\n\n## titles\n\nMy own.\n' })])
  const parts = [
    { heading: 'Outline', text: '- Hook\n- End' },
    { heading: 'Titles', text: '- One' },
    { heading: 'Posts', text: ' ' },
  ]
  const wish = { episode: 'episode', parts }
  const laid = after(records, layStart(records, wish, exampleContext()))
  expect(laid.episodes.get('episode')?.note).toBe(
    '# Own\n\nMine.\n\n## titles\n\nMy own.\n\n## Outline\n\n- Hook\n- End\n',
  )
  expect(refusalOf(layStart(laid, wish, exampleContext()))).toContain('already')
  const bare = exampleRecords([exampleEpisode({ note: '' })])
  expect(after(bare, layStart(bare, wish, exampleContext())).episodes.get('episode')?.note).toBe(
    '## Outline\n\n- Hook\n- End\n\n## Titles\n\n- One\n',
  )
})
