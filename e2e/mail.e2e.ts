import type { Page } from '@playwright/test'
import ical from 'node-ical'
import { expect, moment, png, stored, test } from './fixtures'
import { OwnServer, stopServers } from './own-server'

test.afterEach(stopServers)

/** Network failures are part of these tests; only errors of the page itself count. */
async function pageOf(page: Page, url: string): Promise<Page> {
  await page.clock.install({ time: moment })
  await page.goto(url)
  return page
}
async function began(page: Page, server: OwnServer): Promise<void> {
  await page.goto(server.base)
  await page.getByLabel('Name of the show').fill('Tern & Tiller')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Tuesday 24 November' })).toBeVisible()
  await stored(page)
}
const look = async (page: Page) => {
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
}

test('from the phone to the desk exactly once, with the server killed between fetch and acknowledgement', async ({
  browser,
}) => {
  test.slow()
  const server = new OwnServer()
  await server.start()
  const desk = await (await browser.newContext()).newPage()
  await desk.clock.install({ time: moment })
  await began(desk, server)
  const phone = await pageOf(
    await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage(),
    `${server.base}/jot`,
  )

  await test.step('what is jotted while nobody answers waits, survives a reload, and goes over once somebody does', async () => {
    await server.kill()
    await phone.getByLabel('The idea').fill('From the ferry')
    await phone.getByRole('button', { name: 'Keep it' }).click()
    await expect(phone.getByRole('region', { name: 'Waiting' })).toContainText('From the ferry')
    let killed = 0
    await desk.route('**/mail/taken', async (route) => {
      // The desk has fetched and kept the letter; the server dies before it hears so.
      if (killed++ === 0) await server.kill()
      await route.abort()
    })
    await server.start()
    await phone.reload()
    await expect(phone.getByRole('region', { name: 'Handed over' })).toContainText('From the ferry')
    // The desk may only just have begun to listen.
    await expect
      .poll(async () => {
        await look(desk)
        return killed
      })
      .toBeGreaterThan(0)
  })
  await test.step('the letter comes a second time and is kept once', async () => {
    await server.start()
    await desk.unroute('**/mail/taken')
    await look(desk)
    await expect.poll(async () => (await (await fetch(`${server.base}/mail`)).json()).waiting).toBe(0)
    await desk.keyboard.press('2')
    await expect(desk.getByRole('list', { name: 'Ideas' }).getByRole('listitem')).toHaveCount(1)
    await expect(desk.getByRole('list', { name: 'Ideas' })).toContainText('From the ferry')
  })
})

test('a wish from the audience arrives as text, and whoever asked is listed when it is out', async ({
  browser,
}) => {
  test.slow()
  const server = new OwnServer()
  await server.start()
  const desk = await (
    await browser.newContext({ permissions: ['clipboard-read', 'clipboard-write'] })
  ).newPage()
  await desk.clock.install({ time: moment })
  await began(desk, server)
  await desk.goto(`${server.base}/ideas/mailbox`)
  await desk.getByRole('checkbox', { name: 'The post-box is open' }).check()
  await expect(desk.getByRole('link', { name: /\/post$/ })).toBeVisible()

  const viewer = await pageOf(await (await browser.newContext()).newPage(), `${server.base}/post`)
  const hostile = 'Knots <img src=x onerror="document.title=1"> please'
  await viewer.getByLabel('What would you like to see or hear?').fill(hostile)
  await viewer.getByLabel('A link, if there is one').fill('https://knots.example/ten')
  await viewer
    .getByLabel(/A picture/)
    .setInputFiles({ name: 'knot.png', mimeType: 'image/png', buffer: png(20, 10, [200, 120, 40]) })
  await viewer.getByLabel('Your name, if you like').fill('Mara')
  await viewer.getByLabel('Your mail address, if you like').fill('mara@post.example')
  await viewer.getByLabel('Tell me when it’s out').check()
  await viewer.getByRole('button', { name: 'Send the wish' }).click()
  await expect(viewer.getByRole('status')).toContainText('It is in the post-box')

  await look(desk)
  await desk.getByRole('link', { name: 'Sort 1' }).click()
  await expect(desk.getByTestId('sorting')).toHaveText(hostile)
  await expect(desk).toHaveTitle(/Sort ideas/)
  await expect(desk.getByRole('region', { name: 'The idea to sort' })).toContainText(
    'Asked for by Mara, who wants to be told',
  )
  await expect(desk.getByRole('region', { name: 'The idea to sort' }).locator('img')).toBeVisible()
  await desk.keyboard.press('n')
  await desk.getByRole('link', { name: 'All', exact: true }).click()
  await desk.getByRole('list', { name: 'Ideas' }).getByRole('button').first().click()
  await desk.keyboard.press('p')
  await desk
    .getByRole('list', { name: /Open slots/ })
    .getByRole('button')
    .first()
    .click()
  await desk.clock.setSystemTime(new Date('2026-11-26T18:00:00Z'))
  await look(desk)
  await desk.keyboard.press('1')
  await desk.getByRole('button', { name: /^Yes, at/ }).click()
  const told = desk.getByRole('region', { name: /Who wanted to be told/ })
  await expect(told).toContainText('mara@post.example')
  await told.getByRole('button', { name: 'Copy the message' }).click()
  expect(await desk.evaluate(() => navigator.clipboard.readText())).toContain(
    'You asked for it, and it is out',
  )
  await told.getByRole('button', { name: 'They have been told' }).click()
  await expect(told).toHaveCount(0)
})

