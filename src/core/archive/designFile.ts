import { ValidationError } from 'yup'
import type { CoverDesign, CoverPiece } from '../book'
import { Fault, fields } from '../trade'
import { canonicalJson } from './canonical'
import { coverSchema, pieceSchema } from './coverSchema'

const { one, shape, whole } = fields

/** The open file of a cover design: JSON (docs/formats.md). */
const FORMAT = 'porchlight-design'
const VERSION = 1
/** Most letters of a design's file: it may hold outlines. */
const MOST = 4_000_000

const fileSchema = () =>
  shape({ format: one(FORMAT).required(), version: whole(1, VERSION).required(), design: coverSchema().required() })

/** Whether something kept is a design in order, without pictures: those are a book's own. */
export const isDesign = (value: unknown): boolean =>
  coverSchema().isValidSync(value) && !picturesOf(value as CoverDesign).length

const hasPicture = (p: CoverPiece): boolean => p.kind === 'picture' || (p.kind === 'repeat' && p.of.kind === 'picture')
const picturesOf = (design: CoverDesign): CoverPiece[] => design.pieces.filter(hasPicture)

/** A design as it goes from book to book: what shows pictures stays behind, and how much of it is said; what its author put on it is part of it. */
export function withoutPictures({ picture, front, ...design }: CoverDesign): { design: CoverDesign; left: number } {
  const pieces = design.pieces.filter(p => !hasPicture(p)).map(({ own: _own, ...p }) => p as CoverPiece)
  return { design: { ...design, pieces }, left: picturesOf(design).length + (picture ? 1 : 0) + (front ? 1 : 0) }
}

export const writeDesign = (design: CoverDesign): string =>
  canonicalJson({ format: FORMAT, version: VERSION, design: withoutPictures(design).design })

/** Pieces that were laid aside; none where what lies there is no list of them. */
export function readPieces(text: string): CoverPiece[] {
  if (text.length > MOST) return []
  try {
    const { pieces } = JSON.parse(text) as { pieces?: unknown }
    return Array.isArray(pieces) ? pieces.filter((p): p is CoverPiece => pieceSchema().isValidSync(p)) : []
  } catch {
    // It was written by something else.
    return []
  }
}

/** Reads a design's file. Throws a Fault that says what is wrong with it. */
export function readDesign(file: string): CoverDesign {
  if (file.length > MOST) throw new Fault('design', 'This file is larger than any design.')
  let raw: unknown
  try {
    raw = JSON.parse(file)
  } catch {
    throw new Fault('design', 'This file is no design, or it is damaged.')
  }
  if (!raw || typeof raw !== 'object' || (raw as { format?: unknown }).format !== FORMAT)
    throw new Fault('design', 'This file is no design of a cover: designs are saved from the Cover of a book.')
  if (Number((raw as { version?: unknown }).version) > VERSION)
    throw new Fault('design', 'This design was written by a later version of Porchlight.')
  try {
    return withoutPictures((fileSchema().validateSync(raw) as unknown as { design: CoverDesign }).design).design
  } catch (e) {
    if (e instanceof ValidationError) throw new Fault('design', `This design is damaged: ${e.message}.`)
    throw e
  }
}
