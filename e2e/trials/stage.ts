import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { headless } from '../chromium'

/** A fresh folder for a trial. */
export function folder(name: string): string {
  return mkdtempSync(join(tmpdir(), `lamp-reel-trial-${name}-`))
}

/** The server on a port, with its mailbox in a folder; it answers when the promise is kept. */
export async function serve(port: number, mailbox: string, ...more: string[]): Promise<ChildProcess> {
  const server = spawn(
    'npx',
    ['tsx', 'server/main.ts', '--port', String(port), '--mailbox', mailbox, ...more],
    {
      stdio: 'ignore',
      detached: true,
    },
  )
  for (let i = 0; i < 200; i++) {
    const there = await fetch(`http://127.0.0.1:${port}/`).then(
      () => true,
      () => false,
    )
    if (there) return server
    await new Promise((done) => setTimeout(done, 100))
  }
  throw new Error('The server does not answer.')
}

/** Ends a server and what it started. */
export function end(server: ChildProcess): void {
  if (server.pid !== undefined) process.kill(-server.pid, 'SIGKILL')
}

/** A browser whose data outlives it, in a folder. */
export function browser(profile: string): Promise<BrowserContext> {
  return chromium.launchPersistentContext(profile, {
    ...headless,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
  })
}

/** Begins as a newcomer and ends on Today. */
export async function begin(page: Page, base: string): Promise<void> {
  await page.goto(base)
  await page.getByLabel('Name of the show').fill('Tern & Tiller')
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('link', { name: 'Lamp Reel, to Today' }).waitFor()
}

/** Opens the field for jotting and waits until letters go there. */
export async function openField(page: Page): Promise<void> {
  const field = page.getByRole('textbox', { name: 'Jot an idea' })
  await page.getByRole('link', { name: 'Lamp Reel, to Today' }).waitFor()
  await field.focus()
  await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Jot an idea')
}

/** Jots a line; it is kept on screen when the field is empty again. */
export async function jotLine(page: Page, line: string): Promise<void> {
  await page.keyboard.type(line)
  await page.keyboard.press('Enter')
  await page.waitForFunction(
    () => document.activeElement instanceof HTMLInputElement && document.activeElement.value === '',
  )
}

/** The titles of all episodes in the store. */
export function titles(page: Page): Promise<string[]> {
  return page.evaluate(
    () =>
      new Promise<string[]>((done, failed) => {
        const open = indexedDB.open('lamp-reel')
        open.onerror = () => {
          failed(new Error('no store'))
        }
        open.onsuccess = () => {
          const all = open.result.transaction('episodes').objectStore('episodes').getAll()
          all.onsuccess = () => {
            open.result.close()
            done(all.result.map((e: { title: string }) => e.title))
          }
        }
      }),
  )
}