test('open to other devices, the desk has the key from the address it was started with, and the phone from the code', async ({
  browser,
}) => {
  const server = new OwnServer()
  await server.start('--host', '127.0.0.1')
  const key = server.key
  const desk = await (await browser.newContext()).newPage()
  await desk.clock.install({ time: moment })
  await desk.goto(`${server.base}/#key=${key}`)
  await desk.getByLabel('Name of the show').fill('Tern & Tiller')
  await desk.getByRole('button', { name: 'Begin' }).click()
  await desk.getByRole('heading', { level: 1, name: 'Tuesday 24 November' }).waitFor()
  await stored(desk)
  await desk.goto(`${server.base}/ideas/mailbox`)
  await expect(desk.getByText(/The mailbox is within reach/)).toBeVisible()
  await expect(desk.getByRole('img', { name: 'Code with the phone’s address and key' })).toBeVisible()
  expect(await desk.getByText(/\/jot#key=/).innerText()).toContain(`/jot#key=${key}`)
  const stranger = await pageOf(await (await browser.newContext()).newPage(), `${server.base}/jot`)
  await stranger.getByLabel('The idea').fill('From nobody')
  await stranger.getByRole('button', { name: 'Keep it' }).click()
  await expect(stranger.getByRole('alert')).toContainText('not known to the mailbox')
  const phone = await pageOf(await (await browser.newContext()).newPage(), `${server.base}/jot#key=${key}`)
  expect(phone.url()).not.toContain(key)
  await phone.getByLabel('The idea').fill('From the phone')
  await phone.getByRole('button', { name: 'Keep it' }).click()
  await expect(phone.getByRole('region', { name: 'Handed over' })).toContainText('From the phone')
  await look(desk)
  await expect(desk.getByText('Took in “From the phone”')).toBeVisible()
})

test('a calendar program that subscribes reads releases, due dates and work; a revoked address finds nothing', async ({
  browser,
}) => {
  const server = new OwnServer()
  await server.start()
  const desk = await (await browser.newContext()).newPage()
  await desk.clock.install({ time: moment })
  await began(desk, server)
  await desk.keyboard.press('i')
  await desk.keyboard.type('Ribs; bent, cold')
  await desk.keyboard.press('Enter')
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('2')
  await desk.getByRole('list', { name: 'Ideas' }).getByRole('button').first().click()
  await desk.keyboard.press('p')
  await desk
    .getByRole('list', { name: /Open slots/ })
    .getByRole('button')
    .nth(1)
    .click()
  await desk.getByRole('link', { name: 'Schedule' }).click()
  await desk.getByRole('button', { name: 'Calendar', exact: true }).click()
  await desk.getByRole('button', { name: 'Give an address to subscribe to' }).click()
  const address =
    /http\S+\.ics/.exec(await desk.getByText('To subscribe to:').locator('..').innerText())?.[0] ?? ''
  // Read by another reader than the one that wrote it.
  const events = Object.values(ical.sync.parseICS(await (await fetch(address)).text())).flatMap((e) =>
    e?.type === 'VEVENT' ? [e] : [],
  )
  const out = events.find((e) => typeof e.summary === 'string' && e.summary.includes('goes out'))
  expect(out?.summary).toBe('#2 Ribs; bent, cold goes out')
  expect(out?.start.toISOString()).toBe('2026-12-03T17:00:00.000Z')
  expect(out?.alarms?.length).toBe(1)
  expect(events.filter((e) => e.uid.startsWith('due-'))).toHaveLength(3)
  expect(events.some((e) => e.uid.startsWith('work-'))).toBe(true)
  await desk.getByRole('button', { name: 'A new address, the old one ends' }).click()
  await expect.poll(async () => (await fetch(address)).status).toBe(404)
})

test('the page for jotting opens without network once visited, takes what is shared, and hands over as codes', async ({
  browser,
}) => {
  const server = new OwnServer()
  await server.start()
  const context = await browser.newContext()
  const page = await pageOf(await context.newPage(), `${server.base}/jot`)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => true))
  await server.kill()
  await page.goto(`${server.base}/jot?title=Tarring%20a%20rope&text=https%3A%2F%2Frope.example%2Ftar`)
  await expect(page.getByLabel('The idea')).toHaveValue('Tarring a rope')
  await expect(page.getByText('From https://rope.example/tar')).toBeVisible()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('button', { name: 'Show as codes' }).click()
  const code = page.getByRole('img', { name: 'Code 1 of 1' })
  await expect(code).toBeVisible()
  const picture = await code.screenshot()
  await server.start()
  const desk = await (await browser.newContext()).newPage()
  await desk.clock.install({ time: moment })
  await began(desk, server)
  await desk.goto(`${server.base}/ideas/mailbox`)
  const read = desk.getByLabel('Read codes from pictures')
  await read.setInputFiles({ name: 'code.png', mimeType: 'image/png', buffer: picture })
  await expect(desk.getByText('Took in “Tarring a rope”')).toBeVisible()
  await read.setInputFiles({ name: 'code.png', mimeType: 'image/png', buffer: picture })
  await expect(desk.getByText('All of these are here already.')).toBeVisible()
})
