import { nextTick, ref } from 'vue'
import { readNumber, useNumberText } from './number'

test('a number is read with a comma or a point, whole unless fractions are asked for, within its bounds', () => {
  expect(readNumber('12', {})).toBe(12)
  expect(readNumber(' 1,6 ', {})).toBe(2)
  expect(readNumber('1,5', { step: 0.5 })).toBe(1.5)
  expect(readNumber('400', { max: 365 })).toBe(365)
  expect(readNumber('-3', { min: 0 })).toBe(0)
  expect(readNumber('', { min: 1 })).toBeUndefined()
  expect(readNumber('many', { min: 1 })).toBeNaN()
})

describe('the text of a field for a number', () => {
  /** A field over a number, which may be none or not. */
  function fieldOver(start: number | undefined, none: boolean) {
    const number = ref(start)
    const field = useNumberText(
      () => number.value,
      () => ({ min: 1, max: 90 }),
      (read) => {
        if (read !== undefined || none) number.value = read
      },
    )
    return { number, ...field }
  }

  test('gives what is typed when it is done, kept within its bounds', async () => {
    const { number, text, typed } = fieldOver(4, false)
    text.value = '120'
    typed(true)
    expect(number.value).toBe(90)
    await nextTick()
    expect(text.value).toBe('90')
  })

  test('cleared is none where that may be, and goes back where not', async () => {
    const may = fieldOver(4, true)
    may.text.value = ''
    may.typed(true)
    expect(may.number.value).toBeUndefined()
    const must = fieldOver(4, false)
    must.text.value = ''
    must.typed(true)
    await nextTick()
    expect([must.number.value, must.text.value]).toEqual([4, '4'])
  })

  test('what is no number goes back, and what changes elsewhere is shown', async () => {
    const { number, text, typed } = fieldOver(4, true)
    text.value = 'many'
    typed(true)
    await nextTick()
    expect([number.value, text.value]).toEqual([4, '4'])
    number.value = 7
    await nextTick()
    expect(text.value).toBe('7')
  })
})
