import { decoded, pathIn, folderOf } from '@/core/files'
import type { ReadingCopy } from '@/workers/answers/reading'

/** Address of a file while the copy is read. */
const NOWHERE = 'data:,'

/** The pages of a reading copy as a browser shows them: what they load is given from the copy, and from nowhere else. */
export class Pages {
  private readonly urls = new Map<string, string>()
  private readonly sheets = new Map<string, Promise<string>>()

  constructor(readonly copy: ReadingCopy) {}

  /** Whether it brings a face. */
  get carries(): boolean {
    return [...this.copy.files.values()].some(f => f.type.startsWith('font/'))
  }

  /** A page as the address of an XHTML document, with `style` laid over it; undefined where it is not in the file. Whoever asked gives it back. */
  async address(path: string, style: string): Promise<string | undefined> {
    const text = this.copy.texts.get(path)
    if (text === undefined) return undefined
    const doc = new DOMParser().parseFromString(text, 'application/xhtml+xml')
    for (const link of doc.querySelectorAll('link[rel~="stylesheet"]')) {
      const own = doc.createElementNS(XHTML, 'style')
      own.textContent = await this.sheet(pathFrom(path, link.getAttribute('href') ?? ''))
      link.replaceWith(own)
    }
    for (const name of ['src', 'poster'])
      for (const e of doc.querySelectorAll(`[${name}]`))
        e.setAttribute(name, this.url(pathFrom(path, e.getAttribute(name)!)))
    for (const e of doc.querySelectorAll('image')) {
      const href = e.getAttributeNS(XLINK, 'href') ?? e.getAttribute('href')
      if (href) e.setAttributeNS(XLINK, 'href', this.url(pathFrom(path, href)))
    }
    const over = doc.createElementNS(XHTML, 'style')
    over.setAttribute('id', READER)
    over.textContent = style
    doc.querySelector('head')?.append(over)
    return URL.createObjectURL(
      new Blob([new XMLSerializer().serializeToString(doc)], { type: 'application/xhtml+xml' }),
    )
  }

  close(): void {
    for (const url of this.urls.values()) URL.revokeObjectURL(url)
    this.urls.clear()
  }

  private url(path: string): string {
    const file = this.copy.files.get(path)
    if (!file) return NOWHERE
    let url = this.urls.get(path)
    if (!url) this.urls.set(path, (url = URL.createObjectURL(file)))
    return url
  }

  /** A style sheet whose fonts and pictures are given from the copy, as data: a document's fonts may come from nowhere else. */
  private sheet(path: string): Promise<string> {
    let known = this.sheets.get(path)
    if (!known) this.sheets.set(path, (known = this.readSheet(path)))
    return known
  }

  private async readSheet(path: string): Promise<string> {
    const css = this.copy.texts.get(path) ?? ''
    const found = [...css.matchAll(/url\(\s*["']?([^"')]+)["']?\s*\)/g)]
    const given = await Promise.all(found.map(m => this.data(pathFrom(path, m[1]!))))
    let i = 0
    return css.replace(/url\(\s*["']?[^"')]+["']?\s*\)/g, () => `url(${given[i++]})`)
  }

  private async data(path: string): Promise<string> {
    const file = this.copy.files.get(path)
    if (!file) return NOWHERE
    return new Promise(done => {
      const reader = new FileReader()
      reader.onload = () => done(reader.result as string)
      reader.onerror = () => done(NOWHERE)
      reader.readAsDataURL(file)
    })
  }
}

const XHTML = 'http://www.w3.org/1999/xhtml'
const XLINK = 'http://www.w3.org/1999/xlink'
/** Id of the style that the reader lays over a page. */
export const READER = 'porchlight-reader'

const pathFrom = (part: string, href: string): string => pathIn(folderOf(part), decoded(href.split('#')[0]!))
