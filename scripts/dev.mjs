// npm run dev: the application from its sources, changing as they do.
import { bin, install, run } from './ready.mjs'

install()
run(bin('vite'), [])
