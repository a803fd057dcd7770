// The door to the core: node scripts/press.mjs read|make|cost …
import { pathToFileURL } from 'node:url'
import { bundle } from './lib/bundle.mjs'

const out = await bundle('src/cli/main.ts', 'press')
await import(pathToFileURL(out).href)
