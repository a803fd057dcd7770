import { strFromU8 } from 'fflate'
import { SaxesParser } from 'saxes'
import { type Epub, openEpub } from '../publication'
import { Fault } from '../trade'

/** Something in a made ebook that has no business there, and the file it is in. */
export interface EpubTrouble {
  kind: 'script' | 'undeclared' | 'unused' | 'malformed'
  file: string
  /** What it is: the element or attribute, or the property. */
  what: string
}

/** Properties of a manifest item that follow from what stands in it (EPUB 3.3, D.8.1): a reader prepares by them. */
const byContent = ['scripted', 'svg', 'mathml', 'remote-resources', 'switch'] as const
type ByContent = (typeof byContent)[number]

/** Files of which the elements are looked at. */
const TEXTS = /\.(xhtml|html|svg|ncx)$/

/**
 * Looks a made ebook over as a reader with no trust in its maker would: no script in any form, and each document's properties
 * declared in the package as its content asks, neither more nor fewer.
 */
export function inspectEpub(bytes: Uint8Array): EpubTrouble[] {
  try {
    return scriptsAndProperties(openEpub(bytes))
  } catch (e) {
    if (e instanceof Fault) return [{ kind: 'malformed', file: 'META-INF/container.xml', what: e.message }]
    throw e
  }
}

/** The same of an ebook that was read. */
export function scriptsAndProperties({ items, others }: Epub): EpubTrouble[] {
  const out: EpubTrouble[] = []
  const files = [...items, ...[...others].map(([path, data]) => ({ path, data, properties: [] as string[] }))]
  for (const { path: file, data, properties } of files) {
    if (!TEXTS.test(file)) continue
    const found = new Set<ByContent>()
    walk(file, data, out, (name, attrs) => {
      for (const p of needs(name, attrs)) found.add(p)
    })
    for (const p of byContent) {
      // A picture file is SVG by its type.
      if (p === 'svg' && file.endsWith('.svg')) continue
      const said = properties.includes(p)
      if (found.has(p) && !said) out.push({ kind: 'undeclared', file, what: p })
      if (!found.has(p) && said) out.push({ kind: 'unused', file, what: p })
    }
  }
  return out
}

/** Reads a file's elements, and notes scripts wherever they stand: as elements, as handlers, as addresses. */
function walk(
  file: string,
  bytes: Uint8Array,
  out: EpubTrouble[],
  element: (name: string, attrs: Record<string, string>) => void,
): void {
  const parser = new SaxesParser({ fragment: false })
  const note = (what: string): void => void out.push({ kind: 'script', file, what })
  parser.on('opentag', tag => {
    const name = tag.name.replace(/^.*:/, '').toLowerCase()
    const attrs = tag.attributes as Record<string, string>
    if (name === 'script') note('script')
    for (const [k, v] of Object.entries(attrs)) {
      if (/^on[a-z]/i.test(k)) note(k)
      // Readers skip controls and spaces in a scheme.
      else if (
        /^(?:href|src|xlink:href|action|formaction|data)$/i.test(k) &&
        /^(?:javascript|vbscript|data:text\/html)/i.test(v.replace(/[\u0000-\u0020]/g, ''))
      )
        note(`${k}="${v.slice(0, 24)}"`)
    }
    element(name, attrs)
  })
  try {
    parser.write(strFromU8(bytes)).close()
  } catch {
    out.push({ kind: 'malformed', file, what: 'not well-formed' })
  }
}

function needs(name: string, attrs: Record<string, string>): ByContent[] {
  const out: ByContent[] = []
  if (name === 'script' || name === 'form' || Object.keys(attrs).some(k => /^on[a-z]/i.test(k))) out.push('scripted')
  if (name === 'svg') out.push('svg')
  if (name === 'math') out.push('mathml')
  if (name === 'switch') out.push('switch')
  const loads = ['img', 'audio', 'video', 'source', 'track', 'iframe', 'embed', 'input', 'image', 'link'].includes(name)
    ? (attrs.src ?? attrs['xlink:href'] ?? attrs.href)
    : name === 'object'
      ? attrs.data
      : undefined
  if (loads && /^https?:/i.test(loads)) out.push('remote-resources')
  return out
}
