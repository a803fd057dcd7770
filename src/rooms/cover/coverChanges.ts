import { type CoverDesign, type CoverForm, type CoverPiece, coverForms, isWords } from '@/core/book'
import { type Boxes, nameOf, shippedDesigns } from '@/core/cover'

/** A change of the design, as one step; `merge`: it may join the one before. */
export type ChangeDesign = (label: string, patch: (d: CoverDesign) => CoverDesign, merge?: boolean) => void

/** What of a piece becomes other; what is undefined goes. */
export type Patch<P extends CoverPiece = CoverPiece> = { [K in keyof P]?: P[K] | undefined }

/** A change of one piece. */
export type ChangePiece<P extends CoverPiece = CoverPiece> = (label: string, patch: Patch<P>, merge?: boolean) => void

/** The design with a piece as `patch` has it. */
export const withPiece = (design: CoverDesign, id: string, patch: Patch): CoverDesign => ({
  ...design,
  pieces: design.pieces.map(p => (p.id === id ? tidy({ ...p, ...patch } as CoverPiece) : p)),
})

function tidy<T extends object>(x: T): T {
  return Object.fromEntries(Object.entries(x).filter(([, v]) => v !== undefined)) as T
}

export const without = (design: CoverDesign, ids: readonly string[]): CoverDesign => ({
  ...design,
  pieces: design.pieces.filter(p => !ids.includes(p.id)),
})

/** The design with pieces where `boxes` has them. */
export const withBoxes = (design: CoverDesign, boxes: Boxes): CoverDesign => ({
  ...design,
  pieces: design.pieces.map(p => {
    const box = boxes.get(p.id)
    return box ? { ...p, box } : p
  }),
})

/** All pieces that are chosen with one: its group, or itself. */
export function togetherWith(pieces: readonly CoverPiece[], id: string): string[] {
  const group = pieces.find(p => p.id === id)?.group
  return group ? pieces.filter(p => p.group === group).map(p => p.id) : [id]
}

/** The design with pieces as one group, or as none. */
export function grouped(design: CoverDesign, ids: readonly string[], as: boolean): CoverDesign {
  const group = as ? freeGroup(design) : undefined
  return { ...design, pieces: design.pieces.map(p => (ids.includes(p.id) ? tidy({ ...p, group }) : p)) as CoverPiece[] }
}

function freeGroup({ pieces }: CoverDesign): string {
  const taken = new Set(pieces.map(p => p.group))
  let n = 1
  while (taken.has(`group-${n}`)) n++
  return `group-${n}`
}

/** The design with pieces of another cover over all, each under an id of its own. */
export function pasted(design: CoverDesign, pieces: readonly CoverPiece[]): { design: CoverDesign; ids: string[] } {
  let next = design
  const ids: string[] = []
  for (const { group: _group, ...piece } of pieces) {
    const id = freeId(next, isWords(piece as CoverPiece) ? 'words' : (piece.kind ?? 'words'))
    next = { ...next, pieces: [...next.pieces, { ...piece, id, own: true } as CoverPiece] }
    ids.push(id)
  }
  return { design: next, ids }
}

/** A step nearer to the eye, or away from it. */
export function laid(design: CoverDesign, id: string, by: 1 | -1): CoverDesign {
  const pieces = [...design.pieces]
  const at = pieces.findIndex(p => p.id === id)
  const to = at + by
  if (at < 0 || to < 0 || to >= pieces.length) return design
  ;[pieces[at], pieces[to]] = [pieces[to]!, pieces[at]!]
  return { ...design, pieces }
}

/** Another design in the place of one: what the author put on it, and its picture, stay. */
export function redesigned(design: CoverDesign, next: CoverDesign): CoverDesign {
  const before = shippedDesigns.find(d => d.id === design.id)
  const ofBefore = new Set(before?.pieces.map(p => p.id))
  // Covers of an earlier version do not say what their author added: it is what the design does not have.
  const own = design.pieces.filter(p => p.own ?? (before !== undefined && !ofBefore.has(p.id)))
  let worn: CoverDesign = { ...next, ...(design.picture ? { picture: design.picture } : {}) }
  for (const p of own) {
    const taken = worn.pieces.some(q => q.id === p.id)
    const id = taken ? freeId(worn, isWords(p) ? p.field : p.kind) : p.id
    worn = { ...worn, pieces: [...worn.pieces, { ...p, id, own: true }] }
  }
  return worn
}

/** An id that no piece of the design has. */
function freeId(design: CoverDesign, of: string): string {
  const taken = new Set(design.pieces.map(p => p.id))
  let n = 1
  while (taken.has(`${of}-${n}`)) n++
  return `${of}-${n}`
}

/** How far a copy stands from what it is a copy of, in parts of their area. */
const ASIDE = 0.03

