import {
  applied,
  checked,
  inverse,
  merged,
  type Change,
  type Command,
  type Done,
} from '@core/commands/change'
import { withFollowOns } from '@core/commands/follow'
import {
  emptyRecords,
  tableNames,
  type Episode,
  type Id,
  type JournalLine,
  type Records,
  type Step,
} from '@core/model'
import { migrate, schemaVersion } from '@core/model/migrations'
import { fine, refused, type Problem, type Result } from '@core/result'
import { newId, now } from './clock'
import { Store } from './database'
import { problemOf } from './problems'
import { writeLine } from './journal'

/** What other tabs are told. */
type Message = { kind: 'changed'; changes: Change[] } | { kind: 'reload' }

/** What the library tells those who watch it. */
export interface Watcher {
  /** The records are new; ask for them. */
  changed: () => void
  /** Something could not be stored; what was shown has been taken back. */
  trouble: (problem: Problem) => void
}

interface Waiting {
  run: () => Result<Done>
  done: Done
  settle: (result: Result<Done>) => void
}

/**
 * The records of one world in memory, and the one write path to its store. A command is run on the records, shown at once,
 * and written in one transaction with its line in the journal; where another tab was first, it is run again on what that
 * tab left. Nothing else writes records.
 */
export class Library {
  records: Records = emptyRecords()
  readonly store: Store
  private readonly tab = newId()
  private readonly loaded = new Set<Id>()
  private readonly queue: Waiting[] = []
  private working: Promise<void> | undefined
  private readonly channel: BroadcastChannel | undefined

  constructor(
    name: string,
    private readonly watcher: Watcher,
  ) {
    this.store = new Store(name)
    this.channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(name)
    this.channel?.addEventListener('message', (event: MessageEvent<Message>) => {
      void this.heard(event.data)
    })
  }

