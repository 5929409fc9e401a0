import { tabMark } from './tab-mark'

const svg = (address: string) => decodeURIComponent(address.replace('data:image/svg+xml,', ''))
const lit = { state: 'lit' as const, share: 1 }
const dark = { state: 'dark' as const, share: 0 }

test('the tab’s glyph fills a hole a lit stage, and its core when all are lit', () => {
  const some = svg(tabMark([lit, lit, dark, dark, dark, dark]))
  expect(some.match(/#f9b94e/g)).toHaveLength(2)
  expect(some.match(/<circle/g)).toHaveLength(7)
  const all = svg(tabMark([lit, lit, lit, lit, lit, lit]))
  expect(all.match(/<circle/g)).toHaveLength(8)
})

test('a stage that the recipe leaves out does not keep the glyph from being whole', () => {
  expect(svg(tabMark([lit, lit, undefined, lit, lit, lit])).match(/<circle/g)).toHaveLength(8)
})
