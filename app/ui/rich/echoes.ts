/**
 * Texts that were given and come back a moment later as what is stored. While a text is still on its way a
 * later one may have been given already: its coming back is an echo, not something new from elsewhere.
 */
export class Echoes {
  private readonly under: string[] = []

  constructor(private last: string) {}

  /** Remembers a text that is given. */
  gave(text: string): void {
    if (text === this.last) return
    this.last = text
    this.under.push(text)
  }

  /** Whether a text that comes is one that was given; what was given before it won't come any more. */
  isEcho(text: string): boolean {
    const at = this.under.indexOf(text)
    if (at < 0) return text === this.last && this.under.length === 0
    this.under.splice(0, at + 1)
    return true
  }

  /** Takes a text from elsewhere as the one that stands. */
  took(text: string): void {
    this.last = text
    this.under.length = 0
  }
}
