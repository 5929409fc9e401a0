import Papa from 'papaparse'
import { dropCampaign, keepCampaign } from '../commands/campaigns'
import { putLaunch, removeLaunch } from '../commands/schedule'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf } from '../examples'
import { campaignsCsv } from '../formats/campaign-table'
import { launchStanding, type Supporter } from '../plan/launch'
import type { Campaign, Records } from '../records'
import { campaignFaults, campaignSums } from './campaigns'

const c = exampleContext()
const today = '2026-11-24'
type Fields = Omit<Campaign, 'id' | 'createdAt' | 'updatedAt'>
const fields = (rest: Partial<Fields>): Fields => ({
  ...{
    name: 'Posters',
    outlet: 'harbour board',
    from: '2026-11-20',
    to: '2026-12-01',
    state: 'running' as const,
  },
  ...{ asset: 'poster.png', address: '', posts: [] },
  ...rest,
})
const post = (id: string, on: string, out?: boolean) => ({
  id,
  on,
  text: id,
  address: '',
  ...(out ? { out } : {}),
})
function world(): Records {
  let r = exampleRecords()
  const launch = { name: 'Drawings', from: '2026-12-10', to: '2026-12-20', runUp: 14, wanted: 0, note: '' }
  r = after(r, putLaunch(r, launch, { ...c, id: () => 'launch' }))
  r = after(
    r,
    keepCampaign(
      r,
      {
        fields: fields({
          launch: 'launch',
          budget: 100,
          spent: 120,
          posts: [post('a', '2026-11-21', true), post('b', '2026-11-22')],
        }),
      },
      c,
    ),
  )
  r = after(
    r,
    keepCampaign(
      r,
      {
        fields: fields({
          name: 'Notices',
          budget: 50,
          spent: 10,
          state: 'called off',
          posts: [post('d', '2026-11-22')],
        }),
      },
      c,
    ),
  )
  return r
}

test('sums on screen are those of the table: what was called off has spent what it spent, and no budget', () => {
  const r = world()
  const all = [...r.campaigns.values()]
  const sums = campaignSums(all)
  expect(sums).toEqual({ budget: 100, spent: 130, posts: 2, out: 1 })
  const { data } = Papa.parse<Record<string, string>>(campaignsCsv(all, r.launches), {
    header: true,
    skipEmptyLines: true,
  })
  const total = (column: string) => data.reduce((n, row) => n + Number(row[column]), 0)
  expect(['Budget', 'Spent', 'Posts', 'Posts out'].map(total)).toEqual(Object.values(sums))
  expect(data.map((row) => row['Launch'])).toEqual(['Drawings', ''])
})

test('what does not fit together is said', () => {
  const [first] = [...world().campaigns.values()]
  expect(first && campaignFaults(first, today)).toEqual(['20 over its budget', '1 post not out yet'])
  expect(first && campaignFaults({ ...first, to: '2026-11-21' }, today)).toEqual([
    '20 over its budget',
    'its dates are over',
    '1 post not out yet',
    '1 post outside its dates',
  ])
  const r = world()
  expect(refusalOf(keepCampaign(r, { fields: fields({ to: '2026-01-01' }) }, c))).toMatch(/ends on or after/)
  expect(refusalOf(keepCampaign(r, { fields: fields({ launch: 'gone' }) }, c))).toBe(
    'This launch is no longer there.',
  )
})

test('a launch that goes leaves its campaigns; a campaign goes by itself', () => {
  let r = world()
  r = after(r, removeLaunch(r, { launch: 'launch' }, c))
  expect([...r.campaigns.values()].map((x) => x.launch)).toEqual([undefined, undefined])
  const id = [...r.campaigns.keys()][0] ?? ''
  r = after(r, dropCampaign(r, { campaign: id }, c))
  expect([r.campaigns.size, refusalOf(dropCampaign(r, { campaign: id }, c))]).toEqual([
    1,
    'This campaign is no longer there.',
  ])
})

test('a launch asks for kinds of episode around it: a tutorial before, a talk from its first day on', () => {
  const launch = world().launches.get('launch')
  if (!launch) throw new Error('gone')
  const around = [
    { form: 'tutorial', side: 'before' as const },
    { form: 'Talk', side: 'after' as const },
  ]
  const supporter = (id: string, form: string, release: string): Supporter => ({
    ...{
      episode: exampleEpisode({ id }),
      title: id,
      number: '#1',
      release,
      ready: false,
      outlook: undefined,
      form,
    },
  })
  const missing = (...all: Supporter[]) =>
    launchStanding({ ...launch, around, episodes: all.map((s) => s.episode.id) }, all, [], today).missing
  expect(missing()).toEqual(['no tutorial before it', 'no Talk from its first day on'])
  expect(missing(supporter('a', 'Tutorial', '2026-12-03'), supporter('b', 'talk', '2026-12-03'))).toEqual([
    'no Talk from its first day on',
  ])
  expect(missing(supporter('a', 'tutorial', '2026-12-03'), supporter('b', 'talk', '2026-12-10'))).toEqual([])
})