/** The design with a copy of a piece over it, a little aside. */
export function copied(design: CoverDesign, id: string): { design: CoverDesign; id: string } {
  const at = design.pieces.findIndex(p => p.id === id)
  const piece = design.pieces[at]
  if (!piece) return { design, id }
  const copy = freeId(design, isWords(piece) ? piece.field : piece.kind)
  const { box } = piece
  const moved = {
    ...box,
    x: Math.min(1 - box.width, box.x + ASIDE),
    y: Math.min(1 - box.height, box.y + ASIDE),
  }
  const pieces = [...design.pieces]
  pieces.splice(at + 1, 0, { ...piece, id: copy, box: moved, own: true })
  return { design: { ...design, pieces }, id: copy }
}

/** What can be put on a cover. A picture comes with its file. */
export type NewPiece = 'words' | 'quotes' | 'logo' | 'ornament' | 'repeat' | Exclude<CoverForm, 'own'>
export const newPieces: readonly NewPiece[] = [
  'words',
  'quotes',
  'logo',
  'ornament',
  'repeat',
  ...coverForms.filter(f => f !== 'own'),
]

const BOX = { x: 0.25, y: 0.42, width: 0.5, height: 0.12 }
const QUOTES = { x: 0.1, y: 0.3, width: 0.8, height: 0.3 }
const SQUARE = { x: 0.35, y: 0.4, width: 0.3, height: 0.2 }

/** The design with a new piece over all, in the colours that it has. */
export function added(
  design: CoverDesign,
  what: NewPiece,
  panel: CoverPiece['panel'],
): { design: CoverDesign; id: string } {
  const id = freeId(design, what)
  const piece = newPiece(design, what, { id, panel })
  const own = { ...piece, own: true }
  // A pattern is a ground: words stay over it.
  return { design: what === 'repeat' ? underWords(design, own) : { ...design, pieces: [...design.pieces, own] }, id }
}

/** A new piece of a kind, in the design's own face and colours. */
function newPiece(design: CoverDesign, what: NewPiece, at: Pick<CoverPiece, 'id' | 'panel'>): CoverPiece {
  const title = design.pieces.filter(isWords).find(p => p.field === 'title')
  const { light } = design.motif
  switch (what) {
    case 'words':
    case 'quotes':
      return {
        ...at,
        kind: 'text',
        ...(what === 'words' ? { field: 'own', words: 'Your words' } : { field: 'quotes' }),
        box: what === 'words' ? BOX : QUOTES,
        face: title?.face ?? 'fraunces/bold',
        size: what === 'words' ? 20 : 12,
        leading: what === 'words' ? 1.2 : 1.35,
        tracking: 0,
        capitals: false,
        align: 'center',
        vertical: 'middle',
        colour: title?.colour ?? light,
      }
    case 'logo':
      return { ...at, kind: 'logo', box: SQUARE }
    case 'ornament':
      return { ...at, kind: 'ornament', ornament: 'three lights', box: BOX, colour: light }
    case 'repeat':
      return {
        ...at,
        kind: 'repeat',
        within: 'panel',
        of: { kind: 'form', form: 'star' },
        box: { x: 0, y: 0, width: 1, height: 1 },
        colour: light,
        pattern: 'brick',
        cell: 0.06,
        apart: { x: 1, y: 0.6 },
        opacity: 0.25,
      }
    default:
      return {
        ...at,
        kind: 'shape',
        form: what,
        box: what === 'line' || what === 'ribbon' ? BOX : SQUARE,
        colour: light,
      }
  }
}

/** The design with a piece over the ground and under the words. */
function underWords(design: CoverDesign, piece: CoverPiece): CoverDesign {
  const words = design.pieces.findIndex(isWords)
  const pieces = [...design.pieces]
  pieces.splice(words < 0 ? pieces.length : words, 0, piece)
  return { ...design, pieces }
}

/** The design with an outline of the author's own over all. */
export function outlined(
  design: CoverDesign,
  path: string,
  panel: CoverPiece['panel'],
): { design: CoverDesign; id: string } {
  const id = freeId(design, 'outline')
  const piece: CoverPiece = {
    id,
    kind: 'shape',
    form: 'own',
    path,
    panel,
    box: SQUARE,
    colour: design.motif.light,
    own: true,
  }
  return { design: { ...design, pieces: [...design.pieces, piece] }, id }
}

/** The design with a picture over the ground and under the words. */
export function pictured(
  design: CoverDesign,
  asset: string,
  panel: CoverPiece['panel'],
): { design: CoverDesign; id: string } {
  const id = freeId(design, 'picture')
  const piece: CoverPiece = {
    id,
    kind: 'picture',
    own: true,
    panel,
    asset,
    box: { x: 0.15, y: 0.35, width: 0.7, height: 0.4 },
  }
  return { design: underWords(design, piece), id }
}

/** Pieces of a panel as they are read: from its head down, from the left. */
export const inReadingOrder = (pieces: readonly CoverPiece[]): CoverPiece[] =>
  [...pieces].sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x)

/** What a step of undo calls a piece. */
export const called = (piece: CoverPiece): string => nameOf(piece)
