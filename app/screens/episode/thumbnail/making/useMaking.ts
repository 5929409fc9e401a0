import { computed, markRaw, ref, shallowRef, watch } from 'vue'
import { useDebounceFn } from '@vueuse/core'
import { makePicture } from '@core/commands/episode'
import { editShow } from '@core/commands/shows'
import { clampedCrop, wholeCrop, type Crop } from '@core/pictures/crop'
import { frameOf } from '@core/pictures/frame'
import type { Finding } from '@core/pictures/proof'
import {
  MadeOf as MadeSchema,
  type Candidate,
  type Id,
  type LaidWords,
  type MadeOf,
  type PictureWords,
} from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { useProof } from '@app/stores/proof'
import { remembered } from '@app/stores/remembered'
import { jpegOf } from '@app/ui/canvas-file'
import { boxesOf, drawMade, faceOf, faceReady, type Face } from './canvas'

/** Where a margin is, as a share of the picture. */
export const margin = 0.045

/** A step of an arrow key, as shares of the picture. */
const steps = [
  [-0.01, 0],
  [0.01, 0],
  [0, -0.01],
  [0, 0.01],
] as const

/** A picture in the making: which part of which picture fills the frame, the words over it, and what is measured so far. */
export function useMaking(card: () => Card, from: Candidate) {
  const library = useLibrary()
  const pictures = usePictures()
  const proof = useProof()
  const frame = frameOf(card().show)
  const { made: before, words: _words, refused: _refused, ...plain } = from
  /** What was begun and not kept: it outlives the tab. */
  const draft = remembered<MadeOf | undefined>(`lamp-reel.making.${from.id}`, undefined, (kept) => {
    const read = MadeSchema.safeParse(kept)
    return read.success ? read.data : undefined
  })
  const made = ref<MadeOf>(draft.value ?? before ?? { base: plain, ...wholeCrop, words: [] })
  const chosen = ref<Id>()
  const image = shallowRef<HTMLImageElement>()
  const colours = ref<string[]>([])
  const findings = ref<Finding[]>()
  const isChanged = ref(draft.value !== undefined)
  const isKeeping = ref(false)
  const fault = ref('')
  /** The picture itself has the keys. */
  const isFocused = ref(false)
  const face = computed(() => faceOf(card().show))
  const picked = computed(() => made.value.words.find((w) => w.id === chosen.value))

  async function open() {
    const url = await pictures.found(made.value.base.id)
    if (url === undefined) {
      fault.value = 'The picture under it is no longer there. Add it again and lay the words over it anew.'
      return
    }
    const element = new Image()
    element.src = url
    await Promise.all([element.decode(), faceReady(face.value)])
    image.value = markRaw(element)
    colours.value = await proof.coloursOf(element, frame, 6)
    await measure()
  }
  /** Words that stood in the picture before, as long as its crop shows them where they were. */
  const wordsBelow = (): PictureWords[] => {
    const { x, y, zoom, turn } = made.value
    const isWhole = x === 0.5 && y === 0.5 && zoom === 1 && turn === 0
    return before || !isWhole ? [] : (from.words ?? [])
  }
  const draw = (of: HTMLImageElement) => {
    const drawn = drawMade(of, made.value, face.value, frame)
    return { ...drawn, words: [...wordsBelow(), ...drawn.words] }
  }
  async function measure() {
    if (!image.value) return
    const { canvas, words } = draw(image.value)
    const measured = await proof.measureImage(canvas, words, frame)
    findings.value = proof.judge(card(), measured, words, Math.min(from.size, proof.mostBytes(card())))
  }
  const measureSoon = useDebounceFn(measure, 200)
  watch([made, face], () => void measureSoon(), { deep: true })
  watch(
    made,
    (now) => {
      draft.value = isChanged.value ? now : undefined
    },
    { deep: true },
  )

  function crop(to: Partial<Crop>) {
    isChanged.value = true
    made.value = { ...made.value, ...clampedCrop(made.value.base, frame, { ...made.value, ...to }) }
  }
  function write(id: Id, to: Partial<LaidWords>) {
    isChanged.value = true
    made.value = { ...made.value, words: made.value.words.map((w) => (w.id === id ? { ...w, ...to } : w)) }
  }
  function add(text: string) {
    const id = library.newId()
    const light = '#ffffff'
    const last = made.value.words.at(-1)
    const below = last ? last.y + last.size * last.text.split('\n').length : margin
    isChanged.value = true
    made.value = {
      ...made.value,
      words: [
        ...made.value.words,
        {
          id,
          text,
          x: margin,
          y: Math.min(0.75, below),
          size: last?.size ?? 0.2,
          colour: last?.colour ?? light,
        },
      ],
    }
    chosen.value = id
  }
  function remove(id: Id) {
    isChanged.value = true
    made.value = { ...made.value, words: made.value.words.filter((w) => w.id !== id) }
    if (chosen.value === id) chosen.value = made.value.words.at(-1)?.id
  }
  /** Moves the chosen words, or the picture under them, a step left, right, up or down (0 to 3). */
  function move(which: number) {
    const [dx = 0, dy = 0] = steps[which] ?? []
    const words = picked.value
    if (words) write(words.id, { x: words.x + dx, y: words.y + dy })
    else crop({ x: made.value.x - dx, y: made.value.y - dy })
  }
  /** Puts words into one of nine places: -1, 0, 1 across and down. */
  function place(id: Id, across: number, down: number) {
    const words = made.value.words.find((w) => w.id === id)
    const boxes = words && boxesOf([words], face.value, frame)
    if (!words || !boxes || boxes.length === 0) return
    const [left, top] = [Math.min(...boxes.map((b) => b.x)), Math.min(...boxes.map((b) => b.y))]
    const width = Math.max(...boxes.map((b) => b.x + b.w)) - left
    const height = Math.max(...boxes.map((b) => b.y + b.h)) - top
    const edge = { x: margin, y: (margin * frame.width) / frame.height }
    const at = (where: number, size: number, free: number) =>
      where < 0 ? free : where > 0 ? 1 - free - size : (1 - size) / 2
    write(id, {
      x: words.x + at(across, width, edge.x) - left,
      y: words.y + at(down, height, edge.y) - top,
    })
  }
  /** Keeps it in the place of what it was made from, or as a candidate of its own; true where it is kept. */
  async function keep(asAnother: boolean): Promise<Id | undefined> {
    if (!image.value) return undefined
    isKeeping.value = true
    const { canvas, words } = draw(image.value)
    const bytes = await jpegOf(canvas, proof.mostBytes(card()))
    const id = library.newId()
    const done = await library.perform(
      makePicture,
      {
        episode: card().episode.id,
        picture: {
          id,
          name: named(from.name),
          type: 'image/jpeg',
          width: frame.width,
          height: frame.height,
          size: bytes.byteLength,
          made: { ...made.value, words: made.value.words.filter((w) => w.text.trim() !== '') },
          words,
        },
        files: [{ id, type: 'image/jpeg', bytes }],
        ...(asAnother ? {} : { instead: from.id }),
      },
      'quietly',
    )
    isKeeping.value = false
    if (done.ok) draft.value = undefined
    else fault.value = done.problem.sentence
    return done.ok ? id : undefined
  }
  return {
    frame,
    face,
    made,
    chosen,
    picked,
    image,
    colours,
    findings,
    isChanged,
    isKeeping,
    fault,
    isFocused,
    pick: (id: Id | undefined) => {
      chosen.value = id
    },
    move,
    open,
    crop,
    write,
    add,
    remove,
    place,
    keep,
    /** Lets what was begun go. */
    leave: () => {
      draft.value = undefined
    },
    letter: (to: Face) =>
      library.perform(editShow, { show: card().show.id, fields: { lettering: to } }, 'quietly'),
  }
}

/** What a picture made of a file is called: the file's name without its ending. */
const named = (name: string) => name.replace(/\.[a-z0-9]{2,5}$/i, '')

export type Making = ReturnType<typeof useMaking>
