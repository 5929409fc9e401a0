// Installs what is missing and builds what is stale, with Node and npm alone. Repeated runs skip what is
// there.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
/** What is kept between runs. */
export const cache = join(root, 'node_modules', '.cache', 'lamp-reel')
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm'

/** Runs a program here, showing its output; ends this one with the same code when it fails. */
export function run(program, args, options = {}) {
  const { status } = spawnSync(program, args, { cwd: root, stdio: 'inherit', ...options })
  if (status !== 0) process.exit(status ?? 1)
}

/** A program of the project's own packages. */
export function bin(name) {
  return join(root, 'node_modules', '.bin', name)
}

function mark(name, value) {
  mkdirSync(cache, { recursive: true })
  writeFileSync(join(cache, name), value)
}
function marked(name, value) {
  return existsSync(join(cache, name)) && readFileSync(join(cache, name), 'utf8') === value
}

/** Runs a program beside others, showing its output; ends this one with the same code when it fails. */
function runBeside(program, args, env = {}) {
  return new Promise((done) => {
    const child = spawn(program, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
    child.on('error', (error) => {
      console.error(`${program} could not be run: ${error.message}`)
      process.exit(1)
    })
    child.on('close', (code) => {
      if (code !== 0) process.exit(code ?? 1)
      done()
    })
  })
}

/**
 * Installs the packages of the lockfile where they are missing or another lockfile's. `npm install` and not
 * `npm ci`: a registry that
 * serves only some platforms' optional packages leaves the others out of the lockfile, which `npm ci`
 * refuses.
 */
async function locked() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(bin('vite')) && marked('installed', lock)) return
  console.log('Installing packages…')
  await runBeside(npm, ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel', 'error'])
  mark('installed', lock)
}

/** What tests use of Debian's packages: the program by which each is known to be there. */
const programs = {
  chromium: ['/usr/bin/chromium-headless-shell', 'chromium-headless-shell'],
  // With which tests make films to play.
  ffmpeg: ['/usr/bin/ffmpeg', 'ffmpeg'],
  // With which tests read feeds back.
  xmllint: ['/usr/bin/xmllint', 'libxml2-utils'],
}

/** Installs those of Debian's packages that are missing, at one go. */
async function debian(wanted) {
  const missing = wanted.map((name) => programs[name]).filter(([path]) => !existsSync(path))
  if (missing.length === 0) return
  const names = missing.map(([, name]) => name)
  console.log(`Installing ${names.join(', ')} from Debian’s packages…`)
  const apt = (...args) => {
    const [first, ...rest] = [...(process.getuid?.() === 0 ? [] : ['sudo']), 'apt-get', ...args]
    return runBeside(first, rest, { DEBIAN_FRONTEND: 'noninteractive' })
  }
  await apt('update', '-qq')
  await apt('install', '-y', '-qq', '--no-install-recommends', ...names)
}

/** Installs what is missing: the packages of the lockfile and, beside them, those of Debian that are named. */
export async function install(...wanted) {
  await Promise.all([locked(), debian(wanted)])
}

function newest(folder) {
  let latest = 0
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    latest = Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs)
  }
  return latest
}

/** Builds the application where the build is missing or older than its sources. */
export function build() {
  const page = join(root, 'dist', 'index.html')
  const sources = Math.max(
    newest(join(root, 'app')),
    newest(join(root, 'core')),
    newest(join(root, 'demo')),
    statSync(join(root, 'vite.config.ts')).mtimeMs,
    statSync(join(root, 'vite.files.ts')).mtimeMs,
    statSync(join(root, 'package-lock.json')).mtimeMs,
  )
  if (existsSync(page) && statSync(page).mtimeMs > sources) return
  console.log('Building…')
  run(bin('vite'), ['build', '--logLevel', 'warn'])
}
