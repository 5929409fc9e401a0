import { exampleEpisode, exampleShow } from '@core/examples'
import { exampleWorld } from '@core/views/example-cards'
import { useDesk } from './desk'
import { exampleDesk } from './example-desk'
import { useForms } from './forms'
import { useCaptureShow } from './capture-show'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

test('a view looks at one show or kind, and at all where that is not there any more', () => {
  const records = exampleWorld()
  const shows = ['boats', 'voices'].map((id) =>
    exampleShow({ id, title: id, forms: [{ id: `${id} talk`, name: id === 'boats' ? 'Talk' : 'Letter' }] }),
  )
  const { see } = exampleDesk({ ...records, shows: new Map(shows.map((s) => [s.id, s])) })
  const [desk, forms] = [useDesk(), useForms()]
  const [mine, other] = [
    exampleEpisode({ id: 'a', show: 'boats', form: 'boats talk' }),
    exampleEpisode({ id: 'b', show: 'voices' }),
  ]
  const shown = () => [mine, other].map(forms.isShown)
  expect([shown(), shows.map(forms.isShownOf)]).toEqual([
    [true, true],
    [true, true],
  ])
  desk.only = { kind: 'show', id: 'boats' }
  expect([shown(), shows.map(forms.isShownOf)]).toEqual([
    [true, false],
    [true, false],
  ])
  desk.only = { kind: 'form', name: 'Talk' }
  expect([shown(), shows.map(forms.isShownOf)]).toEqual([
    [true, false],
    [false, false],
  ])
  // Another world, a restore, or one step of undo: neither the show nor its kind is there.
  see({ ...records, shows: new Map([['voices', exampleShow({ id: 'voices' })]]) })
  expect([shown(), forms.only.value]).toEqual([[true, true], { kind: 'all' }])
  desk.only = { kind: 'show', id: 'boats' }
  expect([shown(), forms.only.value]).toEqual([[true, true], { kind: 'all' }])
})

test('captured ideas go to the show chosen last, and to the first where that is not there', () => {
  const records = exampleWorld()
  const shows = ['boats', 'voices'].map((id) => exampleShow({ id, title: id }))
  const { see } = exampleDesk({ ...records, shows: new Map(shows.map((s) => [s.id, s])) })
  const desk = useDesk()
  const show = useCaptureShow()
  expect(show.value?.id).toBe('boats')
  desk.captureShow = 'voices'
  expect(show.value?.id).toBe('voices')
  see({ ...records, shows: new Map([['boats', exampleShow({ id: 'boats' })]]) })
  expect(show.value?.id).toBe('boats')
})
