import { effectScope, ref } from 'vue'
import { exampleNow } from '@core/examples'
import { recordsOf, type Records } from '@core/records'
import { periods } from '@core/views/rhythm'
import type { Finding } from '@core/views/rhythm-findings'
import { deskThatDoes } from '@app/stores/example-desk'
import { useDialogs } from '@app/stores/dialogs'
import { demoWorld } from '@demo/world'
import { useRhythm } from './useRhythm'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/stores/remembered', () => ({ remembered: (_: string, usual: unknown) => ref(usual) }))
const pushed: { name: string }[] = []
jest.mock('vue-router', () => ({
  useRouter: () => ({
    push: (to: { name: string }) => {
      pushed.push(to)
      return Promise.resolve()
    },
  }),
}))

const world: Records = recordsOf(demoWorld(exampleNow).whole.tables)

/** The screen over the demo’s two shows, once how they were made is read. */
async function screen() {
  const desk = deskThatDoes(world)
  const scope = effectScope()
  const of = scope.run(useRhythm)
  if (!of) throw new Error('no screen')
  await settled()
  return {
    of,
    desk,
    end: () => {
      scope.stop()
    },
  }
}
const settled = async () => {
  for (let i = 0; i < 20; i++) await Promise.resolve()
}
type Life = Awaited<ReturnType<typeof screen>>
const findingsOf = ({ of }: Life): Finding[] => Object.values(of.view.value?.findings ?? {})

describe('what Rhythm finds', () => {
  test('each finding with a deed leads to one thing that is really done, whatever is looked at', async () => {
    const done = new Map<string, number>()
    const life = await screen()
    const { desk, of } = life
    const before = desk.library.records
    for (const show of desk.moment.shows)
      for (const period of periods)
        for (const form of ['', ...(show.forms ?? []).map((f) => f.id)]) {
          of.choose({ show: show.id, period, form })
          await settled()
          for (const finding of findingsOf(life)) {
            expect([finding.id, finding.says]).toEqual([finding.id, expect.stringMatching(/\S/)])
            if (!finding.deed) continue
            const { does } = finding.deed
            pushed.length = 0
            useDialogs().close()
            await of.act(does)
            expect([finding.deed.label, desk.refused]).toEqual([finding.deed.label, []])
            const led =
              desk.library.records !== before || pushed.length > 0 || useDialogs().open !== undefined
            expect([finding.deed.label, led]).toEqual([finding.deed.label, true])
            done.set(does.kind, (done.get(does.kind) ?? 0) + 1)
            while (desk.undo());
            expect(desk.library.records).toEqual(before)
            await settled()
          }
        }
    expect([...done.keys()].length).toBeGreaterThan(2)
    life.end()
  })

  test('minutes that are planned anew are no finding any more; nor is a stage that begins earlier', async () => {
    const life = await screen()
    const { of, desk } = life
    let tried = 0
    for (const id of ['estimates', 'path'] as const) {
      const finding = of.view.value?.findings[id]
      const does = finding?.deed?.does
      if (!does || (does.kind !== 'plan minutes' && does.kind !== 'begin earlier')) continue
      const recipe = JSON.stringify(desk.library.records.recipes.get(does.recipe))
      await of.act(does)
      expect(JSON.stringify(desk.library.records.recipes.get(does.recipe))).not.toBe(recipe)
      await settled()
      expect(of.view.value?.findings[id].deed?.does).not.toEqual(does)
      tried++
    }
    expect(tried).toBeGreaterThan(0)
    life.end()
  })

  test('a show that is looked at is only itself: its film has its own releases, in order', async () => {
    const life = await screen()
    for (const show of life.desk.moment.shows) {
      life.of.choose({ show: show.id, period: 52, form: '' })
      await settled()
      const frames = life.of.view.value?.frames ?? []
      expect(frames.length).toBeGreaterThan(8)
      expect(new Set(frames.map((f) => f.made.episode.show))).toEqual(new Set([show.id]))
      expect(frames.map((f) => f.made.at)).toEqual(frames.map((f) => f.made.at).sort((a, b) => a - b))
      // A kind of episode has a part of them, and all kinds together no more than all.
      const parts = (show.forms ?? []).map(({ id }) => {
        life.of.choose({ form: id })
        return life.of.view.value?.frames.length ?? 0
      })
      expect(parts.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(frames.length)
    }
    life.end()
  })
})
