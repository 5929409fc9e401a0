import { dayAt } from '@core/rhythm/zone'
import { browserZone, now } from './clock'
import type { Library } from './library'
import { replaceWhole } from './whole'
import type { Whole } from '@core/formats/backup'

/** How far laying out the demo has come: what is being done, and the share of it, 0 to 1. */
export type Progress = (what: string, share: number) => void

/** Lays the demo world out anew where it is missing or was laid on another day, in a worker, with progress. */
export async function layDemo(
  library: Library,
  size: 'usual' | 'large',
  progress: Progress,
  anew = false,
): Promise<boolean> {
  const today = dayAt(now(), browserZone())
  const laid = await library.store.meta.get('demo')
  if (!anew && laid?.value === `${today} ${size}`) return false
  const whole = await madeInWorker(size, progress)
  progress('Storing it', 0.95)
  await replaceWhole(library.store, whole, [{ key: 'demo', value: `${today} ${size}` }])
  await library.reloaded()
  return true
}

type Answer =
  | { kind: 'progress'; what: string; share: number }
  | { kind: 'made'; whole: Whole }
  | { kind: 'failed'; why: string }

function madeInWorker(size: 'usual' | 'large', progress: Progress): Promise<Whole> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('../workers/demo.worker.ts', import.meta.url), { type: 'module' })
    worker.addEventListener('message', (event: MessageEvent<Answer>) => {
      const { data } = event
      if (data.kind === 'progress') progress(data.what, data.share)
      else {
        worker.terminate()
        if (data.kind === 'made') resolve(data.whole)
        else reject(new Error(data.why))
      }
    })
    worker.addEventListener('error', () => {
      worker.terminate()
      reject(new Error('The demo could not be laid out.'))
    })
    worker.postMessage({ now: now(), size })
  })
}
