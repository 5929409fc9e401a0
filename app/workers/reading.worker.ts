import 'temporal-polyfill/global'
import { expose } from 'comlink'
import { LibraryIndex, passageOf, textOfSpoken, timesSaid } from '@core/ideas/library-index'
import type { Change, Id, Keyword } from '@core/records'
import { Store } from '@app/data/database'

/** Tables whose rows have the id of the episode that they are of, and words in them. */
const spoken: ReadonlySet<string> = new Set(['episodes', 'scripts', 'transcripts'])

/**
 * Reads a world's store and answers what is looked up by words, away from the interface; follows the
 * changes that tabs tell each other.
 */
class Reading {
  private index = new LibraryIndex()
  private store: Store | undefined
  private channel: BroadcastChannel | undefined
  private keywords = new Map<Id, Keyword>()
  private request = 0
  /** Share of scripts read, 0 to 1. */
  share = 0

  async open(name: string): Promise<void> {
    this.store?.close()
    this.channel?.close()
    this.store = new Store(name)
    await this.store.open()
    this.channel = new BroadcastChannel(name)
    this.channel.addEventListener(
      'message',
      (event: MessageEvent<{ kind: 'changed'; changes: Change[] } | { kind: 'reload' }>) => {
        if (event.data.kind === 'reload') void this.read()
        else void this.follow(event.data.changes)
      },
    )
    await this.read()
  }

  private async read(): Promise<void> {
    const { store } = this
    if (!store) return
    const request = ++this.request
    // Changes that come while it is read again are kept, and followed at the end.
    this.share = 0
    this.missed.length = 0
    const index = new LibraryIndex()
    this.keywords = new Map((await store.rows('keywords').toArray()).map((k) => [k.id, k]))
    const episodes = await store.rows('episodes').toArray()
    for (const e of episodes) index.put(e, this.keywords)
    index.ready()
    this.index = index
    const fresh = new LibraryIndex()
    for (let at = 0; at < episodes.length; at += 50) {
      const batch = episodes.slice(at, at + 50)
      const scripts = await store.rows('scripts').bulkGet(batch.map((e) => e.id))
      const transcripts = await store.rows('transcripts').bulkGet(batch.map((e) => e.id))
      if (request !== this.request) return
      batch.forEach((e, i) => {
        fresh.put(e, this.keywords, scripts[i], transcripts[i])
      })
      this.share = (at + batch.length) / episodes.length
      // A breath between batches, so that questions are answered meanwhile.
      await new Promise((done) => {
        setTimeout(done, 0)
      })
    }
    fresh.ready()
    if (request !== this.request) return
    this.index = fresh
    this.share = 1
    for (const missed of this.missed.splice(0)) await this.follow(missed)
  }

  private readonly missed: Change[][] = []

  private async follow(changes: Change[]): Promise<void> {
    const { store } = this
    if (!store) return
    if (this.share < 1) this.missed.push(changes)
    for (const c of changes)
      if (c.table === 'keywords') {
        if (c.after) this.keywords.set(c.id, c.after)
        else this.keywords.delete(c.id)
      }
    const touched = new Set(changes.flatMap((c) => (spoken.has(c.table) ? [c.id] : [])))
    for (const id of touched) {
      const episode = await store.rows('episodes').get(id)
      const [script, transcript] = [store.rows('scripts').get(id), store.rows('transcripts').get(id)]
      if (episode) this.index.put(episode, this.keywords, await script, await transcript)
      else this.index.remove(id)
    }
  }

  search(asked: string) {
    return this.index.search(asked)
  }
  like(head: string, body: string, count: number, without: Id[]) {
    return this.index.like(head, body, count, new Set(without))
  }
  guess(line: string) {
    return this.index.guess(line)
  }
  progress(): number {
    return this.share
  }

  /** Passages of scripts round some words, by episode. */
  async passages(asked: Record<Id, string[]>): Promise<Record<Id, string>> {
    const ids = Object.keys(asked)
    const scripts = (await this.store?.rows('scripts').bulkGet(ids)) ?? []
    const transcripts = (await this.store?.rows('transcripts').bulkGet(ids)) ?? []
    return Object.fromEntries(
      ids.map((id, i) => [id, passageOf(textOfSpoken(scripts[i], transcripts[i]), asked[id] ?? [])]),
    )
  }

  /** Passages as `passages` gives them, and how often the words are said in all of it. */
  async said(asked: Record<Id, string[]>): Promise<Record<Id, { passage: string; times: number }>> {
    const found: Record<Id, { passage: string; times: number }> = {}
    const all = Object.entries(asked)
    // A breath between batches, so that what is typed next is answered meanwhile.
    for (let at = 0; at < all.length; at += 40) {
      const batch = all.slice(at, at + 40)
      const ids = batch.map(([id]) => id)
      const scripts = (await this.store?.rows('scripts').bulkGet(ids)) ?? []
      const transcripts = (await this.store?.rows('transcripts').bulkGet(ids)) ?? []
      batch.forEach(([id, words], i) => {
        const text = textOfSpoken(scripts[i], transcripts[i])
        found[id] = { passage: passageOf(text, words), times: timesSaid(text, words) }
      })
    }
    return found
  }
}

export type { Reading }
expose(new Reading())
