import type { Page } from '@playwright/test'
import { findings } from './axe'
import { demo, expect, moment, stored, test, visit } from './fixtures'
import { OwnServer, stopServers } from './own-server'

test.afterEach(stopServers)

/** The desk looks into the mailbox now, and hands its pages over a moment later. */
async function look(desk: Page): Promise<void> {
  await desk.evaluate(() => window.dispatchEvent(new Event('focus')))
  await desk.clock.runFor(1000)
}
async function openDesk(desk: Page, server: OwnServer, path: string): Promise<void> {
  await desk.clock.install({ time: moment })
  await desk.goto(`${server.base}/#key=${server.key}`)
  await demo(desk, server.base + path)
}
/** The address of the page that was given out, once the server has it. */
async function addressOn(desk: Page, name: RegExp): Promise<string> {
  const link = desk.getByRole('region', { name }).getByRole('link')
  await expect(async () => {
    await desk.clock.runFor(1000)
    await expect(link).toHaveAttribute('href', /\/for\//, { timeout: 2000 })
  }).toPass({ timeout: 60_000 })
  return (await link.getAttribute('href')) ?? ''
}

test('a cut goes to a helper and comes back, with the server killed between; what is ticked and asked comes once', async ({
  browser,
}) => {
  test.slow()
  const server = new OwnServer()
  await server.start('--host', '127.0.0.1', '--start', 'demo')
  const desk = await (await browser.newContext()).newPage()
  await openDesk(desk, server, '/schedule')
  await desk.locator('a', { hasText: 'The ferry pilot' }).first().click()
  await desk.getByRole('link', { name: /^Edit/ }).click()
  const { helper, address } = await test.step('it is given to a helper, who gets a page', async () => {
    await desk.getByRole('button', { name: 'Hand over' }).click()
    await desk.getByRole('button', { name: 'Give them a page' }).click()
    await expect(desk.getByRole('alert')).toHaveText(/Say who it goes to/)
    await desk.getByRole('textbox', { name: 'Who cuts it' }).fill('Jory <b>Pell</b>')
    await desk.getByRole('textbox', { name: 'Who cuts it' }).press('Tab')
    await desk.getByRole('button', { name: 'Give them a page' }).click()
    const address = await addressOn(desk, /^With Jory/)
    // The address that other machines have may not be this one's.
    const here = server.base + new URL(address).pathname
    const helper = await (await browser.newContext()).newPage()
    await helper.goto(here)
    await expect(helper.getByRole('heading', { level: 1 })).toContainText('The ferry pilot')
    await expect(helper.getByText('For Jory <b>Pell</b>')).toBeVisible()
    await expect(helper.getByRole('checkbox')).toHaveCount(3)
    expect(await findings(helper)).toEqual([])
    return { helper, address: here }
  })
  const status = helper.getByRole('banner').or(helper.locator('header')).getByRole('status')
  await test.step('the server dies after it has a tick, before it says so; the tick comes once', async () => {
    let killed = false
    await helper.route('**/letters/*', async (route) => {
      await route.fetch()
      killed = true
      await server.kill()
      await route.abort()
    })
    await helper.getByRole('checkbox', { name: /chair that creaks/ }).check()
    await expect.poll(() => killed).toBe(true)
    await expect(status).toContainText('out of reach', { timeout: 30_000 })
    await helper.unroute('**/letters/*')
    await helper.getByRole('textbox', { name: 'Ask something' }).fill('Which of the two bells?')
    await helper.keyboard.press('Enter')
    await helper.getByRole('button', { name: 'I have it' }).click()
    await server.start('--host', '127.0.0.1', '--start', 'demo')
    await expect(status).toContainText('in touch', { timeout: 30_000 })
  })
  const lies = desk.getByRole('region', { name: /^With Jory/ })
  await test.step('at the desk it is ticked, opened, and asked; the answer stands on the page', async () => {
    await expect(async () => {
      await look(desk)
      await expect(lies).toContainText('1 of 3 ticked', { timeout: 2000 })
    }).toPass({ timeout: 60_000 })
    await expect(lies).toContainText('opened')
    await expect(desk.getByRole('checkbox', { name: /chair that creaks/ })).toBeChecked()
    await expect(lies.getByText('Which of the two bells?')).toHaveCount(1)
    await lies.getByRole('textbox', { name: 'Answer' }).fill('The second.')
    await lies.getByRole('textbox', { name: 'Answer' }).press('Tab')
    await stored(desk)
    await expect(async () => {
      await look(desk)
      await expect(helper.getByText('The second.')).toBeVisible({ timeout: 6000 })
    }).toPass({ timeout: 60_000 })
  })
  await test.step('Today says what a helper has, and since when', async () => {
    await visit(desk, '/today')
    const row = desk.getByRole('region', { name: 'With helpers' }).getByRole('listitem')
    await expect(row).toContainText('1 of 3 ticked')
    await row.getByRole('link').click()
    await expect(lies).toBeVisible()
  })
  await test.step('the next cut comes back by its address; its round begins, and the edit waits no longer', async () => {
    await helper.getByLabel('Its address, or the file’s name').fill('https://cuts.example/pilot-2')
    await helper.getByRole('button', { name: 'Hand back' }).click()
    await expect(helper.getByText(/^(It is on its way to the desk|It has arrived)\./)).toBeVisible()
    await expect(async () => {
      await look(desk)
      await expect(desk.getByText('Harbour Hours HH 19, cut 2')).toBeVisible({ timeout: 2000 })
    }).toPass({ timeout: 60_000 })
    await expect(desk.getByRole('link', { name: 'https://cuts.example/pilot-2' })).toBeVisible()
    await expect(desk.getByText(/^waits on Jory/)).toHaveCount(0)
  })
  await test.step('taken back, the address answers nothing', async () => {
    await lies.getByRole('button', { name: 'Take back' }).click()
    await expect(lies).toHaveCount(0)
    await expect(async () => {
      await look(desk)
      await helper.goto(address)
      await expect(helper.getByRole('status')).toContainText('nothing at this address', { timeout: 3000 })
    }).toPass({ timeout: 60_000 })
  })
})

test('an assistant copies fields by one key and says what is scheduled; the desk has it', async ({
  browser,
}) => {
  test.slow()
  const server = new OwnServer()
  await server.start('--host', '127.0.0.1', '--start', 'demo')
  const desk = await (await browser.newContext()).newPage()
  await openDesk(desk, server, '/release')
  await desk.getByRole('button', { name: 'To an assistant' }).click()
  await desk.getByRole('textbox', { name: 'Who hands it over' }).fill('Wren')
  await desk.getByRole('button', { name: 'Give them a page' }).click()
  const address = await addressOn(desk, /^With Wren/)
  const context = await browser.newContext({ permissions: ['clipboard-read', 'clipboard-write'] })
  const page = await context.newPage()
  await page.goto(server.base + new URL(address).pathname)
  const fields = page.getByRole('region', { name: /, out / })
  await expect(fields).toBeVisible()
  const title = (await fields.getByRole('listitem').first().locator('p').textContent())?.trim() ?? ''
  await page.keyboard.press('c')
  await expect(fields.getByRole('status')).toContainText('1 of')
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(title)
  expect(await findings(page)).toEqual([])
  const outlet = (await fields.getByRole('heading').textContent())?.split(',')[0]?.trim() ?? ''
  await page.getByRole('button', { name: 'Scheduled', exact: true }).click()
  await expect(page.getByRole('heading', { name: /^1 of \d+ scheduled/ })).toBeVisible()
  await expect(async () => {
    await look(desk)
    const states = desk.getByRole('list', { name: 'How far it is' })
    await desk
      .getByRole('button', { name: new RegExp(outlet) })
      .first()
      .click({ timeout: 2000 })
      .catch(() => undefined)
    await expect(states.getByRole('button', { name: /^Scheduled/ })).toHaveAttribute('aria-pressed', 'true', {
      timeout: 2000,
    })
  }).toPass({ timeout: 60_000 })
})

test('two reviewers look at a cut in turn, each on a page of their own; their notes stand at their moments', async ({
  browser,
}) => {
  test.slow()
  const server = new OwnServer()
  await server.start('--host', '127.0.0.1', '--start', 'demo')
  const desk = await (await browser.newContext()).newPage()
  await openDesk(desk, server, '/schedule')
  await desk.locator('a', { hasText: 'The ferry pilot' }).first().click()
  await desk.getByRole('link', { name: /^Edit/ }).click()
  const notes = desk.getByRole('list', { name: 'Notes on the cut' }).getByRole('listitem')
  await expect(notes).toHaveCount(4)
  for (const [who, line, count] of [
    ['Wren', '5:10 ! the bell is too loud', 5],
    ['Ansel', '0:40 I smiled here', 6],
  ] as const) {
    await desk.getByRole('button', { name: 'Ask for a look' }).click()
    await desk.getByRole('textbox', { name: 'Who looks at it' }).fill(who)
    await desk.getByRole('button', { name: 'Give them a page' }).click()
    const lies = desk.getByRole('region', { name: new RegExp(`^With ${who}`) })
    const address = await addressOn(desk, new RegExp(`^With ${who}`))
    const page = await (await browser.newContext()).newPage()
    await page.goto(server.base + new URL(address).pathname)
    await page.getByRole('textbox', { name: 'A time, then words' }).fill(line)
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'I have seen all of it' }).click()
    await expect(page.getByText('You are through.')).toBeVisible()
    expect(await findings(page)).toEqual([])
    await expect(async () => {
      await look(desk)
      await expect(lies).toContainText('through: ask the next one', { timeout: 2000 })
    }).toPass({ timeout: 60_000 })
    await expect(notes).toHaveCount(count)
    await expect(notes.filter({ hasText: `by ${who}` })).toHaveCount(1)
    await lies.getByRole('button', { name: 'Take back' }).click()
    await expect(lies).toHaveCount(0)
  }
})
