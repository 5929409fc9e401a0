import { inTurn } from './in-turn'

test('work asked for while it is being done is done once more, however often it was asked for; then it rests', async () => {
  let done = 0
  let going = 0
  const work = inTurn(async () => {
    expect(++going).toBe(1)
    await Promise.resolve()
    done++
    going--
  })
  await Promise.all([work(), work(), work()])
  expect(done).toBe(2)
  await work()
  expect(done).toBe(3)
})

test('whoever asks meanwhile waits until what they asked for is done; a failure is told, and the next one runs', async () => {
  let rows: string[] = []
  const waiting = ['a']
  const send = inTurn(async () => {
    const taken = waiting.splice(0)
    await Promise.resolve()
    rows = [...rows, ...taken]
    if (taken.includes('broken')) throw new Error('lost')
  })
  const first = send()
  waiting.push('b')
  await send()
  expect(rows).toEqual(['a', 'b'])
  await first
  waiting.push('broken')
  await expect(send()).rejects.toThrow('lost')
  waiting.push('c')
  await send()
  expect(rows.at(-1)).toBe('c')
})
