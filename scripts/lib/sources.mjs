import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './bundle.mjs'

/** Debian's source packages whose own test documents the deep run reads: nobody here made them. */
const PACKAGES = ['pandoc', 'python-odf', 'unoconv']

/** What a word processor makes of their documents: open-document texts and web pages as people have them. */
function byOffice(folder) {
  const documents = readdirSync(folder, { recursive: true })
    .filter(f => f.endsWith('.docx') && f.includes('test'))
    .map(f => join(folder, f))
  for (const kind of ['odt', 'html'])
    execFileSync('soffice', ['--headless', '--convert-to', kind, '--outdir', join(folder, 'office'), ...documents], {
      stdio: ['ignore', 'ignore', 'inherit'],
    })
}

/** Fetches and unpacks them into `.cache/sources`, where they are missing; returns that folder. Uses the machine's own package mirrors. */
export function sources() {
  const out = join(root, '.cache/sources')
  if (existsSync(out)) return out
  console.log(`Fetching ${PACKAGES.join(', ')} …`)
  const work = `${out}.part`
  rmSync(work, { recursive: true, force: true })
  mkdirSync(join(work, 'lists/partial'), { recursive: true })
  mkdirSync(join(work, 'parts'))
  // The machine's lists name packages that are built; their sources lie beside them.
  const lists = '/etc/apt/sources.list.d'
  for (const f of existsSync(lists) ? readdirSync(lists) : []) {
    const text = readFileSync(join(lists, f), 'utf8')
    writeFileSync(
      join(work, 'parts', f),
      text.replace(/^Types: deb$/gm, 'Types: deb-src').replace(/^deb /gm, 'deb-src '),
    )
  }
  const options = [
    ['Dir::Etc::sourceparts', join(work, 'parts')],
    ['Dir::Etc::sourcelist', '/dev/null'],
    ['Dir::State::lists', join(work, 'lists')],
    ['APT::Sandbox::User', 'root'],
  ].flatMap(([name, value]) => ['-o', `${name}=${value}`])
  const apt = (...args) =>
    execFileSync('apt-get', [...options, '-qq', ...args], { cwd: work, stdio: ['ignore', 'ignore', 'inherit'] })
  apt('update')
  for (const name of PACKAGES)
    try {
      apt('source', '--download-only', name)
    } catch {
      console.error(`The source of ${name} could not be fetched whole: what there is of it is read.`)
    }
  const unpacked = join(work, 'unpacked')
  mkdirSync(unpacked)
  for (const f of readdirSync(work))
    if (/\.orig\.tar\./.test(f)) execFileSync('tar', ['xf', join(work, f), '-C', unpacked])
  byOffice(unpacked)
  renameSync(unpacked, out)
  rmSync(work, { recursive: true })
  return out
}
