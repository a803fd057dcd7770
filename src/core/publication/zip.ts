import { strToU8, type Zippable, zipSync } from 'fflate'
import { dayOf, element } from '../trade'
import type { Epub } from './epub'
import { packageFile } from './packageFile'

/** The container's own list of what is in it. */
export const CONTAINER = 'META-INF/container.xml'

/** What is packed already. */
const PACKED = /^image\/(png|jpeg|gif|webp)$|^(audio|video)\//

/** An ebook as a file (EPUB OCF): its first entry says what it is, and is not packed. `date`: of its entries, ISO 8601; same value and day, same bytes. */
export function zipEpub(epub: Epub, date: string): Uint8Array {
  const mtime = dayOf(date)
  const rootfile = element('rootfile', { 'full-path': epub.root, 'media-type': 'application/oebps-package+xml' })
  const container = element(
    'container',
    { version: '1.0', xmlns: 'urn:oasis:names:tc:opendocument:xmlns:container' },
    element('rootfiles', {}, rootfile),
  )
  const zip: Zippable = {
    mimetype: [strToU8('application/epub+zip'), { level: 0, mtime }],
    [CONTAINER]: [strToU8(`<?xml version="1.0" encoding="UTF-8"?>\n${String(container)}\n`), { mtime }],
    [epub.root]: [strToU8(String(packageFile(epub))), { mtime }],
  }
  for (const { path, type, data } of epub.items) zip[path] = [data, { mtime, level: PACKED.test(type) ? 0 : 6 }]
  for (const [path, data] of epub.others) zip[path] = [data, { mtime }]
  return zipSync(zip)
}
