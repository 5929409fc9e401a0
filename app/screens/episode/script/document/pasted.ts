import { marked } from 'marked'
import { looksLikeMarkdown } from '@app/ui/rich/markdown'

/** A line alone in capitals, as titles stand in plain text. */
const inCapitals = /^\p{Lu}[\p{Lu}\d ,’'-]{3,60}$/u

const sentenceCase = (line: string) => (line.charAt(0) + line.slice(1).toLowerCase()).replace(/\bi\b/g, 'I')

/**
 * Plain text or Markdown as HTML, with its headings, bold and lists; lines in capitals alone are titles too. Nothing
 * where it is a mere passage of words.
 */
export function htmlOfText(text: string): string | undefined {
  const lines = text.replace(/\r\n?/g, '\n').split('\n')
  const isTitle = (line: string) => inCapitals.test(line.trim()) && /\p{Lu}{2}/u.test(line)
  if (!looksLikeMarkdown(text) && !lines.some(isTitle)) return undefined
  const markdown = lines.map((line) => (isTitle(line) ? `\n## ${sentenceCase(line.trim())}\n` : line))
  return marked.parse(markdown.join('\n'), { async: false, breaks: true, gfm: true })
}

/**
 * HTML as it may stand in a script: a list becomes one beat with a point a line, a table’s rows a beat each; what is
 * not words is left out.
 */
export function fittedHtml(html: string): string {
  const page = new DOMParser().parseFromString(html, 'text/html')
  page.querySelectorAll('style, script, img, hr, meta, title').forEach((e) => {
    e.remove()
  })
  page.querySelectorAll('ul, ol').forEach((list) => {
    if (list.parentElement?.closest('ul, ol')) return
    const beat = page.createElement('p')
    ;[...list.querySelectorAll('li')].forEach((item, i) => {
      const own = item.cloneNode(true)
      if (own instanceof Element)
        own.querySelectorAll('ul, ol').forEach((inner) => {
          inner.remove()
        })
      if (i > 0) beat.append(page.createElement('br'))
      beat.append('• ', ...[...own.childNodes].flatMap(words))
    })
    list.replaceWith(beat)
  })
  page.querySelectorAll('tr').forEach((row) => {
    const beat = page.createElement('p')
    beat.textContent = [...row.children].map((cell) => cell.textContent.trim()).join(', ')
    row.closest('table')?.before(beat)
  })
  page.querySelectorAll('table').forEach((table) => {
    table.remove()
  })
  return page.body.innerHTML
}

/** What an item of a list says, without the paragraphs that word processors put inside. */
function words(node: ChildNode): ChildNode[] {
  return node instanceof HTMLParagraphElement ? [...node.childNodes] : [node]
}
