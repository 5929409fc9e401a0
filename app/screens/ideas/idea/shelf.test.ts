import { isWeb, saySize, sourceFrom } from './shelf'

test('an entry of the shelf is a name with an address or a path, or words alone', () => {
  const read = (text: string) => {
    const source = sourceFrom(text, undefined)
    return source && [source.text, source.url]
  }
  expect(read('Footage /Volumes/Barge/42 ribs')).toEqual(['Footage', '/Volumes/Barge/42 ribs'])
  expect(read('Draft: https://desk.example/d/1')).toEqual(['Draft', 'https://desk.example/d/1'])
  expect(read('C:\\Films\\42')).toEqual(['', 'C:\\Films\\42'])
  expect(read('~/Desktop/a.zip')).toEqual(['', '~/Desktop/a.zip'])
  expect(read('The old book, 38/22 mm')).toEqual(['The old book, 38/22 mm', ''])
  expect(read('  ')).toBeUndefined()
  expect(sourceFrom('x', 'film')?.stage).toBe('film')
})

test('web addresses open, sizes are said in few figures', () => {
  expect([isWeb('https://a.example'), isWeb('/a'), isWeb('file:///a')]).toEqual([true, false, false])
  expect([saySize(10), saySize(48_300), saySize(3_240_000), saySize(48_000_000)]).toEqual([
    '1 kB',
    '48 kB',
    '3.2 MB',
    '48 MB',
  ])
})
