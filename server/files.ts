import { closeSync, fsyncSync, openSync, renameSync, rmSync, statSync, writeSync } from 'node:fs'
import { dirname } from 'node:path'

/**
 * Writes a file so that it is whole or not there, also when the disk is full or the machine stops in
 * between: beside it, all of its bytes, flushed and looked at, then renamed, and the folder flushed. Throws
 * where that fails; nothing is left then.
 */
export function writeWhole(path: string, content: string | Uint8Array): void {
  const beside = `${path}.part`
  const bytes = Buffer.from(content)
  try {
    const file = openSync(beside, 'w', 0o600)
    try {
      for (let at = 0; at < bytes.length;) at += writeSync(file, bytes, at)
      fsyncSync(file)
    } finally {
      closeSync(file)
    }
    if (statSync(beside).size !== bytes.length) throw new Error('The disk has no room left.')
    renameSync(beside, path)
    flushFolder(dirname(path))
  } catch (error) {
    rmSync(beside, { force: true })
    throw error
  }
}

/** Flushes a folder, so that a rename in it lasts; systems that cannot are passed over. */
function flushFolder(folder: string): void {
  try {
    const handle = openSync(folder, 'r')
    try {
      fsyncSync(handle)
    } finally {
      closeSync(handle)
    }
  } catch {
    // Some systems open no folder; the rename then lasts when they see fit.
  }
}
