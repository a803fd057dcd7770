import {
  AlignmentType,
  HeadingLevel,
  type ILevelsOptions,
  type IParagraphOptions,
  LevelFormat,
  PageBreak,
  Paragraph,
  type ParagraphChild,
  Table,
  TableCell,
  TableRow,
  TextRun,
  VerticalMergeType,
  WidthType,
} from 'docx'
import type { ImageJson, ListJson, ParagraphJson, PlacedCell, Section, TableJson } from '@/core/book'
import { leafKey, type NamedLeaf, ridingLeaves } from './rider'
import { placesOf } from '../../tableRows'
import { SCENE_BREAK } from './names'
import { styleIds } from './styleNames'
import { clean, drawing, inMeasure, marked, runsOf, type Writing } from './words'

/** How lists are numbered, each by itself. */
export type Numberings = { reference: string; levels: ILevelsOptions[] }[]

const aligned = { left: AlignmentType.LEFT, right: AlignmentType.RIGHT, center: AlignmentType.CENTER }
const headings = [
  HeadingLevel.HEADING_2,
  HeadingLevel.HEADING_3,
  HeadingLevel.HEADING_4,
  HeadingLevel.HEADING_5,
  HeadingLevel.HEADING_6,
  HeadingLevel.HEADING_6,
]

/** A section as paragraphs: its title, and its text. */
export function sectionParagraphs(s: Section, w: Writing, numberings: Numberings): (Paragraph | Table)[] {
  const number = w.at.rider.numbers[s.id]
  const label = number && (s.title ? `${number}: ` : number)
  const title = new Paragraph({
    heading: HeadingLevel.HEADING_1,
    pageBreakBefore: true,
    children: marked(
      [
        ...(label ? marked([new TextRun(clean(label, w))], 'label', s.id) : []),
        ...(s.title ? [new TextRun(clean(s.title, w))] : []),
      ],
      'title',
      s.id,
    ),
  })
  const subtitle = s.subtitle
    ? [
        new Paragraph({
          style: styleIds.subtitle,
          children: marked([new TextRun(clean(s.subtitle, w))], 'subtitle', s.id),
        }),
      ]
    : []
  if (s.picture) w.losses.add('pictures over openings: they stay with the book')
  const begun = new Set<string>()
  return [
    title,
    ...subtitle,
    ...ridingLeaves(s, w.at).flatMap(leaf => leafParagraphs(leaf, w, listing(leaf, begun, numberings))),
  ]
}

/** How a leaf stands in the innermost list that holds it. */
function listing(leaf: NamedLeaf, begun: Set<string>, numberings: Numberings): IParagraphOptions {
  const lists = leaf.in.filter(h => h.type === 'list')
  const list = lists.at(-1)
  if (!list) return {}
  if (!numberings.some(n => n.reference === list.key))
    numberings.push({ reference: list.key, levels: levelsOf(list.attrs as unknown as ListJson['attrs'], lists.length) })
  const level = Math.min(8, lists.length - 1)
  const item = leaf.in.findLast(h => h.type === 'item')!.key
  const first = !begun.has(item)
  begun.add(item)
  // What follows in an item has no sign of its own.
  return first
    ? { numbering: { reference: list.key, level } }
    : { style: styleIds.further, indent: { left: 360 * (level + 1) } }
}

const levelsOf = ({ ordered, start }: ListJson['attrs'], depth: number): ILevelsOptions[] =>
  Array.from({ length: Math.min(9, depth) }, (_, level) => ({
    level,
    format: ordered ? LevelFormat.DECIMAL : LevelFormat.BULLET,
    text: ordered ? `%${level + 1}.` : '•',
    alignment: AlignmentType.LEFT,
    start: ordered ? start : 1,
    style: { paragraph: { indent: { left: 360 * (level + 1), hanging: 360 } } },
  }))

