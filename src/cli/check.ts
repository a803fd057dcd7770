import { parseArgs } from 'node:util'
import { checkEpub, type EpubFinding } from '@/core/epub'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { Fault } from '@/core/trade'
import { fileBytes } from './files'

/** `press check FILE.epub [--outlet O] [--json]`: what is wrong in an ebook's file, however it was made; exit 1 where something stops it. */
export async function runCheck(args: string[]): Promise<void> {
  const options = { outlet: { type: 'string' }, json: { type: 'boolean' } } as const
  const { values, positionals } = parseArgs({ args, options, allowPositionals: true })
  const [file] = positionals
  if (positionals.length !== 1) throw new Fault('usage', 'Say which file to check: press check FILE.epub [--outlet O]')
  const profile = values.outlet === undefined ? undefined : profileOf(values.outlet, shippedProfiles)
  if (profile && !profile.ebook) throw new Fault('outlet', `${profile.name} sells no ebooks.`)
  const outlet = profile?.ebook && { name: profile.name, rules: profile.ebook }
  const findings = checkEpub(await fileBytes(file!), outlet)
  process.stdout.write(values.json ? JSON.stringify({ findings }, null, 2) + '\n' : words(findings))
  const stops = findings.filter(f => f.severity === 'stop').length
  if (stops) throw new Fault('stopped', `${stops} of ${findings.length} findings stop${stops === 1 ? 's' : ''} it.`)
}

const words = (findings: readonly EpubFinding[]): string =>
  findings.length
    ? findings
        .map(f => {
          const place = [f.place.file, f.place.line].filter(p => p !== undefined && p !== '').join(':')
          return `${f.severity}: ${f.message} ${f.remedy}${place ? ` (${place})` : ''}\n`
        })
        .join('')
    : 'Nothing to mark.\n'
