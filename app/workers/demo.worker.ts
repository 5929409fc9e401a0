import 'temporal-polyfill/global'
import fontUrl from '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2?url'
import type { FileRecord } from '@core/commands/change'
import type { Candidate, Picture, PictureWords } from '@core/records'
import { paint } from '@demo/paint'
import { largeWorld } from '@demo/large'
import { demoWorld } from '@demo/world'

/** Lays out the demo world and paints its pictures, away from the interface. */
self.addEventListener('message', (event: MessageEvent<{ now: number; size: 'usual' | 'large' }>) => {
  void make(event.data.now, event.data.size).catch((error: unknown) => {
    self.postMessage({ kind: 'failed', why: error instanceof Error ? error.message : String(error) })
  })
})

function tell(what: string, share: number): void {
  self.postMessage({ kind: 'progress', what, share })
}

async function make(now: number, size: 'usual' | 'large'): Promise<void> {
  tell('Writing episodes', 0.02)
  const { whole, pictures } =
    size === 'large'
      ? largeWorld(now, (share) => {
          tell('Writing 5,000 episodes', share * 0.7)
        })
      : demoWorld(now)
  const face = new FontFace(
    'Bricolage Grotesque Variable',
    `url(${new URL(fontUrl, self.location.href).href})`,
    { weight: '200 800' },
  )
  try {
    await face.load()
    const fonts: unknown = Reflect.get(self, 'fonts')
    if (fonts instanceof FontFaceSet) fonts.add(face)
  } catch {
    // Without the font the pictures are lettered in the machine's own.
  }
  const writing: Promise<FileRecord>[] = []
  const laid = new Map<string, PictureWords[]>()
  for (const [index, order] of pictures.entries()) {
    // The next is painted while this one is written as a file.
    const painted = paint(order, index, (w, h) => new OffscreenCanvas(w, h))
    laid.set(order.id, painted.words)
    writing.push(
      painted.canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 }).then(async (blob) => ({
        id: order.id,
        type: 'image/jpeg',
        bytes: new Uint8Array(await blob.arrayBuffer()),
      })),
    )
    if (index >= 4) await writing[index - 4]
    if (index % 5 === 0)
      tell(
        'Painting pictures',
        (size === 'large' ? 0.7 : 0.1) + (index / pictures.length) * (size === 'large' ? 0.2 : 0.8),
      )
  }
  const files = await Promise.all(writing)
  const sizes = new Map(files.map((f) => [f.id, f.bytes.byteLength]))
  const sized = (p: Picture) => ({ ...p, size: sizes.get(p.id) ?? p.size })
  const lettered = (p: Candidate): Candidate => ({ ...sized(p), words: laid.get(p.id) ?? [] })
  const episodes = whole.tables.episodes.map((e) =>
    e.pictures.length + e.idea.images.length === 0
      ? e
      : { ...e, pictures: e.pictures.map(lettered), idea: { ...e.idea, images: e.idea.images.map(sized) } },
  )
  self.postMessage(
    { kind: 'made', whole: { ...whole, tables: { ...whole.tables, episodes }, files } },
    { transfer: files.map((f) => f.bytes.buffer) },
  )
}