function leafParagraphs(leaf: NamedLeaf, w: Writing, listed: IParagraphOptions): (Paragraph | Table)[] {
  const { node, name } = leaf
  const named = (children: ParagraphChild[]): ParagraphChild[] => (name ? marked(children, leaf.ride, name) : children)
  const holder = leaf.in.map(h => h.type).find(type => type === 'quote' || type === 'letter')
  switch (node.type) {
    case 'paragraph':
      return [
        new Paragraph({
          ...(holder && { style: styleIds[holder] }),
          ...listed,
          ...(node.attrs.align && { alignment: aligned[node.attrs.align] }),
          children: named(runsOf(node.content, w)),
        }),
      ]
    case 'heading':
      return [
        new Paragraph({
          heading: headings[node.attrs.level - 1] ?? headings[0],
          children: named(runsOf(node.content, w)),
        }),
      ]
    case 'line':
      return [
        new Paragraph({
          style: styleIds.verse,
          indent: { left: 360 + 240 * node.attrs.indent },
          ...(node.attrs.stanza && { spacing: { before: 240 } }),
          children: named(runsOf(node.content, w)),
        }),
      ]
    case 'image':
      return picture(node, named, w)
    case 'table':
      return [table(node, w)]
    case 'scene_break':
      return [new Paragraph({ style: styleIds.break, children: named([new TextRun(SCENE_BREAK)]) })]
    case 'page_break':
      return [new Paragraph({ style: styleIds.page, children: named([new PageBreak()]) })]
  }
}

function picture(node: ImageJson, named: (runs: ParagraphChild[]) => ParagraphChild[], w: Writing): Paragraph[] {
  const { attrs, content } = node
  const shown = attrs.asset ? drawing(attrs, w, inMeasure(attrs.share)) : undefined
  if (attrs.plays) w.losses.add('recordings: words or their stills stand for them')
  const stands = shown ?? new TextRun(`[${clean(attrs.alt || (attrs.plays ? 'recording' : 'picture'), w)}]`)
  return [
    new Paragraph({ style: styleIds.picture, children: named([stands]) }),
    ...(content?.length
      ? [
          new Paragraph({
            style: styleIds.caption,
            children: attrs.id ? marked(runsOf(content, w), 'picture', attrs.id) : runsOf(content, w),
          }),
        ]
      : []),
  ]
}

/** A table as itself. The bookmark of its first cell's paragraph names it, before that paragraph's own. */
function table(node: TableJson, w: Writing): Table {
  let first = node.attrs.id
  const cellParagraph = (p: ParagraphJson): Paragraph => {
    const own = runsOf(p.content, w)
    const children = p.attrs.id ? marked(own, 'block', p.attrs.id) : own
    if (p.attrs.id)
      w.at.rider.leaves.set(leafKey('block', p.attrs.id), {
        ...{ node: { type: p.type, attrs: p.attrs }, words: p.content ?? [], in: [] },
      })
    const begins = first
    first = ''
    return new Paragraph({
      ...(p.attrs.align && { alignment: aligned[p.attrs.align] }),
      children: begins ? marked(children, 'block', begins) : children,
    })
  }
  const cell = ({ cell: { attrs, content }, deep }: PlacedCell): TableCell =>
    new TableCell({
      ...(attrs.span > 1 && { columnSpan: attrs.span }),
      ...(deep > 1 && { verticalMerge: VerticalMergeType.RESTART }),
      children: content.map(cellParagraph),
    })
  const bare = (wide: number, covered: boolean): TableCell =>
    new TableCell({
      ...(wide > 1 && { columnSpan: wide }),
      ...(covered && { verticalMerge: VerticalMergeType.CONTINUE }),
      children: [new Paragraph('')],
    })
  return new Table({
    width: { size: 100, type: WidthType.PERCENTAGE },
    rows: placesOf(node).map(
      (places, i) =>
        new TableRow({
          ...(node.content[i]!.attrs.head && { tableHeader: true }),
          children: places.map(p =>
            p.is === 'cell' ? cell(p.placed) : bare(p.is === 'gap' ? 1 : p.placed.wide, p.is === 'covered'),
          ),
        }),
    ),
  })
}
