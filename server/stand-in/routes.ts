import { timingSafeEqual } from 'node:crypto'
import express, { type Request, type Response, type Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { z } from 'zod/mini'
import { podcastFeed } from '../../core/formats/podcast-feed'
import { HandedThing } from '../../core/line/message'
import { problemsOf } from './checks'
import { listPage, watchPage } from './pages'
import { Trouble, type StandIn } from './store'

const Handing = z.object({
  thing: HandedThing,
  /** A JPEG, base64. */
  picture: z.optional(z.string().check(z.maxLength(4_000_000), z.regex(/^[A-Za-z0-9+/]*={0,2}$/))),
})
const local = new Set(['127.0.0.1', 'localhost', '[::1]'])

/**
 * The simulated outlet: a stand-in for a video site and a podcast host, so that handing over can be tried whole. Things
 * are put by their id with a key; pages and the feed are for everybody on this machine.
 */
export function standInRoutes(standIn: StandIn): Router {
  const router = express.Router()
  const base = (request: Request) => `${request.protocol}://${request.headers.host ?? 'localhost'}/stand-in`
  const isLocal = (request: Request) => local.has((request.headers.host ?? '').replace(/:\d+$/, ''))
  const mayHand = (request: Request) => {
    const given = Buffer.from((request.headers.authorization ?? '').replace(/^Bearer /, ''))
    const own = Buffer.from(standIn.key)
    return given.length === own.length && timingSafeEqual(given, own)
  }
  router.use((request, response, next) => {
    response.set('Cache-Control', 'no-store')
    if (isLocal(request)) next()
    else response.status(403).json({ sentence: 'The stand-in is for this machine alone.' })
  })
  router.use(rateLimit({ windowMs: 60_000, limit: 600, standardHeaders: true, legacyHeaders: false }))

  /** Whether it is told to fail now; answers if so. */
  const isDown = (response: Response): boolean => {
    if (standIn.trouble.kind !== 'down') return false
    response.status(503).json({ sentence: 'The outlet is down.' })
    return true
  }

  router.put('/things/:id', (request, response, next) => {
    if (!mayHand(request)) response.status(401).json({ sentence: 'The key is not this outlet’s.' })
    else if (!isDown(response)) next()
  })
  router.put('/things/:id', express.json({ limit: '6mb' }), (request, response, next) => {
    const read = Handing.safeParse(request.body)
    if (!read.success || read.data.thing.id !== request.params['id']) {
      response.status(400).json({ sentence: 'This is nothing that can be handed over.' })
      return
    }
    const { thing, picture } = read.data
    const bytes = picture === undefined ? undefined : Buffer.from(picture, 'base64')
    const { kind, tag } = standIn.trouble
    const problems = problemsOf(thing, bytes, kind === 'refuse a tag' ? tag : undefined)
    if (problems.length > 0) {
      response.status(422).json({ problems })
      return
    }
    try {
      const isNew = standIn.take(thing, bytes)
      const kept = standIn.find(thing.id)
      if (kind === 'lose the answer') {
        // Taken, and then the line breaks in the middle of the answer, once.
        standIn.calmDown()
        response.writeHead(200, { 'content-type': 'application/json', 'content-length': '400' })
        response.write('{', () => request.socket.destroy())
        return
      }
      const answer = () => {
        response.status(isNew ? 201 : 200).json(kept && standIn.standing(kept, base(request)))
      }
      if (kind === 'slow') setTimeout(answer, 2500)
      else answer()
    } catch (error) {
      next(error)
    }
  })
  router.get('/things/:id', (request, response) => {
    if (!mayHand(request)) {
      response.status(401).json({ sentence: 'The key is not this outlet’s.' })
      return
    }
    if (isDown(response)) return
    const kept = standIn.find(request.params.id)
    if (kept) response.json(standIn.standing(kept, base(request)))
    else response.status(404).json({ sentence: 'There is no such thing here.' })
  })

  /** On this machine the desk may ask for the key, so that the stand-in is joined by one press. */
  router.get('/key', (request, response) => {
    // A page elsewhere cannot read the answer; and none is given to one that says it is elsewhere.
    if (
      request.headers['sec-fetch-site'] !== undefined &&
      request.headers['sec-fetch-site'] !== 'same-origin'
    )
      response.status(403).json({ sentence: 'The key is for the desk alone.' })
    else response.json({ key: standIn.key })
  })
  router.post('/trouble', express.urlencoded({ extended: false, limit: '10kb' }), (request, response) => {
    if (request.headers['sec-fetch-site'] === 'cross-site') {
      response.sendStatus(403)
      return
    }
    const read = Trouble.safeParse(request.body)
    if (read.success) standIn.trouble = read.data
    const ahead = Number(Reflect.get(Object(request.body), 'ahead') ?? Number.NaN)
    if (Number.isFinite(ahead)) standIn.setAhead(ahead)
    response.redirect(303, '/stand-in')
  })

  router.get('/', (_request, response) => {
    response.set(
      'Content-Security-Policy',
      "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'",
    )
    response.type('html').send(listPage(standIn))
  })
  router.get('/watch/:id', (request, response) => {
    const kept = standIn.find(request.params.id)
    if (isDown(response)) return
    if (!kept || !standIn.isLive(kept)) {
      response
        .status(404)
        .type('html')
        .send('<!doctype html><title>Nothing here</title><p>Nothing is here yet.')
      return
    }
    response.set('Content-Security-Policy', "default-src 'none'; img-src 'self'; style-src 'unsafe-inline'")
    response.type('html').send(watchPage(kept, standIn.standing(kept, base(request)).views))
  })
  router.get('/watch/:id/picture.jpg', (request, response) => {
    const kept = standIn.find(request.params.id)
    const bytes = kept && standIn.isLive(kept) ? standIn.picture(request.params.id) : undefined
    if (bytes) response.type('jpeg').send(Buffer.from(bytes))
    else response.sendStatus(404)
  })
  router.get('/watch/:id/chapters.json', (request, response) => {
    const kept = standIn.find(request.params.id)
    if (!kept || !standIn.isLive(kept)) response.sendStatus(404)
    else
      response.type('application/json+chapters').send(
        JSON.stringify({
          version: '1.2.0',
          chapters: kept.thing.chapters.map((c) => ({ startTime: c.start, title: c.title })),
        }),
      )
  })
  router.get('/watch/:id/transcript.vtt', (request, response) => {
    const kept = standIn.find(request.params.id)
    const text = kept && standIn.isLive(kept) ? kept.thing.transcript : undefined
    if (text === undefined) response.sendStatus(404)
    else response.type('text/vtt').send(text)
  })
  router.get('/feed/:show.xml', (request, response) => {
    const { show } = request.params
    const own = base(request)
    const things = standIn.things.filter(
      (t) => t.thing.kind === 'audio' && slug(t.thing.show) === show && standIn.isLive(t),
    )
    const [first] = things
    if (!first) {
      response.sendStatus(404)
      return
    }
    response.type('application/rss+xml').send(
      podcastFeed({
        title: first.thing.show,
        description: `${first.thing.show}, from the stand-in.`,
        link: own,
        language: 'en',
        self: `${own}/feed/${show}.xml`,
        items: things.map(({ thing }) => ({
          guid: thing.id,
          title: thing.title,
          description: thing.description,
          at: Date.parse(thing.at),
          media: { url: `${own}/watch/${thing.id}/audio.mp3`, type: 'audio/mpeg' },
          link: `${own}/watch/${thing.id}`,
          persons: thing.guests,
          season: new Date(thing.at).getUTCFullYear(),
          ...(thing.number === undefined ? {} : { number: thing.number }),
          ...(thing.chapters.length === 0 ? {} : { chapters: `${own}/watch/${thing.id}/chapters.json` }),
          ...(thing.transcript === undefined
            ? {}
            : { transcript: { url: `${own}/watch/${thing.id}/transcript.vtt`, type: 'text/vtt' } }),
        })),
      }),
    )
  })
  return router
}

/** A show's name as part of an address. */
export function slug(name: string): string {
  return (
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'show'
  )
}
