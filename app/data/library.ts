import { withChanges, checked, inverse, merged, type Command, type Outcome } from '@core/commands/change'
import { withFollowOns } from '@core/commands/follow'
import {
  byId,
  emptyRecords,
  recordsOf,
  tableNames,
  type Change,
  type Id,
  type JournalLine,
  type Records,
  type Step,
  type TableName,
} from '@core/records'
import { migrate, schemaVersion } from '@core/records/migrations'
import { ok, refused, type Problem, type Result } from '@core/result'
import { upheld } from '@core/commands/uphold'
import type { Aside } from '@core/formats/backup'
import { newId, now } from './clock'
import { Gone, Missed, Overtaken, commit, inOneWrite, put, revisionOf } from './commit'
import { Store } from './database'
import { problemOf } from './problems'
import { changesSince, writeLine } from './journal'
import { checkedRows, readStore, readerOf, setAside, settledRows } from './reading'

/** What other tabs are told. */
type Message = { kind: 'changed'; changes: Change[]; rev: number } | { kind: 'reload' }

/** What the library tells those who watch it. */
export interface Watcher {
  /** The records are new; ask for them. */
  changed: () => void
  /** Something could not be stored; what was shown has been taken back. */
  trouble: (problem: Problem) => void
  /** Records that could not be read are set aside; all of them. */
  aside?: (aside: readonly Aside[]) => void
  /** Something that is shown waits to be stored; or all is. */
  writing?: (waits: boolean) => void
}

interface Waiting {
  run: () => Result<Outcome>
  done: Outcome
  settle: (result: Result<Outcome>) => void
}

/**
 * The records of one world in memory, and the one write path to its store. A command is run on the records,
 * shown at once, and written in one transaction with its line in the journal; where another tab was first,
 * it is run again on what that tab left. Nothing else writes records.
 */
export class Library {
  records: Records = emptyRecords()
  readonly store: Store
  private readonly tab = newId()
  private readonly loaded = new Set<Id>()
  private readonly queue: Waiting[] = []
  private working: Promise<void> | undefined
  /** The changes of a command that is being shown. */
  private making: readonly Change[] | undefined
  /** How often the store had been written, over all tabs, when this one last read it. */
  private seen = 0
  private readonly channel: BroadcastChannel | undefined

  constructor(
    name: string,
    private readonly watcher: Watcher,
  ) {
    this.store = new Store(name)
    // A newer page wants to bring the store up to date: this one lets it, and says so.
    this.store.on('versionchange', () => {
      this.store.close()
      watcher.trouble({
        sentence:
          'Lamp Reel was opened anew in another tab and needs the store. Reload this page to go on here.',
        path: 'storage',
      })
    })
    this.store.on('blocked', () => {
      watcher.trouble({
        sentence:
          'Another tab has an older Lamp Reel open, so the store cannot be brought up to date. Close that tab; this one then opens by itself.',
        path: 'blocked',
      })
    })
    this.channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(name)
    this.channel?.addEventListener('message', (event: MessageEvent<Message>) => {
      void this.heard(event.data)
    })
  }

  /**
   * Opens the store and loads what screens need at once: everything but the texts and steps of ended and
   * unstarted episodes.
   */
  async open(): Promise<Result<Records>> {
    try {
      await this.store.open()
      const migrated = await this.migrated()
      if (!migrated.ok) return migrated
      await this.load()
      return ok(this.records)
    } catch (error) {
      return { ok: false, problem: problemOf(error) }
    }
  }

  close(): void {
    this.channel?.close()
    this.store.close()
  }

  private async migrated(): Promise<Result<void>> {
    const { store } = this
    const version = (await store.meta.get('schema'))?.value
    if (version === schemaVersion) return ok(undefined)
    if (version !== undefined) {
      const tables: Record<string, unknown[]> = {}
      for (const name of tableNames) tables[name] = await store.rows(name).toArray()
      tables['journal'] = await store.journal.toArray()
      tables['aside'] = await store.aside.toArray()
      const next = migrate(tables, Number(version))
      if (!next.ok) return next
      await store.transaction('rw', store.tables, async () => {
        for (const name of [...tableNames, 'journal', 'aside']) {
          await store.table(name).clear()
          await store.table(name).bulkAdd(next.value[name] ?? [])
        }
        await store.meta.put({ key: 'schema', value: schemaVersion })
      })
      return ok(undefined)
    }
    await store.meta.put({ key: 'schema', value: schemaVersion })
    return ok(undefined)
  }

