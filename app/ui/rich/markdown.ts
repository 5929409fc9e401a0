/** Markdown as the editor writes it, with plain line breaks in the place of two spaces before them. */
export function plainBreaks(markdown: string): string {
  return markdown
    .replace(/ {2}\n/g, '\n')
    .replace(/&nbsp;/g, '')
    .trimEnd()
}

/** Whether pasted plain text is meant as Markdown: a heading, a list, a tick, a link or a fence at a line's start. */
export function looksLikeMarkdown(text: string): boolean {
  return /^(#{1,6} \S|\s*[-*+] \S|\s*\d+[.)] \S|> \S|```)/m.test(text) || /\[[^\]]+\]\([^)\s]+\)/.test(text)
}
