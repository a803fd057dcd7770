import { execFile } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export const root = process.cwd()

export interface Ran {
  code: number
  out: string
  err: string
  ms: number
}

/** Runs a program to its end; never throws. */
export function run(
  program: string,
  args: string[],
  options: { cwd?: string; timeout?: number; env?: Record<string, string> } = {},
): Promise<Ran> {
  const start = Date.now()
  return new Promise(done => {
    execFile(
      program,
      args,
      {
        cwd: options.cwd ?? root,
        timeout: options.timeout ?? 120_000,
        maxBuffer: 1 << 28,
        encoding: 'utf8',
        env: { ...process.env, ...options.env },
      },
      (error, out, err) => {
        const code = error ? (typeof error.code === 'number' ? error.code : 99) : 0
        done({ code, out, err, ms: Date.now() - start })
      },
    )
  })
}

/** `press`, as a person runs it. */
export const press = (...args: string[]): Promise<Ran> => run('node', [join(root, 'scripts/press.mjs'), ...args])

/** The same, with the most memory that it held, megabytes, and the time that the processor gave it, milliseconds: whatever else the machine did. */
export async function pressMeasured(...args: string[]): Promise<Ran & { peak: number; worked: number }> {
  const note = join(mkdtempSync(join(tmpdir(), 'porchlight-peak-')), 'peak')
  const atTheEnd = `import fs from 'node:fs'; process.on('exit', () => { const u = process.resourceUsage(); fs.writeFileSync(process.env.PEAK_NOTE, JSON.stringify({ peak: u.maxRSS / 1000, worked: (u.userCPUTime + u.systemCPUTime) / 1000 })) })`
  const ran = await run(
    'node',
    ['--import', `data:text/javascript,${encodeURIComponent(atTheEnd)}`, join(root, 'scripts/press.mjs'), ...args],
    { env: { PEAK_NOTE: note } },
  )
  return { ...ran, ...(JSON.parse(readFileSync(note, 'utf8')) as { peak: number; worked: number }) }
}
