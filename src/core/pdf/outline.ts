import type { PDFRef } from '@cantoo/pdf-lib'
import type { PageMarks } from '../marks'
import { type Branch, nested } from '../trade'
import type { PdfFile } from './file'

/** Ranges of labels: a new range wherever the series or its number does not simply go on. */
export function pageLabels(file: PdfFile, pages: PageMarks[]): unknown[] {
  const nums: unknown[] = []
  let roman: boolean | undefined
  pages.forEach((p, i) => {
    const isRoman = /^[ivxlcdm]+$/.test(p.label)
    if (isRoman !== roman) {
      roman = isRoman
      const number = /^\d+$/.test(p.label) ? Number(p.label) : undefined
      nums.push(
        i,
        /^\d+$|^[ivxlcdm]+$/.test(p.label)
          ? { S: isRoman ? 'r' : 'D', ...(number && number !== 1 ? { St: number } : {}) }
          : { P: file.text(p.label) },
      )
    }
  })
  return nums
}

/** An entry of the outline: its page from 0, and how deep it stands. */
export interface OutlineItem {
  title: string
  page: number
  /** From 0, and 0 where absent: it stands below the nearest of a lesser depth before it. */
  depth?: number
}

/** The outline that readers show beside the pages (ISO 32000-2, 12.3.3): all of it open. */
export function outline(file: PdfFile, items: OutlineItem[], pages: PDFRef[]): PDFRef {
  const root = file.ref()
  file.object(
    {
      Type: 'Outlines',
      ...family(
        file,
        nested(items, i => i.depth ?? 0),
        { ref: root, pages },
      ),
    },
    root,
  )
  return root
}

/** Writes the entries below one; gives what that one says of them. */
function family(
  file: PdfFile,
  branches: Branch<OutlineItem>[],
  { ref: parent, pages }: { ref: PDFRef; pages: PDFRef[] },
): Record<string, unknown> {
  const refs = branches.map(() => file.ref())
  let count = branches.length
  branches.forEach(({ item, below }, i) => {
    const ref = refs[i]!
    const inside = below.length ? family(file, below, { ref, pages }) : {}
    count += Number(inside.Count ?? 0)
    file.object(
      {
        Title: file.text(item.title),
        Parent: parent,
        ...(i ? { Prev: refs[i - 1]! } : {}),
        ...(i < refs.length - 1 ? { Next: refs[i + 1]! } : {}),
        ...inside,
        Dest: [pages[item.page]!, 'Fit'],
      },
      ref,
    )
  })
  return { First: refs[0]!, Last: refs.at(-1)!, Count: count }
}
