import { type EpubItem, isLocked, itemWith, NCX, properties, said, withFallbacks } from '../../publication'
import { scriptsAndProperties } from '../inspect'
import type { EpubFinding, EpubRule } from './finding'
import { XHTML } from './view'

/** The container's first entry says what it is, and is not packed (OCF, 4.3.2). */
const begins: EpubRule = ({ bytes }) => {
  const name = new TextDecoder('latin1').decode(bytes.subarray(30, 58))
  const packed = bytes[8]! | (bytes[9]! << 8)
  return name === 'mimetypeapplication/epub+zip' && packed === 0
    ? []
    : [
        {
          rule: 'container',
          severity: 'stop',
          place: { file: 'mimetype' },
          message: 'The file does not begin by saying that it is an EPUB.',
          remedy: 'Pack it anew with “mimetype” first and not compressed.',
        },
      ]
}

/** What every publication says of itself. */
const says: EpubRule = ({ epub }) => {
  const lack = (what: string, severity: EpubFinding['severity'], remedy: string): EpubFinding => ({
    rule: 'metadata',
    severity,
    place: { file: epub.root },
    message: `The package does not say ${what}.`,
    remedy,
  })
  const has = (name: string): boolean => said(epub, name).some(s => s.value.trim())
  const out: EpubFinding[] = []
  if (!has('title')) out.push(lack('what the book is called', 'stop', 'Give it a title.'))
  if (!said(epub, 'identifier').some(s => s.attrs.id === epub.uid && s.value.trim()))
    out.push(lack('which of its identifiers is its own', 'stop', 'Give it an identifier that stays.'))
  const language = said(epub, 'language')[0]?.value.trim()
  if (!language) out.push(lack('its language', 'stop', 'State its language: voices and hyphens go by it.'))
  else if (!/^[A-Za-z]{2,3}(-[A-Za-z0-9]{1,8})*$/.test(language))
    out.push({
      ...lack('', 'stop', 'Write it as “en” or “de-CH”.'),
      message: `“${language.slice(0, 40)}” is no language as reading programs know it.`,
    })
  if (
    epub.version.startsWith('3') &&
    !properties(epub, 'dcterms:modified').some(d => /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/.test(d))
  )
    out.push(lack('when it was last changed', 'stop', 'State it in whole seconds: 2026-03-09T04:10:00Z.'))
  if (!has('creator')) out.push(lack('who wrote it', 'mend', 'Name its author.'))
  return out
}

/** What the package names is there once, and what is there is named. */
const holds: EpubRule = ({ epub }) => {
  const out: EpubFinding[] = epub.absent.map(i =>
    /^[a-z]+:/i.test(i.path)
      ? {
          rule: 'file on the web',
          severity: /^(audio|video)\//.test(i.type) ? ('remark' as const) : ('stop' as const),
          place: { file: epub.root },
          message: `“${i.path.slice(0, 80)}” is not in the file but on the web.`,
          remedy: 'Put it into the file: readers without a network see nothing.',
        }
      : {
          rule: 'missing file',
          severity: 'stop' as const,
          place: { file: i.path },
          message: 'The package names this file, and it is not there.',
          remedy: 'Put it back, or take it out of the package.',
        },
  )
  const [ids, paths] = [new Set<string>(), new Set<string>()]
  for (const { id, path } of epub.items) {
    if (ids.has(id) || paths.has(path))
      out.push({
        rule: 'named twice',
        severity: 'stop',
        place: { file: path },
        message: 'The package names this file, or its id, twice.',
        remedy: 'Name it once.',
      })
    ids.add(id)
    paths.add(path)
  }
  for (const path of epub.others.keys())
    if (!path.startsWith('META-INF/'))
      out.push({
        rule: 'file without a name',
        severity: 'remark',
        place: { file: path },
        message: 'This file is in the container and not in the package: no reader sees it.',
        remedy: 'Take it out, or name it in the package.',
      })
  return out
}

/** Types that are read in their turn (EPUB 3.3, 3.3; of EPUB 2 also the older one of books for the blind). */
const READ = new Set([XHTML, 'image/svg+xml', 'application/x-dtbook+xml'])

