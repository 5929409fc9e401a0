import { demo, expect, png, stored, test, visit } from './fixtures'
import type { Page } from '@playwright/test'

/** What is in hand in a session. */
const inHand = (page: Page) => page.getByRole('region', { name: 'In hand' })

/** Some minutes go by. */
async function pass(page: Page, minutes: number) {
  await page.clock.fastForward(minutes * 60_000)
}

test('three episodes are filmed in one session, from proposal to strike, by keys alone', async ({
  desk: page,
}) => {
  test.slow()
  await demo(page, '/week')
  await test.step('a third is made ready, and the day is long enough', async () => {
    await page.getByLabel('Choose Wed 25 Nov').check()
    await page.getByLabel('Hours on each day chosen').fill('8')
    await page.getByRole('button', { name: '8 h each' }).click()
    await page.getByRole('link', { name: 'Schedule', exact: true }).click()
    await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
    await page.getByRole('link', { name: /^Script/ }).click()
    await page.getByLabel('Write the script is done').check()
    await page.getByRole('link', { name: /^Film/ }).click()
    await page.getByLabel('Lay out the bench is done').check()
    await page.getByRole('button', { name: 'How Bark coming off in one long strip is filmed' }).click()
    const sketch = { name: 'sketch.png', mimeType: 'image/png', buffer: png(640, 360, [190, 180, 160]) }
    await page.getByLabel('Picture of Bark coming off in one long strip').setInputFiles(sketch)
    await expect(page.getByAltText('How Bark coming off in one long strip is meant')).toBeVisible()
    await stored(page)
  })

  await test.step('they are proposed together, laid and opened', async () => {
    await page.keyboard.press('5')
    await expect(page.getByRole('heading', { name: 'Film three together' })).toBeVisible()
    await expect(page.getByText('saves 1 h 45').first()).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('link', { name: /^Filming, Wed 25 Nov/ })).toContainText('#44')
    await page.keyboard.press('o')
    await expect(page.getByRole('heading', { level: 1, name: 'Filming' })).toBeVisible()
    await expect(page.getByText(/changes of set-up, \d+ episode by episode; saves/)).toBeVisible()
  })

  const says = page.getByText(/^\d+ of \d+ shots/)
  await test.step('what is not ready stops the start once; then it rolls', async () => {
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: /^First one/ })).toBeVisible()
    for (let i = 0; i < 4; i++) {
      const open = page.getByRole('region', { name: 'Before the first shot' }).getByRole('checkbox')
      await page.keyboard.press('k')
      await expect(open.nth(i)).toBeChecked()
    }
    await pass(page, 30)
    await page.keyboard.press('Enter')
    await expect(page.getByText(/Not ready yet: Laid out: .* and 1 more/)).toBeVisible()
    await expect(page.getByRole('button', { name: /^Go on all the same/ })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(says).toContainText('0 of')
  })

  const row = page.getByRole('listitem')
  await test.step('takes with a reason, one put off, a remark, one that came to mind, a break', async () => {
    await pass(page, 6)
    await page.keyboard.press('f')
    await expect(inHand(page).getByText('Take 1 focus')).toBeVisible()
    await pass(page, 5)
    await page.keyboard.press('Space')
    await expect(says).toContainText('1 of')
    await page.keyboard.press('e')
    await page.keyboard.type('hold the second one')
    await page.keyboard.press('Enter')
    await expect(page.getByText('Noted for the edit: hold the second one')).toBeVisible()
    await page.keyboard.press('a')
    await page.keyboard.type('Gulls over the slip')
    await page.keyboard.press('Enter')
    await expect(row.filter({ hasText: 'Gulls over the slip' }).first()).toBeVisible()
    const put = (await inHand(page).getByRole('heading').textContent()) ?? ''
    await page.keyboard.press('n')
    await expect(page.getByText(/is put off; .* needs another day for it/)).toBeVisible()
    await expect(page.getByRole('region', { name: 'Not today' })).toContainText(put)
    await page.keyboard.press('b')
    await expect(page.getByRole('button', { name: /^Go on/ })).toBeVisible()
    await pass(page, 20)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: /^Got it/ })).toBeVisible()
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Alt+ArrowUp')
    await stored(page)
  })

  await test.step('the page is gone and comes back: it goes on where it was', async () => {
    const here = (await inHand(page).getByRole('heading').textContent()) ?? ''
    await page.reload()
    await expect(inHand(page).getByRole('heading')).toHaveText(here)
    await expect(says).toContainText('1 of')
  })

  await test.step('the rest is got, copied, and struck', async () => {
    const [, all = '0'] = /of (\d+)/.exec((await says.textContent()) ?? '') ?? []
    const bark = 'Bark coming off in one long strip'
    let seen = 0
    for (let n = 2; n <= Number(all); n++) {
      await pass(page, 4)
      if ((await inHand(page).getByRole('heading').textContent()) === bark) {
        await expect(inHand(page).getByAltText(`How ${bark} is meant`)).toBeVisible()
        seen++
      }
      await page.keyboard.press('Space')
      await expect(says).toContainText(`${n} of ${all}`)
    }
    await expect(page.getByText('All of it is got.')).toBeVisible()
    expect(seen).toBe(1)
    await page.keyboard.press('k')
    await expect(page.getByLabel('Cards copied to two places')).toBeChecked()
    await page.keyboard.press('Shift+Enter')
    await expect(page.getByText(new RegExp(`Filming struck: ${all} of ${all} got`))).toBeVisible()
    await stored(page)
  })

  await test.step('Film is lit where all of it was got, and what was put off is planned again', async () => {
    const put = (await page.getByRole('region', { name: 'Not today' }).textContent()) ?? ''
    const steps = page.getByRole('region', { name: 'Steps of Film' })
    for (const [number, title] of [
      ['#43', 'Why my keel bolts'],
      ['#44', 'Cutting a spar'],
    ] as const) {
      await page.keyboard.press('3')
      await page.locator('tbody a', { hasText: title }).first().click()
      await page.getByRole('link', { name: /^Film/ }).click()
      const film = steps.getByLabel('Film the shots is done')
      await expect(film).toBeChecked({ checked: !put.includes(number) })
      if (put.includes(number)) continue
      await expect(steps.getByLabel('Copy the footage to two places is done')).toBeChecked()
    }
  })
})

