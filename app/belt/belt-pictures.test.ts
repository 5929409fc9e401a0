import { effectScope } from 'vue'
import { after, exampleContext, exampleNow, exampleScript } from '@core/examples'
import { addressOfJpeg } from '@core/belt/pictures'
import { pictureShot, planShots } from '@core/commands/episode'
import { beginSession, planSession } from '@core/commands/sessions'
import { picture } from '@core/commands/random/chance'
import { exampleWorld } from '@core/views/example-cards'
import type { Records } from '@core/records'
import { useBelt as useHandedOut } from '@app/stores/belt'
import { deskThatDoes } from '@app/stores/example-desk'
import { exampleMailbox } from '@app/stores/example-mailbox'
import { useMail } from '@app/stores/mail'
import { useBelt } from './useBelt'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
let clock = exampleNow
jest.mock('@app/data/clock', () => ({
  now: () => clock,
  browserZone: () => 'Europe/Lisbon',
  newId: () => 'new',
}))
jest.mock('vue', () => ({
  ...jest.requireActual<object>('vue'),
  onMounted: (begin: () => void) => {
    begin()
  },
}))
const mockSmall = jest.fn<Uint8Array | undefined, [{ bytes: Uint8Array }]>()
jest.mock('@app/stores/small-picture', () => ({
  smallPicture: (file: { bytes: Uint8Array }) => Promise.resolve(mockSmall(file)),
}))

const pictured = { episode: 'e0', shot: 'bow' }
const sketch = { id: 'sketch', type: 'image/png', bytes: new Uint8Array([7, 8]) }

/** A session to film that runs, with two shots, of which one has a sketch. */
function filming(): Records {
  const script = exampleScript({ Hook: ['It curls.'] }, 'e0')
  const beat = script.sections[0]?.beats[0]
  if (beat)
    beat.cues = ['bow', 'stern'].map((id) => ({
      ...{ id, kind: 'shot' as const, text: `The ${id}`, got: false, shot: { place: 'Slip' } },
    }))
  let r: Records = { ...exampleWorld(), scripts: new Map([['e0', script]]) }
  const image = picture(sketch.id)
  r = after(
    r,
    pictureShot(r, { ...pictured, picture: { kind: 'new', image, file: sketch } }, exampleContext()),
  )
  const steps = [...r.steps.values()].filter((s) => s.kind === 'film' && s.episode === 'e0').map((s) => s.id)
  r = after(r, planSession(r, { id: 'day', kind: 'film', day: '2026-11-24', steps }, exampleContext()))
  return after(r, beginSession(r, { session: 'day' }, exampleContext()))
}

async function world() {
  mockSmall.mockReset().mockImplementation((file) => file.bytes)
  clock = exampleNow
  const mailbox = await exampleMailbox()
  const desk = deskThatDoes(filming())
  jest
    .spyOn(desk.library, 'files')
    .mockImplementation((ids) =>
      Promise.resolve(new Map(ids.filter((id) => id === sketch.id).map((id) => [id, sketch]))),
    )
  const scope = effectScope()
  const mail = useMail()
  const belt = useHandedOut()
  await mail.tell(false)
  const key = localStorage.getItem('lamp-reel.mail-key') ?? ''
  const answer = await fetch('/mail/address', { headers: { 'x-lamp-key': key } })
  mail.address = await answer.json()
  return {
    mailbox,
    desk,
    /** The desk hands out what it shows, a second later. */
    handOut: async () => {
      clock += 1000
      await belt.handOut()
    },
    phone: () => {
      const phone = scope.run(() => useBelt())
      if (!phone) throw new Error('no phone')
      return phone
    },
    end: () => {
      scope.stop()
      mailbox.end()
    },
  }
}

test('how a shot is meant comes to the phone once, is there out of reach, and goes when it is taken off', async () => {
  const w = await world()
  try {
    await w.handOut()
    const phone = w.phone()
    await phone.sync()
    const shown = () => phone.seen.value?.sessions[0]?.items.map((i) => phone.pictures.value[i.picture ?? ''])
    const address = addressOfJpeg(sketch.bytes)
    expect(shown()).toEqual(expect.arrayContaining([address, undefined]))
    // What changes beside it hands no picture out again.
    await w.desk.library.perform(planShots, { episode: 'e0', shots: ['stern'], to: { place: 'Quay' } })
    await w.handOut()
    await phone.sync()
    expect(mockSmall).toHaveBeenCalledTimes(1)
    w.mailbox.line = () => 'asking lost'
    expect(w.phone().pictures.value).toEqual({ sketch: address })
    w.mailbox.line = () => 'works'
    await w.desk.library.perform(pictureShot, { ...pictured, picture: { kind: 'none' } })
    await w.handOut()
    await phone.sync()
    expect([phone.pictures.value, new Set(shown())]).toEqual([{}, new Set([undefined])])
  } finally {
    w.end()
  }
})

test('a picture whose handing out was lost goes with the next; one that cannot be read is left out', async () => {
  const w = await world()
  try {
    mockSmall.mockReturnValueOnce(undefined)
    await w.handOut()
    const phone = w.phone()
    await phone.sync()
    expect([phone.pictures.value, phone.trouble.value]).toEqual([{}, ''])
    const other = await world()
    other.mailbox.line = () => 'asking lost'
    await other.handOut()
    other.mailbox.line = () => 'works'
    await other.handOut()
    const later = other.phone()
    await later.sync()
    expect(later.pictures.value).toEqual({ sketch: addressOfJpeg(sketch.bytes) })
    other.end()
  } finally {
    w.end()
  }
})

test('a phone without room shows the pictures all the same, another key shows none', async () => {
  const w = await world()
  try {
    await w.handOut()
    w.mailbox.storage.full = true
    const phone = w.phone()
    await phone.sync()
    expect(Object.keys(phone.pictures.value)).toEqual(['sketch'])
    w.mailbox.storage.full = false
    w.mailbox.line = () => 'asking lost'
    expect(w.phone().pictures.value).toEqual({})
    w.mailbox.line = () => 'works'
    await w.phone().sync()
    w.mailbox.storage.setItem('lamp-reel.mail-key', 'a-key-of-another-mailbox-0')
    expect(w.phone().pictures.value).toEqual({})
  } finally {
    w.end()
  }
})
