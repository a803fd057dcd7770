import { writeFileSync } from 'node:fs'
import { createCanvas } from '@napi-rs/canvas'
import { writeProject } from '@/core/archive'
import { type Asset, createBook, hashOf, type ImageJson } from '@/core/book'

/** Writes a project of three hundred pictures of 24 megapixels: one JPEG, and 299 that differ from it in what stands behind its end. */
const canvas = createCanvas(6000, 4000)
const ctx = canvas.getContext('2d')
for (let i = 0; i < 60; i++) {
  ctx.fillStyle = `hsl(${i * 6}, 50%, ${30 + (i % 5) * 10}%)`
  ctx.fillRect(i * 100, 0, 100, 4000)
}
const jpeg = new Uint8Array(await canvas.encode('jpeg', 80))
const pictures = new Map<string, Uint8Array>()
const assets: Asset[] = []
const content: ImageJson[] = []
for (let i = 0; i < 300; i++) {
  const bytes = new Uint8Array(jpeg.length + 4)
  bytes.set(jpeg)
  new DataView(bytes.buffer).setUint32(jpeg.length, i)
  const id = hashOf(bytes)
  pictures.set(id, bytes)
  assets.push({ id, type: 'image/jpeg', width: 6000, height: 4000, name: `plate-${i + 1}.jpg` })
  content.push({ type: 'image', attrs: { id: `b${i + 10}`, asset: id, alt: 'A plate', decoration: false, share: 1 } })
}
const book = createBook(
  'three-hundred-pictures',
  {
    title: 'Three Hundred Pictures',
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
writeFileSync(
  process.argv[2]!,
  writeProject({
    book: {
      ...book,
      assets,
      editions: [
        {
          id: 'paperback',
          kind: 'paperback',
          trim: '6x9in',
          paper: 'white',
          ink: 'colour',
          outlets: ['ostrevane'],
          style: 'harbour-roman',
        },
      ],
    },
    pictures,
  }),
)
