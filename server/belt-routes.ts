import express, { type RequestHandler, type Router } from 'express'
import { Belt, type Mailbox } from './mailbox'

/**
 * What the desk hands out for the belt, sealed: what it shows, and how shots look. Only the mailbox's own desk hands out;
 * `atDesk` refuses others.
 */
export function beltRoutes(mailbox: Mailbox, atDesk: RequestHandler): Router {
  const router = express.Router()
  router.get('/', (_request, response) => {
    const pictures = mailbox.stampOf('belt-pictures')
    response.json({ ...(mailbox.handedOut('belt') ?? { at: '', sealed: '' }), pictures })
  })
  router.get('/pictures', (_request, response) => {
    response.json(mailbox.handedOut('belt-pictures') ?? { at: '', sealed: '' })
  })
  for (const [path, what] of [
    ['/', 'belt'],
    ['/pictures', 'belt-pictures'],
  ] as const)
    router.put(path, atDesk, (request, response) => {
      const belt = Belt.safeParse(request.body)
      if (!belt.success) {
        response.status(400).json({ sentence: 'This is nothing for the belt.' })
        return
      }
      mailbox.handOut(what, belt.data)
      response.json({ at: belt.data.at })
    })
  return router
}
