// npm run dev: the application from its sources, changing as they do.
import { bin, install, run } from './ready.mjs'

await install()
run(bin('vite'), [])
