import { chordsOf, keymap, keysOn, shownKeys } from './keymap'

type Keys = Partial<
  Pick<KeyboardEvent, 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'defaultPrevented'>
> & { key: string }
/** A press of a key as the browser tells of it. */
class Pressed extends Event {
  readonly key: string
  readonly altKey: boolean
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly shiftKey: boolean
  readonly isComposing = false
  constructor(keys: Keys) {
    super('keydown', { cancelable: true })
    this.key = keys.key
    this.altKey = keys.altKey === true
    this.ctrlKey = keys.ctrlKey === true
    this.metaKey = keys.metaKey === true
    this.shiftKey = keys.shiftKey === true
    if (keys.defaultPrevented) this.preventDefault()
  }
}
const press = (keys: Keys) => new Pressed(keys)

const keys = keymap('Example', {
  move: ['Alt+ArrowUp Alt+ArrowDown', 'up, down'],
  pick: ['X', 'choose it'],
  zoom: ['- = +', 'smaller, as it was, larger'],
  redo: ['Ctrl+Shift+Z', 'again'],
  undo: ['Ctrl+Z', 'back'],
  pass: ['Space', 'pass over'],
})

test('keys are shown as signs, what they share once', () => {
  expect(shownKeys(keys.lines.move)).toBe('Alt ↑ ↓')
  expect(shownKeys(keys.lines.zoom)).toBe('− = +')
  expect(shownKeys(keys.lines.redo)).toBe('Ctrl Shift Z')
  expect(shownKeys(['1 2 3 4', ''])).toBe('1 to 4')
})

test('letters and signs are known with Shift and without, other keys are not', () => {
  expect(chordsOf(press({ key: 'x' }))).toEqual(['X'])
  expect(chordsOf(press({ key: 'X', shiftKey: true }))).toEqual(['Shift+X', 'X'])
  expect(chordsOf(press({ key: 'Enter', shiftKey: true }))).toEqual(['Shift+Enter'])
  expect(chordsOf(press({ key: 'z', metaKey: true, shiftKey: true }))).toEqual(['Ctrl+Shift+Z', 'Ctrl+Z'])
  expect(chordsOf(press({ key: ' ' }))).toEqual(['Space'])
})

describe('a listener', () => {
  let done: string[]
  const heard = keysOn<keyof (typeof keys)['lines'], [string]>(keys, {
    move: ({ which }, on) => done.push(`${on} ${which === 0 ? 'up' : 'down'}`),
    pick: ({ event }, on) => done.push(event.shiftKey ? `to ${on}` : on),
    zoom: ({ which }) => done.push(`zoom ${which}`),
    undo: () => done.push('undo'),
    redo: () => done.push('redo'),
    pass: () => false,
  })
  beforeEach(() => {
    done = []
  })

  test('does what the keymap says of the chord, with what it was pressed on, and keeps the key', () => {
    for (const key of [
      { key: 'ArrowDown', altKey: true },
      { key: 'x' },
      { key: 'X', shiftKey: true },
      { key: '+', shiftKey: true },
      { key: 'z', ctrlKey: true },
      { key: 'Z', ctrlKey: true, shiftKey: true },
    ]) {
      const event = press(key)
      heard(event, 'it')
      expect(event.defaultPrevented).toBe(true)
    }
    expect(done).toEqual(['it down', 'it', 'to it', 'zoom 2', 'undo', 'redo'])
  })

  test('leaves to others what it does not know, what is refused, and what is taken already', () => {
    const [plain, refused] = [press({ key: 'ArrowDown' }), press({ key: ' ' })]
    heard(plain, 'it')
    heard(refused, 'it')
    heard(press({ key: 'x', defaultPrevented: true }), 'it')
    expect(plain.defaultPrevented || refused.defaultPrevented).toBe(false)
    expect(done).toEqual([])
  })
})
