/**
 * Spreadsheets take a text that begins so for a formula; a quote in front keeps it a text, and is taken off
 * again on reading.
 */
const formula = /^'*[=+\-@\t\r]/

/** A text as a cell that no spreadsheet computes. */
export function guarded(text: string): string {
  return formula.test(text) ? `'${text}` : text
}

/** A cell as the text that it was. */
export function unguarded(text: string): string {
  return text.startsWith("'") && formula.test(text) ? text.slice(1) : text
}