  private async load(): Promise<void> {
    const read = await readStore(this.store)
    const { rows, aside } = await settledRows(this.store, read)
    this.loaded.clear()
    for (const id of read.loaded) this.loaded.add(id)
    this.seen = read.rev
    this.records = recordsOf(rows)
    this.watcher.changed()
    this.watcher.aside?.(aside)
    if (read.later.length > 0) void this.lookLater(read.later)
  }

  /**
   * Looks at the rest of a large library's episodes, a few hundred at a time; those that are damaged are
   * set aside.
   */
  private async lookLater(ids: readonly Id[]): Promise<void> {
    for (let i = 0; i < ids.length; i += 400) {
      await new Promise((done) => {
        setTimeout(done, 60)
      })
      if (!this.store.isOpen()) return
      const rows = ids.slice(i, i + 400).flatMap((id) => this.records.episodes.get(id) ?? [])
      const { aside } = checkedRows('episodes', rows, readerOf('episodes'))
      if (aside.length > 0) await this.dropped(aside)
    }
  }

  /** Takes damaged records out of the records and the store. */
  private async dropped(aside: readonly Aside[]): Promise<void> {
    await setAside(this.store, aside)
    await this.load()
  }

  /**
   * Whether an episode's steps and script are among the records, so that nothing there means that there is
   * nothing.
   */
  isLoaded(id: Id): boolean {
    return this.loaded.has(id)
  }

  /** Brings an episode's steps and script into the records where they aren't yet. */
  async ensure(ids: readonly Id[]): Promise<void> {
    const missing = ids.filter((id) => !this.loaded.has(id))
    if (missing.length === 0) return
    // What is on its way into the store is in it before it is read.
    await this.settled()
    const [rawSteps, rawScripts] = await this.store.transaction(
      'r',
      ['steps', 'scripts'],
      async (): Promise<[unknown[], unknown[]]> => [
        await this.store.rows('steps').where('episode').anyOf(missing).toArray(),
        (await this.store.rows('scripts').bulkGet(missing)).filter((s) => s !== undefined),
      ],
    )
    const steps = checkedRows('steps', rawSteps, readerOf('steps'))
    const scripts = checkedRows('scripts', rawScripts, readerOf('scripts'))
    for (const id of missing) this.loaded.add(id)
    this.records = {
      ...this.records,
      steps: new Map([...this.records.steps, ...byId(steps.rows)]),
      scripts: new Map([...this.records.scripts, ...byId(scripts.rows)]),
    }
    this.watcher.changed()
    const aside = [...steps.aside, ...scripts.aside]
    if (aside.length > 0) await this.dropped(aside)
  }

  /** The steps of some episodes, read without bringing them into the records: what past work taught. */
  async stepsOf(ids: readonly Id[]): Promise<Step[]> {
    return this.store
      .rows('steps')
      .where('episode')
      .anyOf([...ids])
      .toArray()
  }

  /**
   * Runs a command: the change is in the records when this returns, and in the store when the promise is
   * kept.
   */
  perform<Wish extends object>(command: Command<Wish>, wish: Wish): Promise<Result<Outcome>> {
    const ids = 'episode' in wish && typeof wish.episode === 'string' ? [wish.episode] : []
    if (ids.every((id) => this.loaded.has(id))) return this.begun(command, wish)
    return this.ensure(ids).then(() => this.begun(command, wish))
  }

  private begun<Wish>(command: Command<Wish>, wish: Wish): Promise<Result<Outcome>> {
    const context = { now: now(), id: newId }
    const run = (): Result<Outcome> => {
      const done = command(this.records, wish, context)
      return done.ok ? checked(withFollowOns(this.records, done.value, context)) : done
    }
    const result = run()
    if (!result.ok) return Promise.resolve(result)
    this.making = result.value.changes
    this.show(result.value.changes)
    this.making = undefined
    return new Promise((settle) => {
      const last = this.queue.at(-1)
      const { value } = result
      if (last && value.merge !== undefined && last.done.merge === value.merge) {
        last.done = { ...value, changes: merged(last.done.changes, value.changes) }
        last.run = run
        const earlier = last.settle
        last.settle = (r) => {
          earlier(r)
          settle(r)
        }
      } else this.queue.push({ run, done: value, settle })
      this.working ??= this.work()
      this.watcher.writing?.(true)
    })
  }

