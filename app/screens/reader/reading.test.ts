import { effectScope, nextTick, ref } from 'vue'
import { writeScript } from '@core/commands/episode'
import { exampleScript } from '@core/examples'
import type { Beat, Script } from '@core/records'
import type { ReadMode } from '@core/script/reading'
import { exampleWorld } from '@core/views/example-cards'
import type { Card } from '@core/views/card'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { useReading } from './useReading'
import type { Shared } from './useTwin'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
const shared: Shared[] = []
let hears: (said: Shared) => void = () => undefined
jest.mock('./useTwin', () => ({
  useTwin: (_: string, hear: (said: Shared) => void) => {
    hears = hear
    return (said: Shared) => shared.push(said)
  },
}))
let seconds = 100
jest.spyOn(performance, 'now').mockImplementation(() => seconds * 1000)

/** Two sections: three beats of which the second is said later, and two. */
function script(): Script {
  const made = exampleScript(
    { Hook: ['The keel lies.', 'Over it.', 'It waits.'], End: ['So.', 'Bye.'] },
    'e0',
  )
  const later = made.sections[0]?.beats[1]
  if (later) later.delivery = 'voice'
  return made
}

function reader(follows = false) {
  seconds = 100
  shared.length = 0
  const desk = deskThatDoes({ ...exampleWorld(), scripts: new Map([['e0', script()]]) })
  const cards = useCards()
  const card = (): Card => {
    const found = cards.card('e0')
    if (!found) throw new Error('no card')
    return found
  }
  const mode = ref<ReadMode>('camera')
  const scope = effectScope()
  const of = scope.run(() => useReading(card, mode, follows))
  if (!of) throw new Error('no reader')
  const takes = (section: string) =>
    (card().script?.sections.find((s) => s.title === section)?.takes ?? []).map((t) => [
      t.kept,
      t.seconds,
      t.reason,
    ])
  const read = (s: number) => {
    seconds += s
    of.next()
  }
  return {
    desk,
    of,
    mode,
    takes,
    read,
    card,
    end: () => {
      scope.stop()
    },
  }
}
const words = (of: ReturnType<typeof reader>['of']) => of.line.value?.beat.text

/** Writes the script anew, as another tab would. */
async function edit({ desk, card }: ReturnType<typeof reader>, to: (beats: Beat[]) => Beat[]) {
  const base = card().script?.sections ?? []
  const sections = base.map((s, i) => (i === 0 ? { ...s, beats: to(s.beats) } : s))
  await desk.library.perform(writeScript, { episode: 'e0', wish: { kind: 'edit', base, sections } })
  await nextTick()
}

describe('the reader', () => {
  test('goes from beat to beat, passes over what is said later, and keeps a take where a section ends', () => {
    const life = reader()
    const { of } = life
    expect(words(of)).toBe('The keel lies.')
    of.run()
    life.read(2)
    expect(words(of)).toBe('It waits.')
    expect(life.takes('Hook')).toEqual([])
    life.read(3)
    expect([words(of), life.takes('Hook')]).toEqual(['So.', [[true, 5, '']]])
    expect(of.got.value).toEqual({ of: 2, got: 1 })
    life.read(1)
    life.read(1.5)
    expect(life.takes('End')).toEqual([[true, 2.5, '']])
    expect([of.got.value.got, of.running.value, words(of)]).toEqual([2, false, 'Bye.'])
    expect(of.pacing.value.soFar).toBeCloseTo(7.5)
    life.end()
  })

  test('a take that is begun again is noted as not kept; what is skipped is neither read nor a take', () => {
    const life = reader()
    life.of.run()
    life.read(2)
    seconds += 1
    life.of.again()
    expect([words(life.of), life.takes('Hook')]).toEqual(['The keel lies.', [[false, 3, 'again']]])
    life.of.goTo(life.card().script?.sections[1]?.id ?? '')
    life.of.run()
    life.of.run()
    life.read(0.2)
    life.read(0.2)
    expect(life.takes('End')).toEqual([])
    expect(life.of.pacing.value.soFar).toBeCloseTo(2)
    life.of.back()
    expect(words(life.of)).toBe('So.')
    life.end()
  })

  test('stays on what is being read when the script changes elsewhere', async () => {
    const life = reader()
    life.read(2)
    expect(words(life.of)).toBe('It waits.')
    const fresh = (id: string, text: string): Beat => ({
      ...{ id, text, delivery: 'camera', hold: 0, cues: [] },
    })
    await edit(life, (beats) => [fresh('new', 'First of all.'), ...beats])
    expect(words(life.of)).toBe('It waits.')
    await edit(life, (beats) => beats.filter((b) => b.text !== 'The keel lies.'))
    expect(words(life.of)).toBe('It waits.')
    // What is read is taken away: on to what comes then, in the same section if there is any.
    await edit(life, (beats) => beats.filter((b) => b.text !== 'It waits.'))
    expect(words(life.of)).toBe('First of all.')
    life.end()
  })

  test('to camera, it never stands on what is said later', async () => {
    const life = reader()
    life.mode.value = 'all'
    life.read(2)
    expect(words(life.of)).toBe('Over it.')
    life.mode.value = 'camera'
    await nextTick()
    expect([words(life.of), life.of.line.value?.kind]).toEqual(['It waits.', 'read'])
    life.end()
  })

  test('a window that follows goes along and notes no takes', () => {
    const life = reader(true)
    hears({ at: 2, running: true })
    expect([words(life.of), life.of.running.value]).toEqual(['It waits.', true])
    life.of.run()
    life.of.run()
    life.read(4)
    expect(life.takes('Hook')).toEqual([])
    expect(shared.at(-1)).toEqual({ at: life.of.at.value, running: true })
    life.end()
  })
})
