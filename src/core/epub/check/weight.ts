import { imageSize } from 'image-size'
import { coverOf } from '../../publication'
import type { EpubFinding, EpubRule } from './finding'

/** Media types that every reading program shows (EPUB 3.3, 3.2), without films. */
const SHOWN = /^image\/(gif|jpeg|png|svg\+xml|webp)$/
const OLDER = /^image\/(gif|jpeg|png|svg\+xml)$/

const kinds: EpubRule = ({ epub }) =>
  epub.items.flatMap(({ path, type, data }): EpubFinding[] => {
    if (!type.startsWith('image/')) return []
    const is = sniffed(data)
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
    return (older ? OLDER : SHOWN).test(type)
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

function sniffed(b: Uint8Array): string | undefined {
  if (b[0] === 0xff && b[1] === 0xd8) return 'image/jpeg'
  if (b[0] === 0x89 && b[1] === 0x50 && b[2] === 0x4e) return 'image/png'
  if (b[0] === 0x47 && b[1] === 0x49 && b[2] === 0x46) return 'image/gif'
  if (b[0] === 0x52 && b[8] === 0x57 && b[9] === 0x45) return 'image/webp'
  return undefined
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
  const longer = longerSide(item.data)
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

/** Pixels of a picture's longer side; undefined where its header says none. */
function longerSide(data: Uint8Array): number | undefined {
  try {
    const { width, height } = imageSize(data)
    return Math.max(width, height)
  } catch {
    return undefined // What it is no picture of, its kind says.
  }
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
