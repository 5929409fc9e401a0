import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { inOrder } from './needs'

const step = (id: string, ...needs: string[]) => ({ id, name: id.toUpperCase(), needs })

describe('steps in the order of their needs', () => {
  test('keep the given order where they can', () => {
    expect(valueOf(inOrder([step('a'), step('b'), step('c')])).map((s) => s.id)).toEqual(['a', 'b', 'c'])
    expect(
      valueOf(inOrder([step('edit', 'film'), step('film', 'script'), step('script')])).map((s) => s.id),
    ).toEqual(['script', 'film', 'edit'])
  })

  test('a circle is refused with its steps named', () => {
    expect(
      refusalOf(inOrder([step('write', 'edit'), step('film', 'write'), step('edit', 'film')])),
    ).toContain('“WRITE” needs “EDIT” needs “FILM” needs “WRITE”')
    expect(refusalOf(inOrder([step('a', 'a')]))).toContain('“A” needs “A”')
  })

  test('a need that names no step is passed over', () => {
    expect(valueOf(inOrder([step('a', 'gone')]))).toHaveLength(1)
  })

  test('what stands in order already stays as it is, in a list of its own', () => {
    const steps = [step('a', 'gone'), step('b', 'a'), step('c', 'a', 'b')]
    const order = valueOf(inOrder(steps))
    expect(order).toEqual(steps)
    expect(order).not.toBe(steps)
    expect(refusalOf(inOrder([step('a'), step('b', 'a', 'b')]))).toContain('“B” needs “B”')
  })

  test('each stands after all that it needs', () => {
    const graph = fc.array(fc.array(fc.integer({ min: 0, max: 30 }), { maxLength: 4 }), {
      minLength: 1,
      maxLength: 30,
    })
    fc.assert(
      fc.property(graph, (needs) => {
        const steps = needs.map((n, i) => step(`s${i}`, ...n.filter((x) => x < i).map((x) => `s${x}`)))
        const order = valueOf(inOrder([...steps].reverse()))
        const at = new Map(order.map((s, i) => [s.id, i]))
        expect(order).toHaveLength(steps.length)
        for (const s of steps) for (const n of s.needs) expect(at.get(n)).toBeLessThan(at.get(s.id) ?? 0)
      }),
    )
  })
})
