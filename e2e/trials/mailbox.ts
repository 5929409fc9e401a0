import { execFileSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Mailbox } from '../../server/mailbox'
import { begin, browser, end, folder, serve, titles } from './stage'

/**
 * Two thousand letters come to the desk, none twice; files that are no letters stand in nobody's way; a
 * full disk acknowledges nothing that is not whole.
 */
const count = 2000
const base = 'http://127.0.0.1:4464'
const at = folder('mail')
const box = new Mailbox(at)
for (let i = 0; i < count; i++)
  box.put({
    kind: 'jotted',
    id: `letter-${String(i).padStart(5, '0')}`,
    at: new Date(1_700_000_000_000 + i).toISOString(),
    line: `Letter ${i}`,
    note: '',
    url: '',
    show: '',
  })
for (let i = 0; i < 25; i++) writeFileSync(join(at, 'letters', `foreign-${i}.json`), '{')
mkdirSync(join(at, 'letters', 'x.part'))
const server = await serve(4464, at)
let [missing, twice] = [count, 0]
try {
  const context = await browser(folder('profile'))
  const page = context.pages()[0] ?? (await context.newPage())
  await begin(page, base)
  for (let i = 0; i < 90 && missing > 0; i++) {
    await page.waitForTimeout(2000)
    if (i % 10 === 9) await page.reload()
    const there = (await titles(page)).filter((t) => t.startsWith('Letter '))
    missing = count - new Set(there).size
    twice = there.length - new Set(there).size
  }
  await context.close()
} finally {
  end(server)
}
console.log(`mailbox: ${count} letters, ${missing} missing at the desk, ${twice} twice`)
let acknowledged = 0
let whole = 0
try {
  const small = folder('full')
  execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=32k', 'tmpfs', small])
  try {
    const full = new Mailbox(small)
    for (let i = 0; i < 12; i++)
      if (
        full.put({
          kind: 'jotted',
          id: `full-letter-${i}`,
          at: new Date().toISOString(),
          line: 'Full',
          note: 'x'.repeat(2000),
          url: '',
          show: '',
        }) === 'kept'
      ) {
        acknowledged++
      }
    const again = new Mailbox(small)
    whole = again.waiting(100).mail.length
  } finally {
    execFileSync('umount', [small])
  }
  console.log(`mailbox on a full disk: ${acknowledged} of 12 acknowledged, ${whole} of them whole on disk`)
} catch {
  console.log('mailbox on a full disk: not tried, no small disk can be mounted here')
}
process.exitCode = missing + twice > 0 || acknowledged !== whole ? 1 : 0
