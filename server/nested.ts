/**
 * Whether JSON opens more brackets at once than a limit, looked at before it is read: deep nesting costs a
 * parser seconds.
 */
export function isNestedBeyond(bytes: Buffer, limit: number): boolean {
  let depth = 0
  let inText = false
  for (let i = 0; i < bytes.length; i++) {
    const c = bytes[i]
    if (inText) {
      if (c === 0x5c) i++
      else if (c === 0x22) inText = false
    } else if (c === 0x22) inText = true
    else if (c === 0x5b || c === 0x7b) {
      if (++depth > limit) return true
    } else if (c === 0x5d || c === 0x7d) depth--
  }
  return false
}
