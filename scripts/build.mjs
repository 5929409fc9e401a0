// Builds the application where the build is missing or older than its sources.
import { build } from './ready.mjs'

build()