  /** Kept when everything shown is also stored. */
  async settled(): Promise<void> {
    await this.working
  }

  private async work(): Promise<void> {
    while (this.queue.length > 0) {
      // All that waits is written at once: the fewer turns, the less can be lost when the tab is killed.
      const batch = this.queue.splice(0)
      try {
        await this.written(batch)
      } catch (error) {
        if (error instanceof Overtaken || error instanceof Missed) await this.anew(batch)
        else await this.failed(batch, error)
      }
    }
    this.working = undefined
    this.watcher.writing?.(false)
  }

  private async written(batch: readonly Waiting[]): Promise<void> {
    const { rev, lines } = await commit(
      this.store,
      batch.map((w) => w.done),
      this.seen,
      this.tab,
    )
    this.seen = rev
    this.tell(
      batch.flatMap((w) => w.done.changes),
      rev,
    )
    batch.forEach((w, i) => {
      w.settle(ok({ ...w.done, line: lines[i] }))
    })
  }

  private tell(changes: Change[], rev: number): void {
    this.channel?.postMessage({ kind: 'changed', changes, rev } satisfies Message)
  }

  /** The store fails: what was shown is taken back, and all that waits with it. */
  private async failed(batch: readonly Waiting[], error: unknown): Promise<void> {
    const problem = problemOf(error)
    const all = [...batch, ...this.queue.splice(0)]
    if (!(error instanceof Gone)) await this.refresh(all.flatMap((w) => w.done.changes))
    for (const w of all) w.settle({ ok: false, problem })
    this.watcher.trouble(problem)
  }

  /** Does again, one after another, what was overtaken by another tab, upon what that one left. */
  private async anew(batch: readonly Waiting[]): Promise<void> {
    const all = [...batch, ...this.queue.splice(0)]
    await this.refresh(all.flatMap((w) => w.done.changes))
    for (const w of all) w.settle(await this.once(w))
  }

  private async once(waiting: Waiting): Promise<Result<Outcome>> {
    for (let attempt = 0; ; attempt++) {
      try {
        await this.catchUp()
        const again = await this.upon(waiting)
        if (!again.ok) return again
        this.show(again.value.changes)
        waiting.done = again.value
        const { rev, lines } = await commit(this.store, [again.value], this.seen, this.tab)
        this.seen = rev
        this.tell(again.value.changes, rev)
        return ok({ ...again.value, line: lines[0] })
      } catch (error) {
        await this.refresh(waiting.done.changes)
        if (error instanceof Overtaken && attempt < 6)
          this.show(
            error.theirs.map((after) => ({ table: 'episodes', id: after.id, before: undefined, after })),
          )
        else if (!(error instanceof Missed) || attempt >= 6) {
          const problem = problemOf(error)
          if (problem.path === 'storage') this.watcher.trouble(problem)
          return { ok: false, problem }
        }
      }
    }
  }

  /**
   * What was done, upon what stands by now: what was typed goes field by field into the stored record,
   * everything else is run again. Refused where it would write over a record that this page had never read.
   */
  private async upon({ done, run }: Waiting): Promise<Result<Outcome>> {
    if (done.merge !== undefined) {
      const stored = await Promise.all(done.changes.map((c) => this.store.rows(c.table).get(c.id)))
      const theirs = new Map(done.changes.map((c, i) => [c, stored[i]]))
      return upheld(done, (c) => theirs.get(c))
    }
    const again = run()
    if (!again.ok) return again
    const unread = new Set(
      done.changes.filter((c) => c.before === undefined).map((c) => `${c.table}/${c.id}`),
    )
    const over = again.value.changes.some((c) => c.before !== undefined && unread.has(`${c.table}/${c.id}`))
    return over
      ? refused(
          'There is more here than this page had read, so nothing was written over it. Look at it, then do it again.',
          'records',
        )
      : again
  }

  /**
   * Reads what other tabs wrote since this one last did: by the journal where it knows, else everything
   * anew.
   */
  async catchUp(): Promise<void> {
    const rev = await revisionOf(this.store)
    if (rev === this.seen) return
    const changes = await changesSince(this.store.journal, this.seen, rev)
    if (!changes) {
      await this.load()
      return
    }
    await this.refresh(changes)
    this.seen = Math.max(this.seen, rev)
  }

