import { timingSafeEqual } from 'node:crypto'
import { networkInterfaces } from 'node:os'
import express, { type Request, type Response, type Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { z } from 'zod/mini'
import { BeltMail, JottedMail, mailLimits, WishMail } from '../core/formats/mail'
import { beltRoutes } from './belt-routes'
import { GivenPage, type GivenPages } from './given'
import { givenRoutes } from './given-routes'
import { isNestedBeyond } from './nested'
import { About, type Mailbox } from './mailbox'

const local = new Set(['127.0.0.1', 'localhost', '[::1]'])
const Taken = z.object({
  ids: z.array(z.string().check(z.regex(/^[0-9a-zA-Z-]{8,64}$/))).check(z.maxLength(500)),
})

const Given = z.object({ pages: z.array(GivenPage).check(z.maxLength(200)) })

const Calendar = z.object({
  ics: z.string().check(z.maxLength(1_500_000), z.startsWith('BEGIN:VCALENDAR')),
  renew: z.boolean(),
})

/** First bytes of the pictures that are taken. */
const magic: Readonly<Record<string, RegExp>> = {
  'image/png': /^\x89PNG/,
  'image/jpeg': /^\xff\xd8\xff/,
  'image/gif': /^GIF8/,
  'image/webp': /^RIFF....WEBP/s,
}

/** The addresses under which other devices reach this machine. */
export function addresses(port: number, secure: boolean): string[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => `http${secure ? 's' : ''}://${a.address}:${port}`)
}

/**
 * What a mailbox is served with. `open`: reachable from other devices, so that everything but the post-box
 * asks for the key.
 */
export interface MailOptions {
  mailbox: Mailbox
  given: GivenPages
  open: boolean
  port: number
  secure: boolean
}

/**
 * The mailbox's addresses: jotted ideas from the phone, wishes from the audience, and the desk that takes
 * both. On this machine alone no key is asked, but the Host must be this machine's own name, so that no
 * page elsewhere can speak for it (DNS rebinding).
 */
