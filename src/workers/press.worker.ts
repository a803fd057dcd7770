// First: its fonts and HarfBuzz are fetched while the rest is read.
import './fontShelf'
import * as Comlink from 'comlink'
import './faults'

const answers = import('./answers')
// What cannot be read ends the press aloud: the page notices, and starts another.
answers.catch((e: unknown) =>
  setTimeout(() => {
    throw e
  }),
)

/**
 * The press: the core in a worker. A thin entry; what it answers is computed by the core. Calls that come before all of it is read
 * wait, and are answered in their order.
 */
export type PressApi = Awaited<typeof answers>['answers']
type Call = (...of: unknown[]) => unknown

Comlink.expose(
  new Proxy({} as PressApi, {
    get:
      (_none, name) =>
      async (...of: unknown[]) =>
        ((await answers).answers[name as keyof PressApi] as Call)(...of),
  }),
)

// While work lets messages out, the page hears that the press lives.
setInterval(() => postMessage({ pulse: true }), 1000)
