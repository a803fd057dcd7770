import { elements, parseXml, type XmlElement } from '../files'

/** Ways of obscuring a font so that it is of no use elsewhere (EPUB 3.3, 4.4; the older one): whoever reads the book need not undo them. */
const OBSCURED = /idpf\.org\/2008\/embedding|ns\.adobe\.com\/pdf\/enc#RC/

/** Whether anything but fonts is encrypted, so that it cannot be read (EPUB 3.3, 4.2.6.3.2). `files`: of the container, by path. */
export function isLocked(files: ReadonlyMap<string, Uint8Array>): boolean {
  const encryption = files.get('META-INF/encryption.xml')
  if (!encryption) return false
  const methods: string[] = []
  const walk = (e: XmlElement): void => {
    if (e.name.endsWith('EncryptionMethod')) methods.push(e.attrs.Algorithm ?? '')
    for (const c of elements(e)) walk(c)
  }
  walk(parseXml(encryption, 'its list of what is encrypted'))
  return methods.some(m => !OBSCURED.test(m))
}
