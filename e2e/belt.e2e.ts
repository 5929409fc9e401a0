import { findings } from './axe'
import type { Page } from '@playwright/test'
import { demo, expect, moment, stored, test } from './fixtures'
import { OwnServer, stopServers } from './own-server'

test.afterEach(stopServers)

/** The desk looks into the mailbox now. */
const look = (page: Page) => page.evaluate(() => window.dispatchEvent(new Event('focus')))
/** How many letters wait in the mailbox. */
async function waiting(server: OwnServer): Promise<unknown> {
  const answer = await fetch(`${server.base}/mail`, { headers: { 'x-lamp-key': server.key } })
  const body: unknown = await answer.json()
  return typeof body === 'object' && body !== null && 'waiting' in body ? body.waiting : undefined
}

test('the belt: a tick survives a killed server and comes once; what the desk changed meanwhile stands; it opens without network', async ({
  browser,
}) => {
  test.slow()
  const server = new OwnServer()
  await server.start('--host', '127.0.0.1', '--start', 'demo')
  const desk = await (await browser.newContext()).newPage()
  await desk.clock.install({ time: moment })
  await desk.goto(`${server.base}/#key=${server.key}`)
  await demo(desk, `${server.base}/sessions`)
  await expect(desk.getByRole('heading', { name: /^Film two together/ })).toBeVisible()
  await desk.keyboard.press('Enter')
  await desk.getByRole('link', { name: /^Open Filming/ }).click()
  await desk.getByRole('button', { name: /^Begin setting up/ }).click()
  await desk.getByRole('button', { name: /^First one/ }).click()
  await desk.getByRole('button', { name: /^Go on all the same/ }).click()
  const says = desk.getByText(/^\d+ of \d+ shots/)
  await expect(says).toContainText('0 of')
  await stored(desk)

  const started =
    (await desk.getByRole('region', { name: 'In hand' }).getByRole('heading').textContent()) ?? ''
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const phone = await context.newPage()
  await phone.goto(`${server.base}/belt#key=${server.key}`)
  const hand = phone.getByRole('group', { name: 'In hand' })
  await test.step('the session comes to the phone', async () => {
    await expect(async () => {
      await desk.clock.runFor(2000)
      await expect(hand.getByRole('heading')).toHaveText(started, { timeout: 2000 })
    }).toPass({ timeout: 60_000 })
  })

  const drawn = 'New bolt turning in, compound squeezing out'
  const sketch = hand.getByRole('img', { name: `How ${drawn} is meant` })
  await test.step('a shot that was drawn has its sketch on the phone', async () => {
    const shots = phone.getByRole('list', { name: 'All shots' })
    await shots.getByRole('button', { name: drawn }).click()
    await expect(async () => {
      await desk.clock.runFor(2000)
      await expect(sketch).toBeVisible({ timeout: 2000 })
    }).toPass({ timeout: 60_000 })
    await expect(sketch).toBeInViewport()
    expect(await sketch.evaluate((i) => (i instanceof HTMLImageElement ? i.naturalWidth : 0))).toBe(480)
    await shots.getByRole('button', { name: started }).click()
    await expect(hand.getByRole('heading')).toHaveText(started)
  })

  await test.step('it fits a phone, and axe finds nothing on it', async () => {
    for (const part of ['Today', 'Scripts', 'Ideas', 'Session']) {
      await phone.getByRole('button', { name: part, exact: true }).click()
      expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
      expect(await findings(phone), part).toEqual([])
    }
  })

  await test.step('the server dies between a tick and its acknowledgement; the tick comes once', async () => {
    let killed = false
    await phone.route('**/mail/letters/*', async (route) => {
      // The mailbox has it safe; the phone never hears so.
      await route.fetch()
      killed = true
      await server.kill()
      await route.abort()
    })
    await hand.getByRole('button', { name: 'Got it' }).click()
    await expect.poll(() => killed).toBe(true)
    await expect(phone.getByRole('status')).toContainText('out of reach')
    await phone.unroute('**/mail/letters/*')
    await server.start('--host', '127.0.0.1', '--start', 'demo')
    await expect(phone.getByRole('status')).toContainText('in touch', { timeout: 30_000 })
    await expect(async () => {
      await look(desk)
      await expect(says).toContainText('1 of', { timeout: 2000 })
    }).toPass({ timeout: 60_000 })
    await expect.poll(() => waiting(server)).toBe(0)
    await stored(desk)
  })

  await test.step('hours out of reach: several deeds wait; what the desk got meanwhile is not put off', async () => {
    await context.setOffline(true)
    const first = (await hand.getByRole('heading').textContent()) ?? ''
    await hand.getByLabel('A remark for the edit').fill('the light was late')
    await hand.getByRole('button', { name: 'Keep' }).click()
    await hand.getByRole('button', { name: 'Not today' }).click()
    await expect(phone.getByRole('list', { name: 'All shots' })).toContainText(`${first}, not today`)
    // The same shot, at the desk.
    await expect(desk.getByRole('region', { name: 'In hand' }).getByRole('heading')).toHaveText(first)
    await desk.keyboard.press('Space')
    await expect(says).toContainText('2 of')
    await context.setOffline(false)
    await expect(async () => {
      await look(desk)
      await desk.clock.runFor(2000)
      await expect(phone.getByRole('alert')).toContainText('had changed', { timeout: 4000 })
    }).toPass({ timeout: 60_000 })
    await expect(phone.getByRole('alert')).toContainText(first)
    await expect(says).toContainText('2 of')
    await expect(desk.getByRole('region', { name: 'Not today' })).toHaveCount(0)
  })

  await test.step('without network the last snapshot opens, with its scripts to read', async () => {
    // What keeps the page may have been given up when the server died; the next visit begins anew.
    await phone.reload()
    await expect(hand).toBeVisible()
    const isKept = () =>
      phone.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state)
    await expect.poll(isKept, { timeout: 60_000 }).toBe('activated')
    await context.setOffline(true)
    await phone.reload()
    await expect(hand).toBeVisible()
    await phone.getByRole('list', { name: 'All shots' }).getByRole('button', { name: drawn }).click()
    await expect(sketch).toBeVisible()
    await phone.getByRole('button', { name: 'Scripts', exact: true }).click()
    await phone.getByRole('button', { name: /Why my keel bolts/ }).click()
    await expect(phone.getByText(/There is a brown tear running down this plank/)).toBeVisible()
  })
})
