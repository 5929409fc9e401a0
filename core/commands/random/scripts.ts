import { ScriptStand } from '../../records'
import { editMaterials, type MaterialWish } from '../episode/edit-materials'
import { nameClip } from '../episode/name-clip'
import { changeTake, noteRemark, noteTake } from '../episode/note-take'
import { passScript } from '../episode/pass-script'
import { takeSection } from '../episode/take-section'
import { pictureShot, type ShotPicture } from '../episode/picture-shot'
import { planShots } from '../episode/plan-shot'
import { cuesIn, writeScript } from '../episode/write-script'
import { episode, near, one, picture, scriptWish, word, type Deed } from './chance'

/** Random deeds about scripts, their takes, and what filming needs. */
export const scriptDeeds = {
  writeScript: (x) => {
    const id = one([...x.r.scripts.keys()], x) ?? episode(x)
    return writeScript(x.r, { episode: id, wish: scriptWish(x, id) }, x.c)
  },
  passScript: (x) => {
    const id = one([...x.r.scripts.keys()], x) ?? episode(x)
    return passScript(x.r, { episode: id, stand: one(ScriptStand.options, x) ?? 'writing' }, x.c)
  },
  noteTake: (x) => {
    const id = one([...x.r.scripts.keys()], x) ?? episode(x)
    const section = one(x.r.scripts.get(id)?.sections ?? [], x)?.id ?? 'none'
    const take = { seconds: x.n(90), kept: x.n(2) > 0, reason: '' }
    return noteTake(x.r, { episode: id, section, take }, x.c)
  },
  changeTake: (x) => {
    const taken = [...x.r.scripts.values()].flatMap((s) =>
      s.sections.flatMap((y) => (y.takes ?? []).map((t) => ({ episode: s.id, take: t.id }))),
    )
    const found = one(taken, x) ?? { episode: episode(x), take: 'none' }
    return changeTake(x.r, { ...found, to: x.n(2) ? { kept: x.n(2) > 0 } : { reason: 'focus' } }, x.c)
  },
  nameClip: (x) => {
    const noted = [...x.r.scripts.values()].flatMap((s) =>
      cuesIn(s.sections).map((c) => ({ episode: s.id, item: c.id })),
    )
    const found = one(noted, x) ?? { episode: episode(x), item: 'none' }
    return nameClip(x.r, { ...found, clip: x.n(3) ? word(x) : '' }, x.c)
  },
  noteRemark: (x) => {
    const id = one([...x.r.scripts.keys()], x) ?? episode(x)
    const beats = (x.r.scripts.get(id)?.sections ?? []).flatMap((s) => s.beats)
    return noteRemark(x.r, { episode: id, beat: one(beats, x)?.id ?? 'none', text: 'hold it' }, x.c)
  },
  takeSection: (x) =>
    takeSection(x.r, { episode: episode(x), title: word(x), points: ['steam', 'bend'] }, x.c),
  planShots: (x) => {
    const noted = [...x.r.scripts.values()].flatMap((s) =>
      cuesIn(s.sections).map((c) => ({ episode: s.id, shots: [c.id] })),
    )
    const found = one(noted, x) ?? { episode: episode(x), shots: ['none'] }
    return planShots(x.r, { ...found, to: { place: word(x), minutes: x.n(30), could: x.n(2) > 0 } }, x.c)
  },
  pictureShot: (x) => {
    const noted = [...x.r.scripts.values()].flatMap((s) =>
      cuesIn(s.sections).map((c) => ({ episode: s.id, shot: c.id })),
    )
    const found = one(noted, x) ?? { episode: episode(x), shot: 'none' }
    const id = x.c.id()
    const kept = one(x.r.episodes.get(found.episode)?.idea.images ?? [], x)?.id ?? 'none'
    const file = { id, type: 'image/png', bytes: new Uint8Array(4) }
    const wishes: ShotPicture[] = [
      { kind: 'new', image: picture(id), file },
      { kind: 'kept', id: kept },
      { kind: 'none' },
    ]
    return pictureShot(x.r, { ...found, picture: one(wishes, x) ?? { kind: 'none' } }, x.c)
  },
  editMaterials: (x) => {
    const id =
      one(
        [...x.r.episodes.values()].filter((e) => e.materials?.length),
        x,
      )?.id ?? episode(x)
    const material = one(x.r.episodes.get(id)?.materials ?? [], x)?.id ?? 'none'
    const wishes: MaterialWish[] = [
      {
        kind: 'add',
        materials: [
          { what: word(x), stand: 'ordered', required: x.n(2) > 0, price: x.n(90), expected: near(x, 3, 20) },
        ],
      },
      { kind: 'change', material, to: { stand: 'here' } },
      { kind: 'remove', material },
      { kind: 'budget', budget: x.n(2) ? x.n(500) : undefined },
    ]
    return editMaterials(
      x.r,
      { episode: id, wish: wishes[x.n(wishes.length)] ?? { kind: 'budget', budget: 1 } },
      x.c,
    )
  },
} satisfies Record<string, Deed>
