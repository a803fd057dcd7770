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
      own.setAttribute(SHEET, pathFrom(path, link.getAttribute('href') ?? ''))
      link.replaceWith(own)
    }
    for (const name of ['src', 'poster'])
      for (const e of doc.querySelectorAll(`[${name}]`))
        e.setAttribute(FILE + name, pathFrom(path, e.getAttribute(name)!))
    for (const e of doc.querySelectorAll('image')) {
      const href = e.getAttributeNS(XLINK, 'href') ?? e.getAttribute('href')
      if (href) e.setAttribute(`${FILE}href`, pathFrom(path, href))
    }
    const over = doc.createElementNS(XHTML, 'style')
    over.setAttribute('id', READER)
    doc.querySelector('head')?.append(over)
    await this.dress(doc, style)
    return URL.createObjectURL(
      new Blob([new XMLSerializer().serializeToString(doc)], { type: 'application/xhtml+xml' }),
    )
  }

  /** Whether a page of `other` says the same, so that its styles and files alone may differ. */
  alike(path: string, other: Pages): boolean {
    return this.copy.texts.has(path) && this.copy.texts.get(path) === other.copy.texts.get(path)
  }

  /** Gives a page its files and style sheets, and the reader's over them; what it has already stays. `wanted`: whether it still should, once they are read. */
  async dress(doc: Document, style: string, wanted = (): boolean => true): Promise<void> {
    const own = [...doc.querySelectorAll(`style[${SHEET}]`)]
    const sheets = await Promise.all(own.map(e => this.sheet(e.getAttribute(SHEET)!)))
    if (!wanted()) return
    for (const name of ['src', 'poster', 'href'])
      for (const e of doc.querySelectorAll(`[${FILE}${name}]`)) {
        const url = this.url(e.getAttribute(FILE + name)!)
        if (name === 'href') e.setAttributeNS(XLINK, 'href', url)
        else if (e.getAttribute(name) !== url) e.setAttribute(name, url)
      }
    for (const [i, e] of own.entries()) say(e, sheets[i]!)
    const over = doc.getElementById(READER)
    if (over) say(over, style)
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

/** Puts text into a sheet that says another: each is read anew by the browser. */
const say = (sheet: Element, text: string): void => {
  if (sheet.textContent !== text) sheet.textContent = text
}

const XHTML = 'http://www.w3.org/1999/xhtml'
const XLINK = 'http://www.w3.org/1999/xlink'
/** Id of the style that the reader lays over a page. */
export const READER = 'porchlight-reader'
/** Names the sheet that a style of a page is. */
const SHEET = 'data-sheet'
/** Begins the attribute that says which file an attribute of the same name is given. */
const FILE = 'data-file-'

const pathFrom = (part: string, href: string): string => pathIn(folderOf(part), decoded(href.split('#')[0]!))
