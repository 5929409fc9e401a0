import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { lampReelServer } from './app'

const dist = mkdtempSync(join(tmpdir(), 'lamp-reel-dist-'))
mkdirSync(join(dist, 'assets'))
writeFileSync(join(dist, 'index.html'), '<meta name="lamp-reel-start" content="own" /><div id="app"></div>')
writeFileSync(join(dist, 'assets', 'a-1234.js'), `export default '${'x'.repeat(4000)}'`)

let server: Server
let base = ''
beforeAll(async () => {
  server = createServer(lampReelServer(dist, 'demo'))
  await new Promise<void>((ready) => {
    server.listen(0, '127.0.0.1', ready)
  })
  const address = server.address()
  base = typeof address === 'object' && address ? `http://127.0.0.1:${address.port}` : ''
})
afterAll(() => {
  server.close()
})

describe('the server', () => {
  test('answers every address with the page, saying what to open with', async () => {
    for (const path of ['/', '/episode/AB23/script']) {
      const response = await fetch(base + path, { headers: { accept: 'text/html' } })
      expect(response.status).toBe(200)
      expect(await response.text()).toContain('name="lamp-reel-start" content="demo"')
      expect(response.headers.get('cache-control')).toBe('no-cache')
    }
  })

  test('has a strict content policy and tells nothing of itself', async () => {
    const { headers } = await fetch(base)
    const policy = headers.get('content-security-policy') ?? ''
    expect(policy).toContain("default-src 'self'")
    expect(policy).toContain("script-src 'self'")
    expect(policy).not.toContain('unsafe')
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-powered-by')).toBeNull()
  })

  test('compresses, and lets what has a hash in its name be kept for good', async () => {
    const response = await fetch(`${base}/assets/a-1234.js`, { headers: { 'accept-encoding': 'gzip' } })
    expect(response.headers.get('content-encoding')).toBe('gzip')
    expect(response.headers.get('cache-control')).toContain('immutable')
  })

  test('an asset that is gone is not answered with the page', async () => {
    expect((await fetch(`${base}/assets/gone.js`)).status).toBe(404)
  })

  test('without a build it says what to run', () => {
    expect(() => lampReelServer(join(dist, 'nowhere'), 'own')).toThrow(/npm run build/)
  })
})
