// Installs what is missing and builds what is stale, with Node and npm alone. Repeated runs skip what is
// there.
import { execFileSync, spawnSync } from 'node:child_process'
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

/**
 * Installs the packages of the lockfile where they are missing or another lockfile's. `npm install` and not
 * `npm ci`: a registry that
 * serves only some platforms' optional packages leaves the others out of the lockfile, which `npm ci`
 * refuses.
 */
export function install() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(bin('vite')) && marked('installed', lock)) return
  console.log('Installing packages…')
  run(npm, ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel', 'error'])
  mark('installed', lock)
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

/** Installs a package of Debian's. */
function debian(name) {
  console.log(`Installing ${name} from Debian’s packages…`)
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const apt = (...args) => {
    const [first, ...rest] = [...sudo, 'apt-get', ...args]
    execFileSync(first, rest, {
      stdio: 'inherit',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  }
  apt('update', '-qq')
  apt('install', '-y', '-qq', '--no-install-recommends', name)
}

/** Makes sure that headless Chromium is there, from Debian's packages where it is not. */
export function chromium() {
  if (!existsSync('/usr/bin/chromium-headless-shell')) debian('chromium-headless-shell')
}

/** Makes sure that ffmpeg is there, with which tests make films to play. */
export function ffmpeg() {
  if (!existsSync('/usr/bin/ffmpeg')) debian('ffmpeg')
}

/** Makes sure that xmllint is there, with which tests read feeds back. */
export function xmllint() {
  if (!existsSync('/usr/bin/xmllint')) debian('libxml2-utils')
}
