import { xml } from '../trade'
import type { PdfOptions } from './options'

/** The file's metadata, as XML (XMP, ISO 16684-1). */
export function xmp(o: PdfOptions): Uint8Array {
  const own =
    o.preparedFor === 'X-4' &&
    xml`<rdf:Description rdf:about="" xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/"><pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion></rdf:Description>`
  const author = o.author && xml`<dc:creator><rdf:Seq><rdf:li>${o.author}</rdf:li></rdf:Seq></dc:creator>`
  const title = xml`<dc:title><rdf:Alt><rdf:li xml:lang="x-default">${o.title}</rdf:li></rdf:Alt></dc:title>`
  const dates = xml`<xmp:CreateDate>${o.date}</xmp:CreateDate><xmp:ModifyDate>${o.date}</xmp:ModifyDate><xmp:MetadataDate>${o.date}</xmp:MetadataDate>`
  const about = xml`<rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/">${title}${author}${dates}<pdf:Producer>Porchlight</pdf:Producer><pdf:Trapped>False</pdf:Trapped></rdf:Description>`
  return new TextEncoder().encode(
    String(
      xml`<?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>\n<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">${about}${own}</rdf:RDF></x:xmpmeta>\n<?xpacket end="w"?>`,
    ),
  )
}
