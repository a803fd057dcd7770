// What a fresh machine lacks: npm packages, and Debian's programs that the tests use. Node's own modules only.
import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
process.env.NEXT_TELEMETRY_DISABLED = '1'

/** Runs a command in the project's folder, its output shown; ends the script with its code where it fails. */
export function must(program, args, env = {}) {
  const start = Date.now()
  const r = spawnSync(program, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  if (r.status !== 0) {
    console.error(`\n${program} ${args.join(' ')} failed.`)
    process.exit(r.status ?? 1)
  }
  return Date.now() - start
}

/**
 * Runs several rows of commands at once, each row one after the other: [name, program, arguments]. What each said is shown when it is
 * done; ends the script where one fails. Gives milliseconds by name.
 */
export async function together(rows) {
  const took = {}
  const one = ([name, program, args]) =>
    new Promise(done => {
      const start = Date.now()
      let said = ''
      const child = spawn(program, args, { cwd: root, env: process.env, stdio: ['ignore', 'pipe', 'pipe'] })
      for (const out of [child.stdout, child.stderr]) out.on('data', d => (said += d))
      child.on('close', code => {
        took[name] = Date.now() - start
        console.log(`\n— ${name}\n${said.trimEnd()}`)
        if (code !== 0) {
          console.error(`\n${program} ${args.join(' ')} failed.`)
          process.exit(code ?? 1)
        }
        done()
      })
    })
  await Promise.all(
    rows.map(async row => {
      for (const command of row) await one(command)
    }),
  )
  return took
}

export const bin = name => join(root, 'node_modules/.bin', name)

/** npm packages, exactly as the lock file has them. */
export function packages() {
  const stamp = join(root, 'node_modules/.porchlight')
  const lock = readFileSync(join(root, 'package-lock.json'), 'utf8')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  console.log('Installing packages …')
  must('npm', ['ci', '--no-audit', '--no-fund'])
  writeFileSync(stamp, lock)
}

const debian = {
  chromium: '/usr/bin/chromium',
  epubcheck: '/usr/share/java/epubcheck.jar',
  'poppler-utils': '/usr/bin/pdftotext',
  qpdf: '/usr/bin/qpdf',
  'zbar-tools': '/usr/bin/zbarimg',
  ghostscript: '/usr/bin/gs',
  hunspell: '/usr/bin/hunspell',
  'libreoffice-writer-nogui': '/usr/bin/soffice',
  pandoc: '/usr/bin/pandoc',
  z3: '/usr/bin/z3',
  'default-jre-headless': '/usr/bin/java',
}

/** Debian's programs for the tests, installed where they are missing and we may. */
export function programs() {
  const missing = Object.entries(debian)
    .filter(([, path]) => !existsSync(path))
    .map(([name]) => name)
  if (!missing.length) return
  console.log(`Installing ${missing.join(', ')} …`)
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const apt = (...args) =>
    execFileSync([...sudo, 'apt-get'][0], [...sudo.slice(1), ...(sudo.length ? ['apt-get'] : []), ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  try {
    apt('update', '-qq')
    apt('install', '-y', '-qq', '--no-install-recommends', ...missing)
  } catch {
    console.error(`These Debian packages are needed and could not be installed: ${missing.join(' ')}`)
    process.exit(1)
  }
}

/** Serves the built app on a port; resolves when it answers. */
export async function serve(port) {
  const child = spawn(process.execPath, [join(root, 'node_modules/next/dist/bin/next'), 'start', '-p', String(port)], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  for (let i = 0; i < 200; i++) {
    try {
      if ((await fetch(`http://localhost:${port}/`)).ok) return child
    } catch {
      // Not up yet.
    }
    await new Promise(r => setTimeout(r, 150))
  }
  child.kill()
  throw new Error('the server did not start')
}
