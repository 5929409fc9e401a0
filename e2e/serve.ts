// The application as tests open it: its real server, with what the demo's worker made once at an address of its own.
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import express from 'express'
import { lampReelServer } from '../server/app'
import { GivenPages } from '../server/given'
import { Mailbox } from '../server/mailbox'
import { StandIn } from '../server/stand-in/store'
import { keptDemo } from './kept'

const port = 4199
const kept = fileURLToPath(new URL('../test-results/.mailbox', import.meta.url))
const app = express()
// Where `kept-demo.mjs` asks for it.
app.get('/kept-demo.json', (_request, response) => {
  response.sendFile(resolve(keptDemo), { dotfiles: 'allow' }, (error) => {
    if (error && !response.headersSent) response.status(204).end()
  })
})
app.use(
  lampReelServer(
    fileURLToPath(new URL('../dist', import.meta.url)),
    'own',
    {
      mailbox: new Mailbox(kept),
      given: new GivenPages(join(kept, 'given')),
      open: false,
      port,
      secure: false,
    },
    new StandIn(join(kept, 'stand-in')),
  ),
)
app.listen(port, '127.0.0.1')
