import { imageSize } from 'image-size'
import { coverOf, withFallbacks } from '../../publication'
import type { EpubFinding, EpubRule } from './finding'
import { XHTML } from './view'

/** Media types that every reading program shows (EPUB 3.3, 3.2), without films. */
const SHOWN = /^image\/(gif|jpeg|png|svg\+xml|webp)$/
const OLDER = /^image\/(gif|jpeg|png|svg\+xml)$/

const kinds: EpubRule = ({ epub }) =>
  epub.items.flatMap((item): EpubFinding[] => {
    const { path, type, data } = item
    if (!type.startsWith('image/')) return []
    const is = headerOf(data)?.type
    if (is && is !== type && type !== 'image/svg+xml')
      return [
        {
          rule: 'picture kind',
          severity: 'stop',
          place: { file: path },
          message: `The package calls this picture ${type}, and it is ${is}.`,
          remedy: 'Name it as what it is.',
        },
      ]
    const older = epub.version.startsWith('2')
    return withFallbacks(epub, item).some(i => (older ? OLDER : SHOWN).test(i.type) || i.type === XHTML)
      ? []
      : [
          {
            rule: 'picture kind',
            severity: 'stop',
            place: { file: path },
            message: `Reading programs do not show pictures of this kind (${type}).`,
            remedy: 'Save it as JPEG or PNG.',
          },
        ]
  })

/** Media types by what a header says. */
const TYPES: Record<string, string> = {
  jpg: 'image/jpeg',
  png: 'image/png',
  gif: 'image/gif',
  webp: 'image/webp',
  tiff: 'image/tiff',
  bmp: 'image/bmp',
}

/** What a picture's header says of it; undefined where it says nothing that is known: its kind is then the package's word alone. */
function headerOf(data: Uint8Array): { type: string | undefined; longer: number } | undefined {
  try {
    const { width, height, type = '' } = imageSize(data)
    return { type: TYPES[type], longer: Math.max(width, height) }
  } catch {
    return undefined
  }
}

/** A cover is there, and as large as the outlet wants it. */
const cover: EpubRule = ({ epub }, outlet) => {
  const item = coverOf(epub)
  if (!item)
    return [
      {
        rule: 'cover',
        severity: 'mend',
        place: { file: epub.root },
        message: 'It has no cover: shops and shelves show none.',
        remedy: 'Put a cover in, and say in the package which picture it is.',
      },
    ]
  const longer = headerOf(item.data)?.longer
  if (!outlet || !longer || longer >= outlet.rules.frontLeast) return []
  return [
    {
      rule: 'cover',
      severity: 'mend',
      place: { file: item.path },
      message: `The cover is ${longer} pixels on its longer side; ${outlet.name} wants ${outlet.rules.frontLeast}.`,
      remedy: 'Put a larger picture in.',
    },
  ]
}

/** What it weighs, and what of it the most. */
const weight: EpubRule = ({ epub, bytes }, outlet) => {
  const most = outlet?.rules.epubMb
  if (!most || bytes.length <= most * 1e6) return []
  const heaviest = [...epub.items].sort((a, b) => b.data.length - a.data.length)[0]!
  return [
    {
      rule: 'weight',
      severity: 'stop',
      place: { file: heaviest.path },
      message: `It weighs ${(bytes.length / 1e6).toFixed(1)} MB; ${outlet.name} takes ${most} MB. This is its heaviest part: ${(heaviest.data.length / 1e6).toFixed(1)} MB.`,
      remedy: 'Make its pictures lighter.',
    },
  ]
}

export const weights: EpubRule[] = [kinds, cover, weight]
