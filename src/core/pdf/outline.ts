import type { PDFRef } from '@cantoo/pdf-lib'
import type { PageMarks } from '../marks'
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

/** The outline that readers show beside the pages. */
export function outline(file: PdfFile, entries: { title: string; page: number }[], pages: PDFRef[]): PDFRef {
  const root = file.ref()
  const refs = entries.map(() => file.ref())
  entries.forEach((e, i) => {
    file.object(
      {
        Title: file.text(e.title),
        Parent: root,
        ...(i ? { Prev: refs[i - 1]! } : {}),
        ...(i < refs.length - 1 ? { Next: refs[i + 1]! } : {}),
        Dest: [pages[e.page]!, 'Fit'],
      },
      refs[i],
    )
  })
  return file.object({ Type: 'Outlines', First: refs[0]!, Last: refs[refs.length - 1]!, Count: refs.length }, root)
}
