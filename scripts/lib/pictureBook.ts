import { writeFileSync } from 'node:fs'
import { writeProject } from '@/core/archive'
import { type Asset, createBook, type Edition, hashOf, type ImageJson } from '@/core/book'

/** How its pictures print. */
export const inColour: Edition = {
  id: 'paperback',
  kind: 'paperback',
  trim: '6x9in',
  paper: 'white',
  ink: 'colour',
  outlets: ['ostrevane'],
  style: 'harbour-roman',
}

/** Writes a project with so many pictures of one size: these JPEGs in turn, each told from the others by what stands behind its end. */
export function writePictureBook(
  path: string,
  {
    title,
    jpegs,
    count,
    width,
    height,
  }: { title: string; jpegs: Uint8Array[]; count: number; width: number; height: number },
  editions: Edition[],
): void {
  const pictures = new Map<string, Uint8Array>()
  const assets: Asset[] = []
  const content: ImageJson[] = []
  for (let i = 0; i < count; i++) {
    const jpeg = jpegs[i % jpegs.length]!
    const bytes = new Uint8Array(jpeg.length + 4)
    bytes.set(jpeg)
    new DataView(bytes.buffer).setUint32(jpeg.length, i)
    const id = hashOf(bytes)
    pictures.set(id, bytes)
    assets.push({ id, type: 'image/jpeg', width, height, name: `plate-${i + 1}.jpg` })
    content.push({ type: 'image', attrs: { id: `b${i + 10}`, asset: id, alt: 'A plate', decoration: false, share: 1 } })
  }
  const book = createBook(
    title.toLowerCase().replaceAll(' ', '-'),
    {
      title,
      contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
      language: 'en-GB',
      imprint: { name: '' },
      subjects: [],
    },
    [
      {
        id: 's1',
        part: 'body',
        role: 'chapter',
        title: 'Plates',
        numbered: false,
        made: false,
        doc: { type: 'doc', content },
      },
    ],
  )
  writeFileSync(path, writeProject({ book: { ...book, assets, editions }, pictures }))
}
