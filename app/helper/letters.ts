import { z } from 'zod/mini'
import { HelperDeed } from '@core/helpers/deeds'

const prefix = 'lamp-reel.helper.'

/** A deed that is kept in this browser until the desk says that it has it; `sent`: the mailbox has it safe. */
const KeptDeed = z.object({
  id: z.string(),
  n: z.number(),
  at: z.string(),
  deed: HelperDeed,
  sent: z.boolean(),
})
export type KeptDeed = z.infer<typeof KeptDeed>

/** The deeds of one page that wait here, in the order in which they were done; an entry each. */
export class KeptDeeds {
  private readonly mine: string
  constructor(secret: string) {
    this.mine = `${prefix}${secret}.`
  }

  get all(): KeptDeed[] {
    const names = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
    return names
      .filter((n) => n.startsWith(this.mine))
      .flatMap((n) => {
        try {
          const read = KeptDeed.safeParse(JSON.parse(localStorage.getItem(n) ?? ''))
          return read.success ? [read.data] : []
        } catch {
          return []
        }
      })
      .sort((a, b) => a.n - b.n)
  }

  /** Keeps a deed; throws where the browser stores nothing. */
  keep(deed: KeptDeed): void {
    localStorage.setItem(this.mine + deed.id, JSON.stringify(deed))
  }

  add(deed: HelperDeed): void {
    const id = [...crypto.getRandomValues(new Uint8Array(16))]
      .map((b) => b.toString(16).padStart(2, '0'))
      .join('')
    // Also where two come in one millisecond, or the clock was set back: the later counts higher.
    const n = Math.max(Date.now(), (this.all.at(-1)?.n ?? 0) + 1)
    this.keep({ id, n, at: new Date().toISOString(), deed, sent: false })
  }

  forget(ids: Iterable<string>): void {
    for (const id of ids) localStorage.removeItem(this.mine + id)
  }
}
