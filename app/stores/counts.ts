import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { keepFigures } from '@core/commands/figures'
import { lineId } from '@core/line/thing'
import { countable, figureFrom } from '@core/results/from-outlet'
import { useLibrary } from './library'
import { useLines } from './lines'
import { useMoment } from './moment'

/** Asks the outlets that the program speaks to how often things were seen, once for each day that these are out. */
export const useCounts = defineStore('counts', () => {
  const library = useLibrary()
  const lines = useLines()
  const moment = useMoment()
  let busy = false

  async function count(): Promise<void> {
    if (busy || library.state !== 'open') return
    busy = true
    try {
      const { episodes, shows, outlets } = library.tables
      const rows: Parameters<typeof keepFigures>[1]['rows'][number][] = []
      for (const thing of countable(episodes.values(), shows, outlets, moment.now)) {
        const episode = episodes.get(thing.episode)
        const standing = episode && (await lines.standingAt(thing.outlet, lineId(episode, thing.key)))
        if (standing?.state === 'live')
          rows.push({ episode: thing.episode, figure: figureFrom(thing, standing) })
      }
      if (rows.length > 0) await library.perform(keepFigures, { rows }, 'quietly')
    } finally {
      busy = false
    }
  }
  let begun = false
  function start(): void {
    if (begun) return
    begun = true
    void count()
    useIntervalFn(() => {
      void count()
    }, 10 * 60_000)
  }
  return { start, count }
})
