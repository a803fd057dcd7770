import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from 'fflate'

/** Whose text a file holds, and on which round it went out: a part of its own, which programs keep without reading. */
export interface Slip {
  /** The book’s UUID. */
  book: string
  round?: string
}

/** The namespace of the part that says so. */
export const SLIP_SPACE = 'urn:porchlight:slip'
/** The name that the part has among those that programs keep without reading (ECMA-376, 15.2.4 to 15.2.6). */
const PART = 'customXml/item1.xml'
const ITEM = '{6B1F2A0C-9D34-4E57-8A61-0C5D7E9F2B48}'
// Every entry carries one date, so that the same book gives the same bytes.
const STAMP = new Date(2026, 0, 1, 0, 0, 0)

const CUSTOM = 'http://schemas.openxmlformats.org/officeDocument/2006'

/** The file with its slip, and without what chance gave it: numbers of links and drawings by their order, no times. */
export function finishedFile(docx: Uint8Array, slip: Slip): Uint8Array {
  const parts = unzipSync(docx)
  const out: Zippable = {}
  const put = (name: string, text: string): void => {
    out[name] = [strToU8(text), { level: 6, mtime: STAMP }]
  }
  const ids = new Map<string, string>()
  const steady = (text: string): string =>
    text.replace(/\brId[\w-]{12,}/g, id => ids.get(id) ?? (ids.set(id, `rIdx${ids.size + 1}`), ids.get(id)!))
  for (const name of Object.keys(parts).sort()) {
    const bytes = parts[name]!
    if (!/\.(xml|rels)$/.test(name)) out[name] = [bytes, { level: 0, mtime: STAMP }]
    else put(name, finishedPart(name, steady(strFromU8(bytes))))
  }
  put(PART, `<?xml version="1.0" encoding="UTF-8"?><slip xmlns="${SLIP_SPACE}">${escaped(JSON.stringify(slip))}</slip>`)
  put(
    'customXml/itemProps1.xml',
    `<?xml version="1.0" encoding="UTF-8" standalone="no"?><ds:datastoreItem ds:itemID="${ITEM}" xmlns:ds="${CUSTOM}/customXml"><ds:schemaRefs><ds:schemaRef ds:uri="${SLIP_SPACE}"/></ds:schemaRefs></ds:datastoreItem>`,
  )
  put(
    'customXml/_rels/item1.xml.rels',
    `<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="${CUSTOM}/relationships/customXmlProps" Target="itemProps1.xml"/></Relationships>`,
  )
  return zipSync(out)
}

function finishedPart(name: string, text: string): string {
  switch (name) {
    case 'docProps/core.xml':
      return text.replace(/<dcterms:(created|modified)[^>]*>[^<]*<\/dcterms:\1>/g, '')
    case '[Content_Types].xml':
      return text.replace(
        '</Types>',
        '<Override PartName="/customXml/itemProps1.xml" ContentType="application/vnd.openxmlformats-officedocument.customXmlProperties+xml"/></Types>',
      )
    case 'word/_rels/document.xml.rels':
      return text.replace(
        '</Relationships>',
        `<Relationship Id="rIdSlip" Type="${CUSTOM}/relationships/customXml" Target="../customXml/item1.xml"/></Relationships>`,
      )
    case 'word/footnotes.xml':
      return counted(text)
    case 'word/document.xml': {
      let n = 0
      return counted(text).replace(/(<wp:docPr[^>]*? id=")\d+"/g, (_all, before: string) => `${before}${++n}"`)
    }
    default:
      return text
  }
}

/** Bookmarks are numbered through the file: the library counts them through the program's life. */
function counted(text: string): string {
  const numbers = new Map<string, number>()
  return text.replace(/(<w:bookmark(?:Start|End)[^>]*? w:id=")(\d+)"/g, (_all, before: string, id: string) => {
    if (!numbers.has(id)) numbers.set(id, numbers.size + 1)
    return `${before}${numbers.get(id)!}"`
  })
}

const escaped = (s: string): string => s.replace(/[&<>]/g, c => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[c]!)