  /**
   * Looks whether the store is still ours and whether something was missed: after sleep, or when the tab is
   * come back to.
   */
  async check(): Promise<void> {
    try {
      await this.settled()
      await this.catchUp()
    } catch (error) {
      if (error instanceof Gone) this.watcher.trouble(problemOf(error))
    }
  }

  /** Takes back the last thing that was done, or does again what was taken back last; says which. */
  async step(way: 'undo' | 'redo'): Promise<Result<string>> {
    await this.settled()
    const { store } = this
    const wanted = way === 'undo' ? 'done' : 'undone'
    const turned = await this.inOne(async (rev) => {
      const last = await store.journal.orderBy('seq').reverse().limit(300).toArray()
      const line =
        way === 'undo'
          ? last.find((l) => l.state === wanted && l.changes.length > 0)
          : last.filter((l) => l.state === wanted).at(-1)
      if (!line) return undefined
      const changes = way === 'undo' ? inverse(line.changes) : line.changes
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
    await this.settled()
    const { store } = this
    const taken = await this.inOne(async (rev) => {
      const found = (await store.journal.bulkGet([...lines])).filter((l) => l !== undefined)
      const mine = found
        .filter((l) => l.state === 'done' && l.changes.length > 0)
        .sort((a, b) => b.seq - a.seq)
      const first = mine[0]
      if (!first) return undefined
      const changes = inverse(mine.map((l) => l.changes).reduceRight(merged, []))
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
          tab: this.tab,
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
      await this.catchUp()
      const { rev, value } = await inOneWrite(this.store, work)
      this.show(value?.changes ?? [])
      if (rev === this.seen + 1) this.seen = rev
      if (value) this.tell(value.changes, rev)
      return ok(value)
    } catch (error) {
      if (error instanceof Overtaken) return refused(overtaken)
      const problem = problemOf(error)
      if (error instanceof Gone) this.watcher.trouble(problem)
      return { ok: false, problem }
    }
  }

  /** The lines of an episode's history, newest first. */
  async history(episode: Id): Promise<JournalLine[]> {
    const lines = await this.store.journal.where('about').equals(episode).toArray()
    return lines
      .filter((l) => l.state !== 'dropped')
      .sort((a, b) => b.seq - a.seq)
      .slice(0, 200)
  }

  /** A file's bytes. */
  async file(id: Id): Promise<{ type: string; bytes: Uint8Array } | undefined> {
    return this.store.files.get(id)
  }

  /** Tells every tab, this one too, to load anew: after a restore, an erasure or a demo laid anew. */
  async reloaded(): Promise<void> {
    this.channel?.postMessage({ kind: 'reload' } satisfies Message)
    await this.load()
  }

  private show(changes: readonly Change[]): void {
    if (changes.length === 0) return
    // What is new has all its steps and its script among these changes; what was there before may not.
    for (const c of changes)
      if (c.table === 'episodes' && c.before === undefined && c.after && !this.records.episodes.has(c.id))
        this.fresh(c.id, changes)
    this.records = withChanges(this.records, changes)
    this.watcher.changed()
  }

  /**
   * An episode that was made here, just now, is whole among the records; one that another tab made is read
   * when it is asked for.
   */
  private fresh(id: Id, changes: readonly Change[]): void {
    if (this.making === changes) this.loaded.add(id)
  }

  private async heard(message: Message): Promise<void> {
    try {
      await this.settled()
      if (message.kind === 'reload') await this.load()
      else if (message.rev === this.seen + 1) {
        this.seen = message.rev
        await this.refresh(message.changes)
      } else await this.catchUp()
    } catch (error) {
      if (error instanceof Gone) this.watcher.trouble(problemOf(error))
    }
  }

  /** Reads the records that some changes touch anew from the store, each once. */
  private async refresh(changes: readonly Change[]): Promise<void> {
    try {
      const once = new Map(changes.map((c) => [`${c.table}/${c.id}`, c]))
      this.show(await Promise.all([...once.values()].map((change) => this.stored(change))))
    } catch {
      this.show(inverse(changes))
    }
  }

  private async stored<T extends TableName>(change: Change<T>): Promise<Change<T>> {
    return { ...change, after: await this.store.rows(change.table).get(change.id) }
  }
}
