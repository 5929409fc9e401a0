import { htmlOfText } from './pasted'

test('a passage of words is none of a document', () => {
  expect(htmlOfText('One line.\n\nAnother line, with 3 things.')).toBeUndefined()
  expect(htmlOfText('OAK')).toBeUndefined()
})

test('Markdown keeps its headings, bold and lists', () => {
  const html = htmlOfText('## The break\n\nIt broke in **the worst** place.\n\n- glue it\n- wrap it') ?? ''
  expect(html).toContain('<h2>The break</h2>')
  expect(html).toContain('<strong>the worst</strong>')
  expect(html.match(/<li>/g)).toHaveLength(2)
})

test('a line alone in capitals is a title, written as titles are', () => {
  const html = htmlOfText('WHAT I NEED\nGloves and a pencil.\n\nTHE BREAK\nIt broke.') ?? ''
  expect(html).toContain('<h2>What I need</h2>')
  expect(html).toContain('<h2>The break</h2>')
  expect(html).toContain('<p>Gloves and a pencil.</p>')
})
