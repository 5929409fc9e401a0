import type { Page } from '@playwright/test'
import { begin, demo, expect, jot, stored, test } from './fixtures'

/** Puts an idea onto the first open slot. */
async function place(page: Page, idea: string): Promise<void> {
  await page.goto('/ideas')
  await page.getByText(idea).first().click()
  await page.keyboard.press('p')
  await page
    .getByRole('list', { name: /Open slots/ })
    .getByRole('button')
    .first()
    .click()
  await expect(page.getByText(`Put “${idea}” on`)).toBeVisible()
  await stored(page)
}

test('a slot that was missed: what each way out would do is said in one dialog', async ({ page }) => {
  await begin(page)
  await jot(page, 'Steaming oak ribs', 'Keel bolts')
  await place(page, 'Steaming oak ribs')
  await place(page, 'Keel bolts')
  await page.clock.setSystemTime(new Date('2026-11-30T09:00:00Z'))
  await page.goto('/today')
  await page.getByRole('button', { name: 'Not yet…' }).click()
  const dialog = page.getByRole('dialog', { name: 'It did not go out' })
  const ways = dialog.getByRole('list', { name: 'What can be done' })
  await expect(ways.getByRole('button', { name: /next slot and move what follows/ })).toContainText(
    '#1 to Thu 3 Dec, 3 d; #2 to Thu 10 Dec, 10 d',
  )
  await expect(ways.getByRole('button', { name: /next open slot/ })).toContainText('#1 to Thu 10 Dec')
  await expect(ways.getByRole('button', { name: /Release it late/ })).toContainText('4 d after its day')
  await expect(ways.getByRole('button', { name: /Skip the slot/ })).toBeVisible()
  await ways.getByRole('button', { name: /next slot and move what follows/ }).click()
  await expect(dialog).toHaveCount(0)
  await page.goto('/schedule')
  await expect(page.getByRole('row', { name: /^Thu 3 Dec/ })).toContainText('Steaming oak ribs')
  await expect(page.getByRole('row', { name: /^Thu 10 Dec/ })).toContainText('Keel bolts')
})

test('after two months away all releases are answered for at once, but for those unticked', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'Steaming oak ribs', 'Keel bolts', 'A spar')
  for (const idea of ['Steaming oak ribs', 'Keel bolts', 'A spar']) await place(page, idea)
  await page.clock.setSystemTime(new Date('2027-01-25T09:00:00Z'))
  await page.goto('/today')
  const asked = page.getByRole('region', { name: 'Are these 3 out?' })
  await expect(asked.getByRole('listitem')).toHaveCount(3)
  await expect(asked.getByRole('listitem').first()).toContainText('60 d ago')
  await asked.getByRole('checkbox').nth(1).uncheck()
  await asked.getByRole('button', { name: 'Yes, the 2 ticked' }).click()
  await expect(page.getByRole('heading', { name: 'Is it out?' })).toBeVisible()
  await stored(page)
  await page.goto('/catalogue')
  await expect(page.getByText('Steaming oak ribs').first()).toBeVisible()
  await expect(page.getByText('A spar').first()).toBeVisible()
  await expect(page.getByText('Keel bolts')).toHaveCount(0)
})

/** Damages the first record of a table behind the program's back. */
function damage(page: Page, table: string, field: string): Promise<void> {
  return page.evaluate(
    ([t = '', f = '']) =>
      new Promise<void>((done) => {
        const open = indexedDB.open('lamp-reel')
        open.onsuccess = () => {
          const store = open.result.transaction(t, 'readwrite').objectStore(t)
          const all = store.getAll()
          all.onsuccess = () => {
            store.put({ ...all.result[0], [f]: 7 }).onsuccess = () => {
              open.result.close()
              done()
            }
          }
        }
      }),
    [table, field],
  )
}

test('a record that cannot be read is named, kept whole and mended by hand', async ({ page }) => {
  await begin(page)
  await jot(page, 'Steaming oak ribs', 'Keel bolts')
  await damage(page, 'episodes', 'note')
  await page.goto('/today')
  const alert = page.getByRole('alert').filter({ hasText: 'could not be read' })
  await expect(alert).toContainText('One episode could not be read and was set aside')
  await alert.getByRole('button', { name: 'Look at it' }).click()
  const dialog = page.getByRole('dialog', { name: 'Set aside' })
  const text = dialog.getByRole('textbox')
  await expect(text).toHaveValue(/"note": 7/)
  await text.fill('{ not a record')
  await dialog.getByRole('button', { name: 'Put back what can be read' }).click()
  await expect(dialog.locator('.late').last()).toContainText('JSON')
  await text.fill((await text.inputValue()).replace('{ not a record', ''))
  await page.reload()
  await alert.getByRole('button', { name: 'Look at it' }).click()
  await text.fill((await text.inputValue()).replace('"note": 7', '"note": "seven"'))
  await dialog.getByRole('button', { name: 'Put back what can be read' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(alert).toHaveCount(0)
  await page.goto('/ideas')
  await expect(page.getByRole('list', { name: 'Ideas' })).toContainText('Steaming oak ribs')
  await expect(page.getByRole('list', { name: 'Ideas' })).toContainText('Keel bolts')
})

test('the history of an episode: undo to here shows what goes, and takes it back as one', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await page.getByRole('link', { name: /Caulking, the quiet skill/ }).click()
  const takeaway = page.getByLabel('What the viewer should take away')
  const was = await takeaway.inputValue()
  await takeaway.fill('Listen to the iron.')
  const point = page.getByLabel('Point 1')
  const had = await point.inputValue()
  await point.fill('Three strands, not four.')
  await page.getByRole('button', { name: 'History' }).click()
  const history = page.getByRole('dialog', { name: 'History' })
  const row = history.getByRole('list', { name: 'What was done, newest first' })
  await expect(row.getByRole('listitem')).not.toHaveCount(0)
  await row
    .getByRole('button', { name: /^Undo to here/ })
    .nth(1)
    .click()
  const goes = history.getByRole('region', { name: 'What would be taken back' })
  await expect(goes).toContainText('These 2 would be taken back, as one')
  await goes.getByRole('button', { name: 'Take back' }).click()
  await expect(goes).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expect(takeaway).toHaveValue(was)
  await expect(point).toHaveValue(had)
})

test('an older tab that keeps the store from being brought up to date is named', async ({
  page,
  context,
}) => {
  const old = await context.newPage()
  await old.goto('/jot')
  await old.evaluate(
    () =>
      new Promise<void>((done) => {
        // A page of an earlier version: its store is older, and it does not let go of it.
        indexedDB.open('lamp-reel', 30).onsuccess = () => {
          done()
        }
      }),
  )
  await page.goto('/')
  await expect(page.getByText(/Another tab has an older Lamp Reel open/)).toBeVisible()
})
