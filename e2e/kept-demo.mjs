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
      const kept = wish.size === 'usual' ? await window.keptDemo() : ''
      if (kept === '') return this.make(wish)
      const whole = JSON.parse(kept)
      const files = whole.files.map((f) => ({ ...f, bytes: bytesOf(f.bytes) }))
      this.tell({ kind: 'made', whole: { ...whole, files } })
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