export function mailRoutes({ mailbox, given, open, port, secure }: MailOptions): Router {
  const router = express.Router()
  const say = (response: Response, status: number, sentence: string) => {
    response.status(status).json({ sentence })
  }
  const host = (request: Request) => (request.headers.host ?? '').replace(/:\d+$/, '')
  const keyed = (request: Request) => {
    const given = Buffer.from(String(request.headers['x-lamp-key'] ?? ''))
    const own = Buffer.from(mailbox.key)
    return given.length === own.length && timingSafeEqual(given, own)
  }
  const allowed = (request: Request) => keyed(request) || (!open && local.has(host(request)))
  router.use((request, response, next) => {
    response.set('Cache-Control', 'no-store')
    if (!open && !local.has(host(request))) {
      say(response, 403, 'This mailbox is for this machine alone.')
      return
    }
    next()
  })
  const body = express.json({
    limit: Math.ceil(mailLimits.pictureBytes * 1.4) + 10_000,
    verify: (_request, _response, bytes) => {
      if (isNestedBeyond(bytes, 12)) throw new Error('nested too deep')
    },
  })
  // Nobody's body is read before it is known whether they may write at all.
  const known = (request: Request, response: Response, next: () => void) => {
    if (allowed(request)) next()
    else say(response, 401, 'This device is not known to the mailbox. Scan the code at the desk once more.')
  }

  // The secret in the address is all that a calendar program can give.
  router.get('/calendar/:secret.ics', (request, response) => {
    const calendar = mailbox.calendar
    const given = Buffer.from(request.params['secret'])
    const own = Buffer.from(calendar?.secret ?? '')
    if (!calendar || given.length !== own.length || !timingSafeEqual(given, own)) {
      say(response, 404, 'There is no such calendar.')
      return
    }
    response.type('text/calendar').send(calendar.ics)
  })
  router.get('/about', (_request, response) => {
    response.json(mailbox.about)
  })

  const wishes = {
    windowMs: 10 * 60_000,
    standardHeaders: true,
    legacyHeaders: false,
    validate: false,
    message: {
      sentence:
        'That were many wishes in a short time. Please try again in ten minutes; what you wrote stays here.',
    },
  }
  router.put(
    '/wishes/:id',
    rateLimit({ ...wishes, limit: 6 }),
    rateLimit({ ...wishes, limit: 300, keyGenerator: () => 'everyone' }),
    body,
    (request, response) => {
      if (!mailbox.about.open) {
        say(response, 403, 'The post-box is closed at the moment.')
        return
      }
      const wish = WishMail.safeParse({
        ...Object(request.body),
        id: request.params['id'],
        at: new Date().toISOString(),
      })
      if (!wish.success) {
        say(response, 400, wish.error.issues[0]?.message ?? 'This cannot be taken.')
        return
      }
      const { picture } = wish.data
      if (
        picture &&
        (picture.base64.length % 4 !== 0 ||
          !magic[picture.type]?.test(Buffer.from(picture.base64.slice(0, 40), 'base64').toString('latin1')))
      ) {
        say(response, 400, 'The picture is not what its name says. Save it as PNG or JPEG, and try again.')
        return
      }
      if (mailbox.put(wish.data) === 'full') {
        say(response, 507, 'The post-box is full. Please try again another day.')
        return
      }
      response.json({ kept: wish.data.id })
    },
  )

  router.use('/for', givenRoutes(given, mailbox))

  router.use(known, body)
  router.put('/jotted/:id', (request, response) => {
    const jotted = JottedMail.safeParse({ ...Object(request.body), id: request.params['id'] })
    if (!jotted.success) {
      say(response, 400, jotted.error.issues[0]?.message ?? 'This cannot be taken.')
      return
    }
    if (mailbox.put(jotted.data) === 'full') {
      say(response, 507, 'The mailbox is full. Open Lamp Reel at the desk; it takes everything in.')
      return
    }
    response.json({ kept: jotted.data.id })
  })
  // Letters of the belt are sealed: they are kept as they come.
  router.put('/letters/:id', (request, response) => {
    const letter = BeltMail.safeParse({ ...Object(request.body), kind: 'belt', id: request.params['id'] })
    if (!letter.success) {
      say(response, 400, letter.error.issues[0]?.message ?? 'This cannot be taken.')
      return
    }
    if (mailbox.put(letter.data) === 'full') {
      say(response, 507, 'The mailbox is full. Open Lamp Reel at the desk; it takes everything in.')
      return
    }
    response.json({ kept: letter.data.id })
  })
  // A mailbox has one desk: the first that asks. Another one is told so, and may take over.
  const deskOf = (request: Request) => String(request.headers['x-lamp-desk'] ?? '').slice(0, 64)
  const atDesk = (request: Request, response: Response, next: () => void) => {
    const desk = deskOf(request)
    const own = mailbox.desk
    if (desk !== '' && own === undefined) mailbox.desk = desk
    if (desk === '' || own === undefined || own === desk) next()
    else
      response.status(request.method === 'GET' ? 200 : 409).json({
        other: true,
        mail: [],
        sentence:
          'Another desk takes the letters of this mailbox. Take them here instead, and that one is told.',
      })
  }
  router.put('/desk', (request, response) => {
    const desk = deskOf(request)
    if (desk === '') {
      say(response, 400, 'Say which desk.')
      return
    }
    mailbox.desk = desk
    response.json({ desk })
  })
  router.get('/', atDesk, (_request, response) => {
    response.json(mailbox.waiting(25))
  })
  router.post('/refused', atDesk, (request, response) => {
    const refused = Taken.safeParse(request.body)
    if (refused.success) mailbox.refuse(refused.data.ids)
    response.json({ unreadable: mailbox.asideCount })
  })
  router.post('/taken', atDesk, (request, response) => {
    const taken = Taken.safeParse(request.body)
    if (!taken.success) {
      say(response, 400, 'These are no ids.')
      return
    }
    mailbox.take(taken.data.ids)
    response.json({ taken: taken.data.ids.length })
  })
  router.put('/about', (request, response) => {
    const about = About.safeParse(request.body)
    if (!about.success) {
      say(response, 400, about.error.issues[0]?.message ?? '')
      return
    }
    mailbox.about = about.data
    response.json(about.data)
  })
  router.use('/belt', beltRoutes(mailbox, atDesk))
  // The desk names all pages that there are; others end.
  router.put('/given', atDesk, (request, response) => {
    const pages = Given.safeParse(request.body)
    if (!pages.success) {
      say(response, 400, 'These are no pages.')
      return
    }
    response.json({ secrets: given.keep(pages.data.pages) })
  })
  router.get('/calendar', (_request, response) => {
    response.json({ secret: mailbox.calendar?.secret ?? '' })
  })
  router.put('/calendar', (request, response) => {
    const calendar = Calendar.safeParse(request.body)
    if (!calendar.success) {
      say(response, 400, 'This is no calendar.')
      return
    }
    response.json({ secret: mailbox.keepCalendar(calendar.data.ics, calendar.data.renew) })
  })
  router.delete('/calendar', (_request, response) => {
    mailbox.endCalendar()
    response.json({ secret: '' })
  })
  router.get('/address', (_request, response) => {
    response.json({
      open,
      key: open ? mailbox.key : '',
      addresses: open ? addresses(port, secure) : [`http://127.0.0.1:${port}`],
    })
  })
  router.use((_request, response) => {
    say(response, 404, 'There is nothing here.')
  })
  router.use((error: unknown, request: Request, response: Response, next: (e?: unknown) => void) => {
    if (response.headersSent) {
      next(error)
      return
    }
    const tooLarge = error instanceof Error && error.name === 'PayloadTooLargeError'
    // What still comes is let run off for a moment, so that the answer is heard, and then the line is cut.
    response.set('Connection', 'close')
    request.resume()
    const cut = setTimeout(() => request.socket.destroy(), 3000)
    request.once('close', () => {
      clearTimeout(cut)
    })
    say(
      response,
      tooLarge ? 413 : 400,
      tooLarge ? 'That is too large. A picture may have 1.5 MB.' : 'This could not be read.',
    )
  })
  return router
}
