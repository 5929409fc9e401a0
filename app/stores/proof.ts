import { transfer, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'
import type { Frame } from '@core/pictures/frame'
import { frameOf } from '@core/pictures/frame'
import { alike } from '@core/pictures/likeness'
import type { Measured } from '@core/pictures/measure'
import { findingsOf, proofOf, type Finding } from '@core/pictures/proof'
import type { Candidate, Episode, Id, PictureWords } from '@core/records'
import { titleOf } from '@core/release/parts'
import type { Card } from '@core/views/card'
import { imageOf } from '@app/data/picture-file'
import type { PictureWork } from '@app/workers/pictures.worker'
import { useCards } from './cards'
import { useLibrary } from './library'

let worker: Remote<PictureWork> | undefined
const at = (): Remote<PictureWork> =>
  (worker ??= wrap<PictureWork>(
    new Worker(new URL('../workers/pictures.worker.ts', import.meta.url), { type: 'module' }),
  ))

/** How many earlier pictures a new one is held against. */
const lately = 12
/** The most bytes of a picture where no outlet says. */
const roomiest = 20_000_000

const keyOf = (id: Id, words: readonly PictureWords[], frame: Frame) =>
  `${id} ${frame.width} ${JSON.stringify(words)}`

/** What is measured on pictures, once each, in a worker; and what follows for the candidates of an episode. */
export const useProof = defineStore('proof', () => {
  const library = useLibrary()
  const cards = useCards()
  const known = shallowReactive(new Map<string, Measured | 'broken'>())
  const asked = new Set<string>()

  async function ask(key: string, id: Id, words: readonly PictureWords[], frame: Frame): Promise<void> {
    const file = await library.file(id)
    if (!file) {
      asked.delete(key)
      return
    }
    try {
      const image = await imageOf(new Blob([new Uint8Array(file.bytes)], { type: file.type }))
      known.set(key, await measureImage(image, words, frame))
    } catch {
      known.set(key, 'broken')
    }
  }
  /** Measures a picture that stands in the page already. */
  async function measureImage(
    image: CanvasImageSource & ImageBitmapSource,
    words: readonly PictureWords[],
    frame: Frame,
  ): Promise<Measured> {
    const bitmap = await createImageBitmap(image)
    // A worker takes plain objects alone, and words may come watched.
    const plain = words.map((w) => ({ ...w }))
    return await at().measure(transfer(bitmap, [bitmap]), plain, frame)
  }
  /** The colours that a picture is made of, the most frequent first. */
  async function coloursOf(image: ImageBitmapSource, frame: Frame, most: number): Promise<string[]> {
    const bitmap = await createImageBitmap(image)
    return await at().colours(transfer(bitmap, [bitmap]), frame, most)
  }
  /** What is measured on a picture; nothing until it is, or where it cannot be read. */
  function measuredOf(id: Id, words: readonly PictureWords[], frame: Frame): Measured | undefined {
    const key = keyOf(id, words, frame)
    const found = known.get(key)
    if (found === undefined && !asked.has(key)) {
      asked.add(key)
      void ask(key, id, words, frame)
    }
    return found === 'broken' ? undefined : found
  }

  /** The show's last releases before an episode, the latest first. */
  function before({ episode, show }: Pick<Card, 'episode' | 'show'>): Episode[] {
    const when = ({ phase }: Episode) => (phase.kind === 'released' ? phase.at : '')
    const bound = when(episode)
    return cards.released
      .filter((e) => e.show === show.id && e.id !== episode.id && e.chosenPicture !== undefined)
      .filter((e) => bound === '' || when(e) < bound)
      .slice(0, lately)
  }
  /** The earlier picture that this one is most like. */
  function likest(measured: Measured, card: Card): { number: string; share: number } | undefined {
    const frame = frameOf(card.show)
    let most: { number: string; share: number } | undefined
    for (const e of before(card)) {
      const other = e.chosenPicture && measuredOf(e.chosenPicture, [], frame)
      if (!other) continue
      const share = alike(measured.signature, other.signature)
      if (!most || share > most.share) most = { number: cards.cardOf(e)?.number ?? e.code, share }
    }
    return most
  }
  /** The most bytes that a picture of an episode may have at any of its outlets. */
  const mostBytes = (card: Card): number => Math.min(...card.outlets.map((o) => o.pictureBytes), roomiest)
  /** All findings on what is measured of one picture of an episode. */
  function judge(
    card: Card,
    measured: Measured,
    words: readonly PictureWords[] | undefined,
    size: number,
  ): Finding[] {
    return findingsOf(
      {
        frame: frameOf(card.show),
        measured,
        words,
        title: titleOf(card.episode),
        like: likest(measured, card),
        size,
        most: mostBytes(card),
      },
      proofOf(card.show),
    )
  }
  /** All findings on a candidate; nothing until it is measured. */
  function findings(card: Card, picture: Candidate): Finding[] | undefined {
    const measured = measuredOf(picture.id, picture.words ?? [], frameOf(card.show))
    return measured && judge(card, measured, picture.words, picture.size)
  }
  return { findings, judge, measureImage, coloursOf, mostBytes, before }
})
