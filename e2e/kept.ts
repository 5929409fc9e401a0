import { join } from 'node:path'

/** What the demo's worker made for the tests' moment, kept for one run: to paint its pictures takes longer than a test. */
export const keptDemo = join('test-results', '.demo', 'made.json')