test('a talk is recorded with marks at their time, and stock footage for no episode yet', async ({
  desk: page,
}) => {
  await demo(page, '/sessions')
  await test.step('the talk: its questions in order, a mark at its time stands in the edit’s list', async () => {
    await page.getByRole('button', { name: 'New session' }).click()
    await page.getByLabel('What is done').selectOption('record')
    await page.getByRole('checkbox', { name: /Night tides/ }).check()
    await page
      .getByRole('button', { name: /^Lay it on Tue 24 Nov/ })
      .first()
      .click()
    await page.getByRole('link', { name: 'Open Recording on Tue 24 Nov' }).click()
    await page.getByRole('button', { name: /^Begin setting up/ }).click()
    await page.getByRole('button', { name: /^First one/ }).click()
    await page.getByRole('button', { name: /^Go on all the same/ }).click()
    await expect(inHand(page).getByRole('button', { name: /^good/ })).toBeVisible()
    await pass(page, 3)
    await page.keyboard.press('g')
    await expect(page.getByText('Marked at 3:00: good')).toBeVisible()
    await stored(page)
    await page.getByRole('button', { name: /^Strike here/ }).click()
    await visit(page, '/schedule')
    await page.locator('tbody a', { hasText: 'Night tides' }).first().click()
    await page.getByRole('link', { name: /^Edit/ }).click()
    await expect(page.getByRole('region', { name: 'For the edit' })).toContainText('3:00')
  })

  await test.step('stock: what is said is filmed, ticked, and kept with the session', async () => {
    await visit(page, '/sessions')
    await page.getByRole('button', { name: 'New session' }).click()
    await page.getByLabel('What is done').selectOption('stock')
    await page
      .getByRole('button', { name: /^Lay it on Tue 24 Nov/ })
      .first()
      .click()
    await expect(page.getByRole('heading', { level: 1, name: 'Stock footage' })).toBeVisible()
    for (const shot of ['Fog over the slip', 'Rope drying']) {
      await page.keyboard.press('a')
      await page.keyboard.type(shot)
      await page.keyboard.press('Enter')
      await expect(page.getByRole('listitem').filter({ hasText: shot }).first()).toBeVisible()
    }
    await page.getByRole('link', { name: 'Today', exact: true }).click()
    await expect(page.getByRole('region', { name: 'Session: Stock footage' })).toContainText('1 h')
  })
})

test('a session moves as one block, and a step taken elsewhere is no longer of it', async ({
  desk: page,
}) => {
  await demo(page, '/sessions')
  await expect(page.getByRole('heading', { name: 'Film two together' })).toBeVisible()
  await page.keyboard.press('Enter')
  const laid = page.getByRole('region', { name: 'Laid' })
  await expect(laid.getByRole('link', { name: /^Filming, Wed 25 Nov/ })).toBeVisible()
  await stored(page)
  await page.getByRole('link', { name: 'Week', exact: true }).click()
  const block = page.getByRole('button', { name: /^Session: Filming/ })
  await expect(block).toHaveAccessibleName(/#43 .*4 h/)
  await block.focus()
  await page.keyboard.press('Alt+ArrowDown')
  const thursday = page.getByRole('listitem', { name: 'Thu 26 Nov' })
  await expect(thursday.getByRole('button', { name: /^Session: Filming/ })).toBeFocused()
  await page.keyboard.press('Control+z')
  const wednesday = page.getByRole('listitem', { name: 'Wed 25 Nov' })
  await expect(wednesday.getByRole('button', { name: /^Session: Filming/ })).toBeVisible()
})