  /** Opens the store and loads what screens need at once: everything but the texts and steps of ended and unstarted episodes. */
  async open(): Promise<Result<Records>> {
    try {
      await this.store.open()
      const migrated = await this.migrated()
      if (!migrated.ok) return migrated
      await this.load()
      return fine(this.records)
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
    if (version === schemaVersion) return fine(undefined)
    if (version !== undefined) {
      const tables: Record<string, unknown[]> = {}
      for (const name of tableNames) tables[name] = await store.rows(name).toArray()
      tables['journal'] = await store.journal.toArray()
      const next = migrate(tables, Number(version))
      if (!next.ok) return next
      await store.transaction('rw', store.tables, async () => {
        for (const name of [...tableNames, 'journal']) {
          await store.table(name).clear()
          await store.table(name).bulkAdd(next.value[name] ?? [])
        }
        await store.meta.put({ key: 'schema', value: schemaVersion })
      })
      return fine(undefined)
    }
    await store.meta.put({ key: 'schema', value: schemaVersion })
    return fine(undefined)
  }

  private async load(): Promise<void> {
    const { store } = this
    const [shows, outlets, recipes, episodes, keywords, settings, standing, busy, reservations, launches] =
      await Promise.all([
        store.shows.toArray(),
        store.outlets.toArray(),
        store.recipes.toArray(),
        store.episodes.toArray(),
        store.keywords.toArray(),
        store.settings.toArray(),
        store.standing.toArray(),
        store.busy.toArray(),
        store.reservations.toArray(),
        store.launches.toArray(),
      ])
    const live = episodes.filter((e) => e.phase.name === 'work' || e.phase.name === 'parked').map((e) => e.id)
    const [steps, scripts] = await Promise.all([
      store.steps.where('episode').anyOf(live).toArray(),
      store.scripts.bulkGet(live),
    ])
    this.loaded.clear()
    for (const id of live) this.loaded.add(id)
    this.records = {
      shows: byId(shows),
      outlets: byId(outlets),
      recipes: byId(recipes),
      episodes: byId(episodes),
      keywords: byId(keywords),
      settings: byId(settings),
      standing: byId(standing),
      busy: byId(busy),
      reservations: byId(reservations),
      launches: byId(launches),
      steps: byId(steps),
      scripts: byId(scripts.filter((s) => s !== undefined)),
    }
    this.watcher.changed()
  }

  /** Brings an episode's steps and script into the records where they aren't yet. */
  async ensure(ids: readonly Id[]): Promise<void> {
    const missing = ids.filter((id) => !this.loaded.has(id))
    if (missing.length === 0) return
    const [steps, scripts] = await Promise.all([
      this.store.steps.where('episode').anyOf(missing).toArray(),
      this.store.scripts.bulkGet(missing),
    ])
    for (const id of missing) this.loaded.add(id)
    this.records = {
      ...this.records,
      steps: new Map([...this.records.steps, ...byId(steps)]),
      scripts: new Map([...this.records.scripts, ...byId(scripts.filter((s) => s !== undefined))]),
    }
    this.watcher.changed()
  }

  /** The steps of some episodes, read without bringing them into the records: what past work taught. */
  async stepsOf(ids: readonly Id[]): Promise<Step[]> {
    return this.store.steps
      .where('episode')
      .anyOf([...ids])
      .toArray()
  }

  /** Runs a command: the change is in the records when this returns, and in the store when the promise is kept. */
  perform<Wish extends object>(command: Command<Wish>, wish: Wish): Promise<Result<Done>> {
    const ids = 'episode' in wish && typeof wish.episode === 'string' ? [wish.episode] : []
    if (ids.every((id) => this.loaded.has(id))) return this.begun(command, wish)
    return this.ensure(ids).then(() => this.begun(command, wish))
  }

  private begun<Wish>(command: Command<Wish>, wish: Wish): Promise<Result<Done>> {
    const context = { now: now(), id: newId }
    const run = (): Result<Done> => {
      const done = command(this.records, wish, context)
      return done.ok ? checked(withFollowOns(this.records, done.value, context)) : done
    }
    const result = run()
    if (!result.ok) return Promise.resolve(result)
    this.show(result.value.changes)
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
    })
  }

  /** Kept when everything shown is also stored. */
  async settled(): Promise<void> {
    await this.working
  }

  private async work(): Promise<void> {
    for (let next = this.queue.shift(); next; next = this.queue.shift()) {
      const result = await this.written(next)
      next.settle(result)
      // A refusal concerns this change alone; a store that fails, all that waits for it.
      if (!result.ok && result.problem.path === 'storage') {
        for (const rest of this.queue.splice(0)) {
          await this.refresh(rest.done.changes)
          rest.settle(result)
        }
        this.watcher.trouble(result.problem)
      }
    }
    this.working = undefined
  }

  private async written(waiting: Waiting): Promise<Result<Done>> {
    let { done } = waiting
    for (let attempt = 0; ; attempt++) {
      try {
        await this.commit(done)
        this.channel?.postMessage({ kind: 'changed', changes: done.changes } satisfies Message)
        return fine(done)
      } catch (error) {
        await this.refresh(done.changes)
        if (!(error instanceof Overtaken) || attempt > 3) return { ok: false, problem: problemOf(error) }
        this.show(
          error.theirs.map((after) => ({ table: 'episodes', id: after.id, before: undefined, after })),
        )
        const again = waiting.run()
        if (!again.ok) return again
        done = again.value
        this.show(done.changes)
      }
    }
  }

  private async commit(done: Done): Promise<void> {
    const { store } = this
    await store.transaction(
      'rw',
      [...new Set([...done.changes.map((c): string => c.table), 'journal', 'files'])],
      async () => {
        // All at once: the fewer turns a write takes, the less can be lost when the tab is killed.
        await Promise.all([
          this.put(done.changes),
          ...(done.files ?? []).map((file) => store.files.put(file)),
          writeLine(store.journal, {
            at: new Date(now()).toISOString(),
            sentence: done.sentence,
            about: done.about,
            tab: this.tab,
            changes: done.changes,
            ...(done.merge === undefined ? {} : { merge: done.merge }),
          }),
        ])
      },
    )
  }

  /** Writes changes inside a transaction; throws `Overtaken` where a record is not what it was before. */
  private async put(changes: readonly Change[]): Promise<void> {
    const stored = await Promise.all(changes.map((change) => this.store.rows(change.table).get(change.id)))
    if (changes.some((change, i) => !same(stored[i], change.before))) throw new Overtaken()
    const there = await this.onTheirSlots(changes)
    if (there.length > 0) throw new Overtaken(there)
    await Promise.all(
      changes.map((change) =>
        change.after === undefined
          ? this.store.rows(change.table).delete(change.id)
          : this.store.rows(change.table).put(change.after),
      ),
    )
  }

  /** Episodes that another tab has put, unseen here, on a slot that some changes fill. */
  private async onTheirSlots(changes: readonly Change[]): Promise<Episode[]> {
    const placed = changes.flatMap((c) =>
      c.table === 'episodes' &&
      c.after?.phase.name === 'work' &&
      c.after.place.on === 'slot' &&
      !same(c.after.place, c.before?.place)
        ? [c.after]
        : [],
    )
    if (placed.length === 0) return []
    const own = new Set(changes.map((c) => c.id))
    return this.store.episodes
      .where('phase.name')
      .equals('work')
      .filter((e) => !own.has(e.id) && placed.some((p) => p.show === e.show && same(p.place, e.place)))
      .toArray()
  }

  /** Takes back the last thing that was done, or does again what was taken back last; says which. */
  async turn(way: 'undo' | 'redo'): Promise<Result<string>> {
    await this.settled()
    const { store } = this
    const wanted = way === 'undo' ? 'done' : 'undone'
    try {
      const line = await store.transaction('rw', [...tableNames, 'journal'], async () => {
        const last = await store.journal.orderBy('seq').reverse().limit(300).toArray()
        const found =
          way === 'undo'
            ? last.find((l) => l.state === wanted && l.changes.length > 0)
            : last.filter((l) => l.state === wanted).at(-1)
        if (!found) return undefined
        await this.put(way === 'undo' ? inverse(found.changes) : found.changes)
        await store.journal.put({ ...found, state: way === 'undo' ? 'undone' : 'done' })
        return found
      })
      if (!line)
        return refused(way === 'undo' ? 'There is nothing to take back.' : 'There is nothing to do again.')
      const changes = way === 'undo' ? inverse(line.changes) : line.changes
      this.show(changes)
      this.channel?.postMessage({ kind: 'changed', changes } satisfies Message)
      return fine(line.sentence)
    } catch (error) {
      return error instanceof Overtaken
        ? refused('What followed it stands in the way. Reload the page, then try again.')
        : { ok: false, problem: problemOf(error) }
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
    for (const c of changes) if (c.table === 'episodes') this.loaded.add(c.id)
    this.records = applied(this.records, changes)
    this.watcher.changed()
  }

  private async heard(message: Message): Promise<void> {
    if (message.kind === 'reload') await this.load()
    else {
      await this.settled()
      await this.refresh(message.changes)
    }
  }

  /** Reads the records that some changes touch anew from the store. */
  private async refresh(changes: readonly Change[]): Promise<void> {
    try {
      const fresh: Change[] = []
      for (const change of changes) {
        const before = change.after ?? change.before
        if (before === undefined) continue
        fresh.push(await this.stored(change))
      }
      this.show(fresh)
    } catch {
      this.show(inverse(changes))
    }
  }

  private async stored(change: Change): Promise<Change> {
    const { store } = this
    switch (change.table) {
      case 'shows':
        return { ...change, after: await store.shows.get(change.id) }
      case 'outlets':
        return { ...change, after: await store.outlets.get(change.id) }
      case 'recipes':
        return { ...change, after: await store.recipes.get(change.id) }
      case 'episodes':
        return { ...change, after: await store.episodes.get(change.id) }
      case 'steps':
        return { ...change, after: await store.steps.get(change.id) }
      case 'scripts':
        return { ...change, after: await store.scripts.get(change.id) }
      case 'keywords':
        return { ...change, after: await store.keywords.get(change.id) }
      case 'settings':
        return { ...change, after: await store.settings.get(change.id) }
      case 'standing':
        return { ...change, after: await store.standing.get(change.id) }
      case 'busy':
        return { ...change, after: await store.busy.get(change.id) }
      case 'reservations':
        return { ...change, after: await store.reservations.get(change.id) }
      case 'launches':
        return { ...change, after: await store.launches.get(change.id) }
    }
  }
}

/** Another tab changed the record first. */
class Overtaken extends Error {
  constructor(readonly theirs: Episode[] = []) {
    super()
  }
}

function byId<R extends { id: string }>(rows: readonly R[]): Map<string, R> {
  return new Map(rows.map((r) => [r.id, r]))
}

function same(a: unknown, b: unknown): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b)
}
