import { writeFile } from 'node:fs/promises'
import { begin, demo, expect, test } from './fixtures'

test('bad input gets a sentence, and the data stays as it was', async ({ desk: page }) => {
  await demo(page, '/shows')
  await page.getByLabel('Name', { exact: true }).first().fill(' ')
  await page.getByLabel('Name', { exact: true }).first().press('Tab')
  await expect(page.getByText('A show needs a name.', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Thursday' }).click()
  await expect(page.getByText('Choose at least one weekday on which it goes out.').first()).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Name', { exact: true }).first()).toHaveValue('Tern & Tiller')
  await expect(page.getByRole('button', { name: 'Thursday' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('link', { name: 'Change the recipe The whole workshop' }).click()
  await page.getByRole('button', { name: 'Step Write the script' }).click()
  await page.getByRole('checkbox', { name: 'Needs Film the shots' }).click()
  await expect(
    page
      .getByText(/wait for each other in a circle: “Write the script” needs “Film the shots” needs/)
      .first(),
  ).toBeVisible()
  await expect(page.getByRole('checkbox', { name: 'Needs Film the shots' })).not.toBeChecked()
  await page.getByLabel('Pattern', { exact: true }).fill('{description} {chpaters}')
  await page.getByLabel('Pattern', { exact: true }).press('Tab')
  await expect(
    page.getByText('“{chpaters}” is not a word of the pattern.', { exact: false }).first(),
  ).toBeVisible()
})

test('a 40 MB picture is refused, saying how to mend it', async ({ desk: page }, info) => {
  const huge = info.outputPath('huge.png')
  await writeFile(huge, Buffer.alloc(40 * 1024 * 1024))
  await demo(page, '/schedule')
  await page.getByRole('button', { name: 'Pictures of Why my keel bolts wept rust' }).click()
  await page.getByLabel('Picture files').setInputFiles(huge)
  await expect(page.getByRole('alert')).toContainText(
    '“huge.png” has 40 MB; at most 20 MB are taken. Save it smaller',
  )
  await page
    .getByLabel('Picture files')
    .setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('no png') })
  await expect(page.getByRole('alert')).toContainText('“broken.png” cannot be read')
  await expect(page.getByRole('heading', { name: 'No picture yet' })).toBeVisible()
})

test('when the browser has no room, it says so with a way out and takes the change back', async ({
  page,
}) => {
  await begin(page)
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tuesday 24 November')
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await page.keyboard.press('i')
  await expect(page.getByRole('textbox', { name: 'Jot an idea' })).toBeFocused()
  await page.keyboard.type('Will not be kept')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('The browser has no room left')
  await expect(page.getByRole('textbox', { name: 'Jot an idea' })).toHaveValue('Will not be kept')
  await page.keyboard.press('Escape')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('alert').getByRole('button', { name: 'Download a back-up' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/\.zip$/)
  await page.keyboard.press('2')
  await expect(page.getByText('No ideas are kept yet')).toBeVisible()
})

test('when the browser refuses to store at all, it says so', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'InvalidStateError')
    }
  })
  await page.goto('/')
  await expect(page.getByRole('alert')).toContainText('The browser refuses to store anything here')
  await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible()
})

test('a change of rhythm names the episodes that lose their slot before anything is written', async ({
  desk: page,
}) => {
  await demo(page, '/shows')
  await page.getByRole('button', { name: 'Thursday' }).click()
  await page.getByRole('button', { name: 'Friday' }).click()
  await expect(page.getByText('5 episodes lose their slots:')).toBeVisible()
  await expect(page.getByRole('button', { name: /^#42 Steaming oak ribs.*Thu 26 Nov/ })).toBeVisible()
  await page.getByRole('button', { name: 'Move them to the nearest open slots, in order' }).click()
  await expect(page.getByRole('button', { name: /^#42 Steaming oak ribs.*Fri 27 Nov/ })).toBeVisible()
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: /^#42 Steaming oak ribs.*Thu 26 Nov/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Thursday' })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('button', { name: 'Friday' })).toHaveAttribute('aria-pressed', 'false')
})