/** What is read is there, is text, and is read in some order. */
const reads: EpubRule = ({ epub, items }) => {
  const place = { file: epub.root }
  const byId = new Map([...epub.items, ...epub.absent].map(i => [i.id, i]))
  const out: EpubFinding[] = []
  const seen = new Set<string>()
  const shownFor = (item: Pick<EpubItem, 'path' | 'type'>): Pick<EpubItem, 'type'>[] => {
    const own = items.get(item.path)
    return own ? withFallbacks(epub, own) : [item]
  }
  for (const { id } of epub.spine) {
    const item = byId.get(id)
    if (!item)
      out.push({
        rule: 'reading order',
        severity: 'stop',
        place,
        message: `The order of reading names “${id.slice(0, 60)}”, which the package does not have.`,
        remedy: 'Take it out of the order, or add the file.',
      })
    else if (!shownFor(item).some(i => READ.has(i.type)))
      out.push({
        rule: 'reading order',
        severity: 'stop',
        place: { file: item.path },
        message: 'This is read in its turn and is no text.',
        remedy: 'Put it into a page of text.',
      })
    if (seen.has(id))
      out.push({
        rule: 'reading order',
        severity: 'stop',
        place: { file: item?.path ?? epub.root },
        message: 'It is read twice.',
        remedy: 'Name it once in the order of reading.',
      })
    seen.add(id)
  }
  if (!epub.spine.some(s => s.linear))
    out.push({
      rule: 'reading order',
      severity: 'stop',
      place,
      message: 'Nothing in it is read.',
      remedy: 'Say in the package in which order its texts are read.',
    })
  return out
}

/** Contents that readers show: the navigation document, and the NCX of older devices. */
const leads: EpubRule = ({ epub }) => {
  const three = epub.version.startsWith('3')
  const ncx = epub.items.some(i => i.type === NCX)
  const place = { file: itemWith(epub, 'nav')?.path ?? epub.root }
  const lacks = (severity: EpubFinding['severity'], message: string, remedy: string): EpubFinding[] => [
    { rule: 'contents', severity, place, message, remedy },
  ]
  if (three && !itemWith(epub, 'nav')) return lacks('stop', 'It has no contents.', 'Add a navigation document.')
  if (!three && !ncx) return lacks('stop', 'It has no contents.', 'Add an NCX.')
  if (!epub.nav.length) return lacks('stop', 'Its contents list nothing.', 'List its chapters.')
  return three && !ncx
    ? lacks('remark', 'Older devices find no contents in it.', 'Add an NCX beside the navigation document.')
    : []
}

/** Pages that are listed are those of a book that is named. */
const pagesOfWhat: EpubRule = ({ epub }) =>
  epub.pages.length && !said(epub, 'source').some(s => s.value.trim())
    ? [
        {
          rule: 'page list',
          severity: 'mend',
          place: { file: epub.root },
          message: 'It lists printed pages and does not say of which edition.',
          remedy: 'Name the printed edition as its source.',
        },
      ]
    : []

/** Whatever is locked cannot be read. */
const locked: EpubRule = ({ epub }) =>
  isLocked(epub.others)
    ? [
        {
          rule: 'protection',
          severity: 'stop',
          place: { file: 'META-INF/encryption.xml' },
          message: 'It is protected against copying: shops take files without protection.',
          remedy: 'Send the file that it was made from.',
        },
      ]
    : []

/** Scripts, and what documents declare of their content. */
const runs: EpubRule = ({ epub }) =>
  scriptsAndProperties(epub).flatMap(({ kind, file, what }): EpubFinding[] => {
    if (kind === 'malformed') return []
    const script = kind === 'script'
    return [
      {
        rule: script ? 'script' : 'declared properties',
        severity: script || kind === 'undeclared' ? 'stop' : 'mend',
        place: { file },
        message: script
          ? `It holds a script (${what}).`
          : kind === 'undeclared'
            ? `It uses “${what}”, which the package does not declare.`
            : `The package declares “${what}”, which it does not use.`,
        remedy: script
          ? 'Take it out: no shop takes a script.'
          : 'Declare in the package what its text uses, and no more.',
      },
    ]
  })

export const structure: EpubRule[] = [begins, says, holds, reads, leads, pagesOfWhat, locked, runs]
