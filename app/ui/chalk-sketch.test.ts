import { chalkSketch } from './chalk-sketch'

describe('chalk sketches', () => {
  test('go with what the title says', () => {
    const ribs = chalkSketch('Steaming oak ribs without a steam box')
    const bolts = chalkSketch('Why my keel bolts wept rust')
    const spar = chalkSketch('Cutting a spar from a storm pine')
    const pilot = chalkSketch('The ferry pilot, with Ines Varga')
    const tides = chalkSketch('Night tides')
    expect(new Set([ribs, bolts, spar, pilot, tides]).size).toBe(5)
    expect(chalkSketch('Why planks are not straight')).toBe(ribs)
    expect(chalkSketch('384 copper nails')).toBe(bolts)
    expect(chalkSketch('The lock at low water')).toBe(tides)
  })

  test('where no word helps there is one all the same, and it stays', () => {
    expect(chalkSketch('Xyz')).toMatch(/^M/)
    expect(chalkSketch('Xyz')).toBe(chalkSketch('Xyz'))
    expect(chalkSketch('')).toMatch(/^M/)
  })
})
