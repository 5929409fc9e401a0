import { Echoes } from './echoes'

describe('texts that come back', () => {
  test('one that was given is an echo, also when a later one was given meanwhile', () => {
    const echoes = new Echoes('')
    echoes.gave('a')
    echoes.gave('a b')
    expect(echoes.isEcho('a')).toBe(true)
    expect(echoes.isEcho('a b')).toBe(true)
    // Once they are back, the same text may come from elsewhere, as by undo.
    expect(echoes.isEcho('a')).toBe(false)
  })

  test('what is skipped over comes no more; what is new from elsewhere is no echo', () => {
    const echoes = new Echoes('old')
    for (const t of ['1', '2', '3']) echoes.gave(t)
    expect(echoes.isEcho('2')).toBe(true)
    expect(echoes.isEcho('1')).toBe(false)
    expect(echoes.isEcho('another tab')).toBe(false)
    echoes.took('another tab')
    expect(echoes.isEcho('another tab')).toBe(true)
    expect(echoes.isEcho('3')).toBe(false)
  })

  test('the same given twice comes back once', () => {
    const echoes = new Echoes('x')
    echoes.gave('y')
    echoes.gave('y')
    expect([echoes.isEcho('y'), echoes.isEcho('x')]).toEqual([true, false])
  })
})
