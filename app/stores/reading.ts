import { wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Found } from '@core/ideas/library-index'
import type { Guess } from '@core/ideas/guess'
import type { Like } from '@core/ideas/likeness'
import type { Id } from '@core/records'
import { storeName } from '@app/data/worlds'
import type { Reading } from '@app/workers/reading.worker'
import { useLibrary } from './library'

/**
 * Questions to the worker that has read every text: search, likeness, guesses. The worker starts with the
 * first question, or when asked ahead.
 */
export const useReading = defineStore('reading', () => {
  const library = useLibrary()
  let worker: Remote<Reading> | undefined
  let opened: Promise<void> | undefined
  /** Counts up when the texts may have changed what was answered. */
  const edition = ref(0)

  function start(): Remote<Reading> {
    worker ??= wrap<Reading>(
      new Worker(new URL('../workers/reading.worker.ts', import.meta.url), { type: 'module' }),
    )
    if (!opened) {
      opened = worker.open(storeName(library.world)).then(() => {
        edition.value++
      })
      // What is asked before the scripts are read is answered from titles and notes; it may be asked again
      // then.
      void opened.catch(() => undefined)
    }
    return worker
  }
  watch(
    () => library.world,
    () => {
      opened = undefined
      if (worker) start()
    },
  )
  watch(
    () => library.turns,
    () => {
      setTimeout(() => {
        edition.value++
      }, 120)
    },
  )

  const search = async (asked: string): Promise<Found[]> => start().search(asked)
  const like = async (head: string, body = '', count = 5, without: Id[] = []): Promise<Like[]> =>
    start().like(head, body, count, without)
  const guess = async (line: string): Promise<Guess> => start().guess(line)
  const passages = async (asked: Record<Id, string[]>): Promise<Record<Id, string>> => start().passages(asked)
  const said = async (asked: Record<Id, string[]>): Promise<Record<Id, { passage: string; times: number }>> =>
    start().said(asked)
  const progress = async (): Promise<number> => start().progress()
  return { edition, start, search, like, guess, passages, said, progress }
})
