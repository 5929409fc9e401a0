import { dayAt } from '@core/rhythm/zone'
import { browserZone, now } from './clock'
import type { Library } from './library'
import { replaceWhole } from './whole'
import type { WholeStore } from '@core/formats/backup'

/** How far laying out the demo has come: what is being done, and the share of it, 0 to 1. */
export type Progress = (what: string, share: number) => void

/**
 * Lays the demo world out anew where it is missing or was laid on another day, in a worker, with progress.
 */
export async function layDemo(
  library: Library,
  size: 'usual' | 'large',
  progress: Progress,
  anew = false,
): Promise<boolean> {
  const today = dayAt(now(), browserZone())
  const { remarks } = library
  const laid = remarks.get('demo')
  const then = remarks.get('demo-rev')
  const isOfToday = laid === `${today} ${size}`
  // What was done in it is kept, also over midnight, until somebody asks for a fresh one.
  const isTouched = laid !== undefined && then !== undefined && then !== remarks.get('rev')
  if (!anew && (isOfToday || isTouched)) return false
  const whole = await madeInWorker(size, progress)
  progress('Storing it', 0.95)
  const store = await library.store()
  await replaceWhole(store, whole, [{ key: 'demo', value: `${today} ${size}` }])
  const rewritten = await store.meta.get('rev')
  await store.meta.put({ key: 'demo-rev', value: rewritten?.value ?? 0 })
  await library.reloaded()
  return true
}

/** The date for which the demo lies there where that is another day than today. */
export function demoDay(library: Library): string | undefined {
  const laid = String(library.remarks.get('demo') ?? '').split(' ')[0]
  return laid === '' || laid === dayAt(now(), browserZone()) ? undefined : laid
}

type Answer =
  | { kind: 'progress'; what: string; share: number }
  | { kind: 'made'; whole: WholeStore }
  | { kind: 'failed'; why: string }

function madeInWorker(size: 'usual' | 'large', progress: Progress): Promise<WholeStore> {
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
