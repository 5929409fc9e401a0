import { xchacha20poly1305 } from '@noble/ciphers/chacha.js'
import { sha256 } from '@noble/hashes/sha2.js'

const nonceLength = 24
const keyOf = (key: string): Uint8Array => sha256(new TextEncoder().encode(`lamp-reel belt ${key}`))

function toBase64(bytes: Uint8Array): string {
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  return btoa(text)
}

/**
 * A text ciphered with a key (XChaCha20-Poly1305, its nonce in front, base64): only who has the key reads it, and
 * sees where anything was changed. `random` gives so many random bytes. Not the browser's own ciphers, since those are
 * only there on secure addresses, which a home network seldom has.
 */
export function sealed(text: string, key: string, random: (length: number) => Uint8Array): string {
  const nonce = random(nonceLength)
  const closed = xchacha20poly1305(keyOf(key), nonce).encrypt(new TextEncoder().encode(text))
  const whole = new Uint8Array(nonceLength + closed.length)
  whole.set(nonce)
  whole.set(closed, nonceLength)
  return toBase64(whole)
}

/** The text that was ciphered with a key; nothing where the key is another, or anything was changed. */
export function opened(text: string, key: string): string | undefined {
  try {
    const whole = Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
    const closed = whole.subarray(nonceLength)
    return new TextDecoder().decode(
      xchacha20poly1305(keyOf(key), whole.subarray(0, nonceLength)).decrypt(closed),
    )
  } catch {
    return undefined
  }
}
