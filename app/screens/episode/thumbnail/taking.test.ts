import { exampleWorld } from '@core/views/example-cards'
import { ok } from '@core/result'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { readPicture } from '../pictures'
import { useCandidates } from './useCandidates'
import { useTaking } from './useTaking'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/stores/proof', () => ({ useProof: () => ({ findings: () => undefined }) }))
jest.mock('@vueuse/core', () => ({
  ...jest.requireActual<object>('@vueuse/core'),
  useEventListener: () => undefined,
}))
jest.mock('../pictures', () => ({ readPicture: jest.fn(), lighterPicture: jest.fn() }))

Object.assign(globalThis, { window: globalThis })

/** What is read of a file; its name is its id. */
function asRead({ name }: File) {
  const picture = { id: name, name, type: 'image/png' as const, width: 1280, height: 720, size: 1 }
  return Promise.resolve(ok({ picture, file: { id: name, type: picture.type, bytes: new Uint8Array(1) } }))
}

test('a picture that comes is looked at as soon as it is among the others, not only once it is stored', async () => {
  const { library } = deskThatDoes(exampleWorld())
  jest.mocked(readPicture).mockImplementation(asRead)
  const cards = useCards()
  const card = (): Card => {
    const found = cards.card('e0')
    if (!found) throw new Error('no card')
    return found
  }
  const of = useCandidates(card, () => {
    throw new Error('nothing is ended here')
  })
  const { take } = useTaking(card, of.lookOnceThere)
  await take([new File(['x'], 'first'), new File(['x'], 'second')])
  expect(of.large.value?.picture.id).toBe('second')

  const { perform } = library
  let stored = (): void => undefined
  const storing = new Promise<void>((resolve) => {
    stored = resolve
  })
  library.perform = async (command, wish) => {
    const done = await perform(command, wish)
    await storing
    return done
  }
  const coming = take([new File(['x'], 'third')])
  while (of.all.value.length < 3) {
    expect(of.large.value?.picture.id).toBe('second')
    await Promise.resolve()
  }
  expect(of.large.value?.picture.id).toBe('third')
  // Whoever looks at another meanwhile is left there.
  of.turn(-1)
  stored()
  await coming
  expect(of.large.value?.picture.id).toBe('second')
})
