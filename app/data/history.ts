import { inverse, merged, reversible } from '@core/commands/change'
import type { Change } from '@core/records'
import { ok, refused, type Result } from '@core/result'
import { now } from './clock'
import { Overtaken, inOneWrite, put } from './commit'
import type { Store } from './database'
import { writeLine } from './journal'
import type { Memory } from './memory'
import { problemOf } from './problems'
import type { WriteQueue } from './queue'
import { Gone } from './revision'
import type { Tabs } from './tabs'
import type { Watcher } from './watcher'

/** What was done, line by line: taken back, and done again. */
export class History {
  constructor(
    private readonly store: Store,
    private readonly memory: Memory,
    private readonly queue: WriteQueue,
    private readonly tabs: Tabs,
    private readonly watcher: Watcher,
  ) {}

  /** Takes back the last thing that was done, or does again what was taken back last; says which. */
  async step(way: 'undo' | 'redo'): Promise<Result<string>> {
    await this.queue.settled()
    const { store } = this
    const wanted = way === 'undo' ? 'done' : 'undone'
    const turned = await this.inOne(async (rev) => {
      const last = await store.journal.orderBy('seq').reverse().limit(300).toArray()
      const line =
        way === 'undo'
          ? last.find((l) => l.state === wanted && reversible(l.changes).length > 0)
          : last.filter((l) => l.state === wanted).at(-1)
      if (!line) return undefined
      const those = reversible(line.changes)
      const changes = way === 'undo' ? inverse(those) : those
      await put(store, changes)
      await store.journal.put({ ...line, state: way === 'undo' ? 'undone' : 'done', from: rev, rev })
      return { changes, sentence: line.sentence }
    }, 'What followed it stands in the way: another change has altered the same since.')
    if (!turned.ok) return turned
    return turned.value
      ? ok(turned.value.sentence)
      : refused(way === 'undo' ? 'There is nothing to take back.' : 'There is nothing to do again.')
  }

  /**
   * Takes back one thing that was done, wherever it stands in the row: the last one as undo does, an
   * earlier one as a step of its own that can itself be taken back. Refused where something later depends
   * on it.
   */
  async takeBack(lines: readonly number[]): Promise<Result<string>> {
    await this.queue.settled()
    const { store } = this
    const taken = await this.inOne(async (rev) => {
      const found = (await store.journal.bulkGet([...lines])).filter((l) => l !== undefined)
      const mine = found
        .filter((l) => l.state === 'done' && reversible(l.changes).length > 0)
        .sort((a, b) => b.seq - a.seq)
      const first = mine[0]
      if (!first) return undefined
      const changes = inverse(mine.map((l) => reversible(l.changes)).reduceRight(merged, []))
      await put(store, changes)
      const last = await store.journal.orderBy('seq').reverse().first()
      const sentence = mine.length === 1 ? first.sentence : `${mine.length} changes`
      if (mine.length === 1 && last?.seq === first.seq)
        await store.journal.put({ ...first, state: 'undone', from: rev, rev })
      else
        await writeLine(store.journal, {
          at: new Date(now()).toISOString(),
          sentence: `Taken back: ${sentence}`,
          about: [...new Set(mine.flatMap((l) => l.about))],
          tab: this.tabs.id,
          changes,
          rev,
        })
      return { changes, sentence }
    }, 'Something that was done later builds on it. Take that back first.')
    if (!taken.ok) return taken
    return taken.value ? ok(taken.value.sentence) : refused('It has been taken back already.')
  }

  private async inOne<T extends { changes: Change[] }>(
    work: (rev: number) => Promise<T | undefined>,
    overtaken: string,
  ): Promise<Result<T | undefined>> {
    try {
      await this.memory.catchUp()
      const { rev, value } = await inOneWrite(this.store, work)
      this.memory.show(value?.changes ?? [])
      if (rev === this.memory.seen + 1) this.memory.seen = rev
      if (value) this.tabs.tell(value.changes, rev)
      return ok(value)
    } catch (error) {
      if (error instanceof Overtaken) return refused(overtaken)
      const problem = problemOf(error)
      if (error instanceof Gone) this.watcher.trouble(problem)
      return { ok: false, problem }
    }
  }
}
