import express, { type Request, type Response, type Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { HelperMail } from '../core/helpers/deeds'
import type { GivenPages } from './given'
import type { Mailbox } from './mailbox'

const window = 10 * 60_000
/** What a helper sends is words; nobody needs more at once. */
const most = '16kb'

const limited = (limit: number, more: object = {}) =>
  rateLimit({
    windowMs: window,
    limit,
    standardHeaders: true,
    legacyHeaders: false,
    validate: false,
    message: { sentence: 'That was much in a short time. Please wait ten minutes; nothing is lost here.' },
    ...more,
  })

/**
 * The pages of helpers, by the secret in their address: what they show, and the letters that come back from them. Whoever
 * guesses is stopped after few wrong addresses, whoever sends too much after many letters.
 */
export function givenRoutes(given: GivenPages, mailbox: Mailbox): Router {
  const router = express.Router()
  const none = (response: Response) => {
    response.status(404).json({ sentence: 'There is nothing at this address.' })
  }
  const pageAt = (request: Request) => given.at(String(request.params['secret']))
  // Only what is not found counts against who asks.
  router.use(limited(30, { skipSuccessfulRequests: true, requestWasSuccessful: found }))
  router.get('/:secret', limited(900), (request, response) => {
    const kept = pageAt(request)
    if (kept) response.json(kept.page)
    else none(response)
  })
  router.put(
    '/:secret/letters/:id',
    limited(120),
    (request, response, next) => {
      // Nobody's words are read before it is known whether they may write at all.
      if (pageAt(request)) next()
      else none(response)
    },
    express.json({ limit: most }),
    (request, response) => {
      const kept = pageAt(request)
      if (!kept) {
        none(response)
        return
      }
      const letter = HelperMail.safeParse({
        ...Object(request.body),
        kind: 'helper',
        id: request.params['id'],
        job: kept.job,
      })
      if (!letter.success) {
        const [issue] = letter.error.issues
        response.status(400).json({ sentence: issue?.message ?? 'This cannot be taken.' })
        return
      }
      if (mailbox.put(letter.data) === 'full') {
        response.status(507).json({ sentence: 'The mailbox is full. Please try again later.' })
        return
      }
      response.json({ kept: letter.data.id })
    },
  )
  return router
}

function found(_request: unknown, response: { statusCode: number }): boolean {
  return response.statusCode !== 404
}
