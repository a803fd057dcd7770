import { Cancelled, Fault } from '@/core/trade'
import { runCheck } from './check'
import { runCost } from './cost'
import { runCover } from './cover'
import { runMake } from './make'
import { runPuzzles } from './puzzles'
import { runRead } from './read'

/** `press`: a command-line door to the core. Exit 1 and one plain line on standard error where something cannot be done. */
const usage =
  'press read FILE [--text] | press make FILE --out DIR [--trim 6x9in] [--paper cream] [--outlet ostrevane] [--title T] [--author A] [--isbn N] [--style ID] [--only epub] [--light 95%|5MB] | press cover ARCHIVE --out DIR [--edition ID] [--outlet O] [--design ID] [--colour rgb|cmyk] | press check FILE.epub [--outlet O] [--json] | press cost --outlet O --trim T --paper P --ink I --pages N [--price C] | press puzzles KIND [--count N] [--seed S] [--set KEY=VALUE] --json'

async function work(args: string[]): Promise<void> {
  const [verb, ...rest] = args
  if (verb === 'read') return runRead(rest)
  if (verb === 'make') return runMake(rest)
  if (verb === 'cover') return runCover(rest)
  if (verb === 'check') return runCheck(rest)
  if (verb === 'cost') return runCost(rest)
  if (verb === 'puzzles') return runPuzzles(rest)
  throw new Fault('usage', `Say what to do: ${usage}`)
}

/** Does what the words of a command line ask; undefined where it was done, else one plain line that says why not. */
export const pressed = (args: string[]): Promise<string | undefined> =>
  work(args).then(
    () => undefined,
    (e: unknown) => plainLine(e),
  )

/** One line for people, whatever went wrong. */
function plainLine(e: unknown): string {
  if (e instanceof Fault || e instanceof Cancelled) return e.message.replace(/\s+/g, ' ')
  const code = (e as { code?: string }).code
  if (code?.startsWith('ERR_PARSE_ARGS')) return (e as Error).message.split('\n')[0]!.replace(/\s+/g, ' ')
  if (e instanceof RangeError && /call stack|array length|string length/i.test(e.message))
    return 'This file is more than can be worked on at once.'
  return `Something went wrong inside: ${e instanceof Error ? e.message.split('\n')[0] : 'unknown'}`
}
