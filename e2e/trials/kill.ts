import { execFileSync } from 'node:child_process'
import { begin, browser, end, folder, jotLine, openField, serve, titles } from './stage'

/**
 * The browser is killed at many moments while lines are jotted; what was on screen as kept for 300 ms has
 * to be there afterwards.
 */
const moments = Number(process.argv[2] ?? 72)
const base = 'http://127.0.0.1:4461'
const server = await serve(4461, folder('mail'))
const profile = folder('profile')
let [confirmed, lost] = [0, 0]
try {
  for (let n = 0; n < moments; n++) {
    const context = await browser(profile)
    const page = context.pages()[0] ?? (await context.newPage())
    if (n === 0) await begin(page, base)
    else {
      await page.goto(`${base}/ideas`)
      await page.getByRole('heading', { level: 1 }).waitFor()
    }
    const kept = new Map<string, number>()
    await openField(page)
    const until = Date.now() + 400 + 137 * (n % 8)
    for (let i = 0; Date.now() < until; i++) {
      const line = `trial ${n} line ${i}`
      await jotLine(page, line)
      kept.set(line, Date.now())
    }
    const at = Date.now()
    execFileSync('pkill', ['-9', '-f', profile])
    await context.close().catch(() => undefined)
    const again = await browser(profile)
    const after = again.pages()[0] ?? (await again.newPage())
    await after.goto(`${base}/ideas`)
    await after.getByRole('heading', { level: 1 }).waitFor()
    const there = new Set(await titles(after))
    await again.close()
    for (const [line, since] of kept)
      if (at - since > 300) {
        confirmed++
        if (!there.has(line)) lost++
      }
  }
} finally {
  end(server)
}
console.log(`kill: ${moments} kills, ${confirmed} lines on screen for 300 ms, ${lost} lost`)
process.exitCode = lost > 0 ? 1 : 0
