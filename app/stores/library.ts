import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { withChanges, type Change, type Command, type Outcome } from '@core/commands/change'
import { freshSettings } from '@core/commands/settings/fresh-settings'
import type { Aside } from '@core/formats/backup'
import { emptyRecords, type Id, type JournalLine, type Records, type Step } from '@core/records'
import { ok, type Problem, type Result } from '@core/result'
import { newId, now } from '@app/data/clock'
import { Library } from '@app/data/library'
import { chosenWorld, chooseWorld, servedStart, storeName, type World } from '@app/data/worlds'
import { tablesOf } from './tables'

/** What takes the whole in hand, back-ups and the demo; fetched soon after the start, so that they are there when
 * nothing else is. */
const whole = () => import('@app/data/whole')
const demo = () => import('@app/data/demo')
/** Fetches what reads and writes back-ups ahead. */
export const prefetchBackups = async (): Promise<unknown> => (await whole()).backupFormat()

/** Something to say in passing. `undo` offers to take it back. */
export interface Saying {
  text: string
  kind: 'done' | 'refused'
  /** The lines of the journal that undo takes back; nothing offers none. */
  undo?: readonly number[] | undefined
}

/** The records of the world this tab is in, and the one way to change them. */
export const useLibrary = defineStore('library', () => {
  const records = shallowRef<Records>(emptyRecords())
  /** The same, a table at a time: for what is derived, so that it is only when that table is another. */
  const tables = tablesOf(records)
  const state = ref<'opening' | 'open' | 'refused'>('opening')
  const world = ref<World>(chosenWorld())
  const trouble = shallowRef<Problem>()
  /** The day for which the demo was laid out, where it is not today. */
  const demoOf = ref<string>()
  const saying = shallowRef<Saying>()
  /** Records that could not be read. */
  const aside = shallowRef<readonly Aside[]>([])
  const progress = shallowRef<{ what: string; share: number }>()
  const turns = ref(0)
  /** How often all was read anew: at the start, after a restore, here or in another tab. */
  const readings = ref(0)
  let library = make(world.value)

  function make(name: World): Library {
    return new Library(storeName(name), {
      changed: () => {
        records.value = library.records
      },
      readAnew: () => {
        readings.value++
        if (demoOf.value !== undefined) void seeDemoDay()
      },
      trouble: (problem) => {
        trouble.value = problem
      },
      aside: (all) => {
        aside.value = all
      },
      writing: (waits) => {
        document.documentElement.toggleAttribute('data-writing', waits)
      },
    })
  }

  const settings = computed(
    () => tables.settings.get('settings') ?? freshSettings('2026-01-01T00:00:00.000Z'),
  )
  const isNew = computed(() => state.value === 'open' && records.value.shows.size === 0)

  async function open(): Promise<void> {
    const opened = await library.open()
    if (!opened.ok) {
      trouble.value = opened.problem
      state.value = 'refused'
      return
    }
    if (world.value === 'demo' && !(await isFilled())) return
    records.value = library.records
    state.value = 'open'
    const entered = library
    setTimeout(() => {
      void entered.fetchWriting()
    }, 300)
    setTimeout(() => {
      void whole()
        .then(async ({ sweepFiles }) => sweepFiles(await entered.store()))
        .catch(() => 0)
    }, 8000)
  }

  /** Whether the demo stands there, laid out where it was not yet. */
  async function isFilled(): Promise<boolean> {
    try {
      await fill(false)
      return true
    } catch {
      progress.value = undefined
      trouble.value = { sentence: 'The demo could not be laid out. Load this page again to try once more.' }
      state.value = 'refused'
      return false
    }
  }

  async function fill(anew: boolean): Promise<void> {
    const laid = library
    progress.value = { what: 'Laying out the demo', share: 0 }
    const { layDemo } = await demo()
    await layDemo(
      laid,
      servedStart().size,
      (what, share) => {
        if (library === laid) progress.value = { what, share }
      },
      anew,
    )
    if (library !== laid) return
    progress.value = undefined
    await seeDemoDay()
  }

  /** Looks for which day the demo lies there: another tab may have laid it out anew. */
  async function seeDemoDay(): Promise<void> {
    const laid = library
    const { demoDay } = await demo()
    if (library === laid) demoOf.value = demoDay(laid)
  }

  /** Goes over to the other world; the two never mix. */
  async function enter(next: World): Promise<void> {
    await library.settled()
    library.close()
    state.value = 'opening'
    // What is said, or under way, is of the world that is left.
    saying.value = undefined
    trouble.value = undefined
    progress.value = undefined
    world.value = next
    chooseWorld(next)
    records.value = emptyRecords()
    library = make(next)
    await open()
  }

  /**
   * Runs a command. Says what was done and offers to take it back, or what is wrong where it is refused;
   * `quietly` says the latter alone: for typing, and for what is seen to happen.
   */
  async function perform<Wish extends object>(
    command: Command<Wish>,
    wish: Wish,
    says: 'aloud' | 'quietly' = 'aloud',
  ): Promise<Result<Outcome>> {
    const result = await library.perform(command, wish)
    if (!result.ok) say(result.problem.sentence, 'refused')
    else if (says === 'aloud' || result.value.lit !== undefined)
      say(
        [says === 'aloud' ? `${result.value.sentence}.` : '', result.value.lit ?? '']
          .join(' ')
          .trim()
          .replace(/\.$/u, ''),
        'done',
        says === 'quietly' || result.value.line === undefined ? undefined : [result.value.line],
      )
    turns.value++
    return result
  }

  /**
   * What a command would change, as things stand or after other changes; nothing where it would be refused.
   */
  function look<Wish>(command: Command<Wish>, wish: Wish, after: readonly Change[] = []): Change[] {
    const from = after.length === 0 ? records.value : withChanges(records.value, after)
    const done = command(from, wish, { now: now(), id: newId })
    return done.ok ? done.value.changes : []
  }

  function say(text: string, kind: Saying['kind'] = 'done', undo?: readonly number[]): void {
    saying.value = { text, kind, undo }
  }

  async function step(way: 'undo' | 'redo'): Promise<void> {
    const turned = await library.step(way)
    say(
      turned.ok
        ? `${way === 'undo' ? 'Taken back' : 'Done again'}: ${turned.value}`
        : turned.problem.sentence,
      turned.ok ? 'done' : 'refused',
    )
    turns.value++
  }

  /** Takes back what certain lines of the journal did, wherever they stand in the row. */
  async function takeBack(lines: readonly number[]): Promise<boolean> {
    const taken = await library.takeBack(lines)
    say(taken.ok ? `Taken back: ${taken.value}` : taken.problem.sentence, taken.ok ? 'done' : 'refused')
    turns.value++
    return taken.ok
  }

  const isLoaded = (id: Id): boolean => library.isLoaded(id)
  const check = (): Promise<void> => library.check()
  /** Puts back into an emptied store what this page still holds. */
  async function restoreMemory(): Promise<Result<string>> {
    const { putBack, sayPutBack } = await whole()
    const done = await putBack(library)
    if (!done.ok) return done
    trouble.value = undefined
    return ok(sayPutBack(done.value))
  }
  const memoryBackup = (): Promise<Uint8Array> =>
    whole().then(({ backupOfMemory }) => backupOfMemory(library))
  const mend = (mended: readonly Aside[] = []): Promise<number> =>
    whole().then(({ mendAside }) => mendAside(library, mended))
  const forgetAside = (keys: readonly string[]): Promise<void> =>
    whole().then(({ dropAside }) => dropAside(library, keys))
  const ensure = (ids: readonly Id[]): Promise<void> => library.ensure(ids)
  const stepsOf = (ids: readonly Id[]): Promise<Step[]> => library.stepsOf(ids)
  const history = (episode: Id): Promise<JournalLine[]> => library.history(episode)
  const file = (id: Id) => library.file(id)
  const files = (ids: readonly Id[]) => library.files(ids)
  const settled = (): Promise<void> => library.settled()
  const backup = (): Promise<Uint8Array> => whole().then(({ backupOf }) => backupOf(library))
  const restore = (bytes: Uint8Array): Promise<Result<number>> =>
    whole().then(({ restoreInto }) => restoreInto(library, bytes))
  const erase = (): Promise<void> => whole().then(({ eraseAll }) => eraseAll(library))
  /** Lays the demo out anew and says so, once at a time; where that cannot be done, what stood there stays. */
  async function layDemoAnew(): Promise<void> {
    if (progress.value) return
    const laid = library
    try {
      await fill(true)
      if (library === laid) say('The demo is laid out anew.')
    } catch {
      if (library !== laid) return
      progress.value = undefined
      say('The demo could not be laid out anew. What stood there stays as it was; try it again.', 'refused')
    }
  }

  /** Asks the browser, once something is worth keeping, not to clear this site's storage by itself. */
  async function askToKeep(): Promise<'kept' | 'refused' | 'unknown'> {
    if (!('storage' in navigator)) return 'unknown'
    return (await navigator.storage.persisted()) || (await navigator.storage.persist()) ? 'kept' : 'refused'
  }

  return {
    records,
    tables,
    state,
    world,
    trouble,
    saying,
    progress,
    turns,
    readings,
    settings,
    isNew,
    open,
    enter,
    perform,
    look,
    say,
    step,
    takeBack,
    isLoaded,
    check,
    aside,
    demoOf,
    mend,
    forgetAside,
    restoreMemory,
    memoryBackup,
    ensure,
    stepsOf,
    history,
    file,
    files,
    settled,
    backup,
    restore,
    erase,
    layDemoAnew,
    askToKeep,
    newId,
  }
})
