import { createHash, randomBytes } from 'node:crypto'
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod/mini'
import { HelperPage } from '../core/helpers/page'
import { writeWhole } from './files'

/** A page as the desk hands it to the server: of which job, and all that it shows. */
export const GivenPage = z.object({
  job: z.string().check(z.minLength(1), z.maxLength(200)),
  page: HelperPage,
})
export type GivenPage = z.infer<typeof GivenPage>

const KeptPage = z.extend(GivenPage, { secret: z.string().check(z.regex(/^[\w-]{24,64}$/)) })
type KeptPage = z.infer<typeof KeptPage>

/**
 * The pages that were given out to helpers, a file each, found by the secret in their address. The desk says which there
 * are; a page that it no longer names is gone, and its address with it.
 */
export class GivenPages {
  private readonly bySecret = new Map<string, KeptPage>()

  constructor(private readonly folder: string) {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    for (const name of readdirSync(folder)) {
      const kept = readPage(join(folder, name))
      if (kept) this.bySecret.set(kept.secret, kept)
      else rmSync(join(folder, name), { force: true, recursive: true })
    }
  }

  /** Keeps these pages and no others; the secret of each, by its job. */
  keep(pages: readonly GivenPage[]): Record<string, string> {
    const before = new Map([...this.bySecret.values()].map((p) => [p.job, p]))
    const named = new Set(pages.map((p) => p.job))
    for (const old of before.values())
      if (!named.has(old.job)) {
        this.bySecret.delete(old.secret)
        rmSync(this.fileOf(old.job), { force: true })
      }
    for (const { job, page } of pages) {
      const kept = { job, page, secret: before.get(job)?.secret ?? randomBytes(24).toString('base64url') }
      writeWhole(this.fileOf(job), JSON.stringify(kept))
      this.bySecret.set(kept.secret, kept)
    }
    return Object.fromEntries([...this.bySecret.values()].map((p) => [p.job, p.secret]))
  }

  /** The page at a secret; nothing where there is none, or none any more. */
  at(secret: string): GivenPage | undefined {
    return this.bySecret.get(secret)
  }

  private fileOf(job: string): string {
    return join(this.folder, `${createHash('sha256').update(job).digest('hex').slice(0, 32)}.json`)
  }
}

function readPage(path: string): KeptPage | undefined {
  try {
    const read = KeptPage.safeParse(JSON.parse(readFileSync(path, 'utf8')))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}
