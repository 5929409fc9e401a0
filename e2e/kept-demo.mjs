// Runs in the page before it: answers for the worker that lays the demo out with what it made before, and keeps
// what it makes the first time.
{
  const RealWorker = window.Worker
  const chunk = 32_768

  /** Bytes as letters that go through JSON, and back. */
  const lettersOf = (bytes) => {
    let text = ''
    for (let at = 0; at < bytes.length; at += chunk)
      text += String.fromCharCode(...bytes.subarray(at, at + chunk))
    return btoa(text)
  }
  const bytesOf = (letters) => {
    const text = atob(letters)
    const bytes = new Uint8Array(text.length)
    for (let i = 0; i < bytes.length; i++) bytes[i] = text.charCodeAt(i)
    return bytes
  }

  class DemoWorker extends EventTarget {
    constructor(address, options) {
      super()
      this.address = address
      this.options = options
    }
    async postMessage(wish) {
      const whole = wish.size === 'usual' ? await this.kept() : undefined
      if (!whole) return this.make(wish)
      const files = whole.files.map((f) => ({ ...f, bytes: bytesOf(f.bytes) }))
      this.tell({ kind: 'made', whole: { ...whole, files } })
    }
    /** From the tests' server, which is quickest; a test with a server of its own asks the test. */
    async kept() {
      const answer = await fetch('/kept-demo.json')
      if (answer.headers.get('content-type')?.startsWith('application/json')) return answer.json()
      const kept = await window.keptDemo()
      return kept === '' ? undefined : JSON.parse(kept)
    }
    make(wish) {
      this.real = new RealWorker(this.address, this.options)
      this.real.addEventListener('message', ({ data }) => {
        if (data.kind === 'made' && wish.size === 'usual') {
          const files = data.whole.files.map((f) => ({ ...f, bytes: lettersOf(f.bytes) }))
          void window.keepDemo(JSON.stringify({ ...data.whole, files }))
        }
        this.tell(data)
      })
      this.real.postMessage(wish)
    }
    tell(data) {
      this.dispatchEvent(new MessageEvent('message', { data }))
    }
    terminate() {
      this.real?.terminate()
    }
  }

  window.Worker = new Proxy(RealWorker, {
    construct: (Kind, [address, options]) =>
      String(address).includes('demo.worker') ? new DemoWorker(address, options) : new Kind(address, options),
  })
}
