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

/** A page under its secret; of one that has ended only the secret, so that it has its address again where that is undone. */
const KeptPage = z.object({
  job: GivenPage.shape.job,
  secret: z.string().check(z.regex(/^[\w-]{24,64}$/)),
  page: z.optional(HelperPage),
})
type KeptPage = z.infer<typeof KeptPage>

/**
 * The pages that were given out to helpers, a file each, found by the secret in their address. The desk says which there
 * are; a page that it no longer names is gone, and its address with it, until it names that again.
 */
export class GivenPages {
  private readonly byJob = new Map<string, KeptPage>()
  private readonly bySecret = new Map<string, GivenPage>()

  constructor(private readonly folder: string) {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    for (const name of readdirSync(folder)) {
      const kept = readPage(join(folder, name))
      if (kept) this.know(kept)
      else rmSync(join(folder, name), { force: true, recursive: true })
    }
  }

  /** Keeps these pages and no others; the secret of each, by its job. */
  keep(pages: readonly GivenPage[]): Record<string, string> {
    const named = new Set(pages.map((p) => p.job))
    for (const { job, secret, page } of [...this.byJob.values()])
      if (page && !named.has(job)) this.write({ job, secret })
    const secrets: Record<string, string> = {}
    for (const { job, page } of pages) {
      const secret = this.byJob.get(job)?.secret ?? randomBytes(24).toString('base64url')
      this.write({ job, secret, page })
      secrets[job] = secret
    }
    return secrets
  }

  /** The page at a secret; nothing where there is none, or none any more. */
  at(secret: string): GivenPage | undefined {
    return this.bySecret.get(secret)
  }

  private write(kept: KeptPage): void {
    writeWhole(this.fileOf(kept.job), JSON.stringify(kept))
    this.know(kept)
  }

  private know(kept: KeptPage): void {
    const { job, secret, page } = kept
    this.byJob.set(job, kept)
    if (page) this.bySecret.set(secret, { job, page })
    else this.bySecret.delete(secret)
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
