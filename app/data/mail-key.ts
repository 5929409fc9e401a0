const keyName = 'lamp-reel.mail-key'

/** The mailbox's key: from the address's hash when one came with it, else the one kept here. */
export function mailKey(): string {
  const given = /[#&]key=([\w-]+)/.exec(location.hash)?.[1]
  try {
    if (given) {
      localStorage.setItem(keyName, given)
      history.replaceState(null, '', location.pathname + location.search)
    }
    return given ?? localStorage.getItem(keyName) ?? ''
  } catch {
    return given ?? ''
  }
}
