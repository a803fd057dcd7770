import { execFile } from 'node:child_process'
import { join } from 'node:path'

export const root = process.cwd()

export interface Ran {
  code: number
  out: string
  err: string
  ms: number
}

/** Runs a program to its end; never throws. */
export function run(program: string, args: string[], options: { cwd?: string; timeout?: number } = {}): Promise<Ran> {
  const start = Date.now()
  return new Promise(done => {
    execFile(program, args, { cwd: options.cwd ?? root, timeout: options.timeout ?? 120_000, maxBuffer: 1 << 28, encoding: 'utf8' }, (error, out, err) => {
      const code = error ? (typeof error.code === 'number' ? error.code : 99) : 0
      done({ code, out, err, ms: Date.now() - start })
    })
  })
}

/** `press`, as a person runs it. */
export const press = (...args: string[]): Promise<Ran> => run('node', [join(root, 'scripts/press.mjs'), ...args])
