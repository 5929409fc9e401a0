import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { mailRoutes, type MailOptions } from './mail'
import { standInRoutes } from './stand-in/routes'
import type { StandIn } from './stand-in/store'

/** What the application opens with: the creator's own data, or the demo. */
export type Start = 'own' | 'demo' | 'demo large'

/**
 * The server of a production build: security headers, compression, caching of what has a hash in its name,
 * the mailbox, the simulated outlet, and every other address to the one page.
 */
export function lampReelServer(dist: string, start: Start, mail?: MailOptions, standIn?: StandIn): Express {
  const page = join(dist, 'index.html')
  if (!existsSync(page)) throw new Error(`There is no build in ${dist}. Run "npm run build" first.`)
  const html = readFileSync(page, 'utf8').replace(
    'name="lamp-reel-start" content="own"',
    `name="lamp-reel-start" content="${start}"`,
  )
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'"],
          imgSrc: ["'self'", 'blob:', 'data:'],
          // A cut plays from the disk, where it stays.
          mediaSrc: ["'self'", 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: true,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  )
  if (mail) app.use('/mail', mailRoutes(mail))
  if (standIn) app.use('/stand-in', standInRoutes(standIn))
  // On one's own machine packing takes longer than the way.
  if (mail?.open ?? true) app.use(compression())
  app.use(
    '/assets',
    express.static(join(dist, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }),
  )
  // The pages for the phone and the audience are small ones of their own.
  for (const page of ['jot', 'post', 'belt'])
    app.get(`/${page}`, (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile(join(dist, `${page}.html`))
    })
  // A helper's page is the same for all; what it shows it asks for by the secret in its address.
  app.get('/for/:secret', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .set('X-Robots-Tag', 'noindex')
      .sendFile(join(dist, 'helper.html'))
  })
  app.get('/index.html', (_request, response) => {
    response.set('Cache-Control', 'no-cache').type('html').send(html)
  })
  app.use(express.static(dist, { index: false, maxAge: 0 }))
  app.get('/{*any}', (request, response) => {
    if (!request.accepts('html')) {
      response.sendStatus(404)
      return
    }
    response.set('Cache-Control', 'no-cache').type('html').send(html)
  })
  return app
}
