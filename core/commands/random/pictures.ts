import {
  keepRunnerUp,
  letPictureStay,
  makePicture,
  nameWords,
  refusePicture,
  swapPicture,
} from '../episode/judge-picture'
import { addPicture, choosePicture, freePictures, removePicture } from '../episode/pictures'
import type { Chance, Deed } from './chance'
import { episode, one, picture, word } from './chance'

/** An episode with pictures, and one of them; now and then one that is nowhere. */
function tried(x: Chance): { episode: string; picture: string } {
  const of = one(
    [...x.r.episodes.values()].filter((e) => e.pictures.length > 0),
    x,
  )
  return { episode: of?.id ?? episode(x), picture: one(of?.pictures ?? [], x)?.id ?? 'nowhere' }
}
const bytes = (id: string) => ({ id, type: 'image/png', bytes: new Uint8Array([1, 2, 3, 4]) })

/** Random deeds: the pictures tried for an episode. */
export const pictureDeeds = {
  addPicture: (x) => {
    const id = x.c.id()
    return addPicture(x.r, { episode: episode(x), picture: picture(id), file: bytes(id) }, x.c)
  },
  removePicture: (x) => removePicture(x.r, tried(x), x.c),
  freePictures: (x) => freePictures(x.r, { episode: tried(x).episode }, x.c),
  choosePicture: (x) => {
    const of = tried(x)
    return choosePicture(x.r, x.n(4) > 0 ? of : { ...of, picture: undefined }, x.c)
  },
  makePicture: (x) => {
    const of = tried(x)
    const [id, base] = [x.c.id(), x.c.id()]
    const laid = { id: x.c.id(), text: word(x), x: 0.1, y: 0.1, size: 0.2, colour: '#ffffff' }
    return makePicture(
      x.r,
      {
        episode: of.episode,
        picture: {
          ...picture(id),
          made: { base: picture(base), x: 0.5, y: 0.5, zoom: 1, turn: 0, words: [laid] },
          words: [{ text: laid.text, x: 0.1, y: 0.1, w: 0.4, h: 0.2, known: 'laid' }],
        },
        files: [bytes(id), bytes(base)],
        ...(x.n(2) > 0 ? { instead: of.picture } : {}),
      },
      x.c,
    )
  },
  nameWords: (x) => {
    const drawn = { text: word(x), x: 0.1, y: 0.6, w: 0.4, h: 0.1, known: 'drawn' as const }
    return nameWords(x.r, { ...tried(x), words: [undefined, [], [drawn]][x.n(3)] }, x.c)
  },
  refusePicture: (x) => refusePicture(x.r, { ...tried(x), reason: [undefined, ' ', word(x)][x.n(3)] }, x.c),
  keepRunnerUp: (x) => {
    const of = tried(x)
    return keepRunnerUp(x.r, x.n(4) > 0 ? of : { ...of, picture: undefined }, x.c)
  },
  swapPicture: (x) => {
    const of = [...x.r.episodes.values()].filter((e) => e.runnerUp !== undefined)
    return swapPicture(x.r, { episode: one(of, x)?.id ?? episode(x) }, x.c)
  },
  letPictureStay: (x) => letPictureStay(x.r, { episode: episode(x) }, x.c),
} satisfies Record<string, Deed>
