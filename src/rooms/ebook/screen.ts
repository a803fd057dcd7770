import type { Device } from './devices'

/** A page that is shown on a device: what stands on which screen of it. */
export class Screen {
  constructor(
    readonly doc: Document,
    readonly device: Pick<Device, 'width' | 'height'>,
  ) {}

  private at = 0

  /** How many screens the page fills. */
  get count(): number {
    // The last column ends before the margin behind it.
    return Math.max(1, Math.ceil((this.doc.body.scrollWidth - 2) / this.device.width))
  }

  get now(): number {
    return this.at
  }

  show(screen: number): void {
    this.at = Math.max(0, Math.min(this.count - 1, screen))
    this.doc.documentElement.scrollLeft = 0
    this.doc.body.style.transform = this.at ? `translateX(${-this.at * this.device.width}px)` : ''
  }

  /** The screen on which an element begins. */
  screenOf(e: Element): number {
    const { left } = e.getBoundingClientRect()
    return Math.max(0, Math.floor((left + this.at * this.device.width + 1) / this.device.width))
  }

  screenOfId(id: string): number {
    const e = this.doc.getElementById(id)
    return e ? this.screenOf(e) : 0
  }

  /** The letter that this screen begins with. */
  get top(): LetterPlace {
    const blocks = blocksOf(this.doc)
    const first = Math.max(
      0,
      blocks.findLastIndex(b => this.screenOf(b) < this.at),
    )
    for (let block = first; block < blocks.length; block++) {
      const letters = lettersOf(blocks[block]!)
      // The first letter that stands on this screen: all before it stand on others.
      let [from, to] = [0, letters.length]
      while (from < to) {
        const middle = (from + to) >> 1
        if (this.screenOfRange(letters.at(middle)) < this.at) from = middle + 1
        else to = middle
      }
      if (from < letters.length || (!letters.length && this.screenOf(blocks[block]!) >= this.at))
        return { block, letter: from }
    }
    return { block: Math.max(0, blocks.length - 1), letter: 0 }
  }

  /** The screen on which a letter stands. */
  screenOfLetter({ block, letter }: LetterPlace): number {
    const e = blocksOf(this.doc)[block]
    if (!e) return 0
    const letters = lettersOf(e)
    return letter && letter < letters.length ? this.screenOfRange(letters.at(letter)) : this.screenOf(e)
  }

  private screenOfRange(range: Range): number {
    const { left } = range.getBoundingClientRect()
    return Math.max(0, Math.floor((left + this.at * this.device.width + 1) / this.device.width))
  }

  /** The label of the printed page that the screen begins on, as the page's own marks say it. */
  get printed(): string | undefined {
    let label: string | undefined
    for (const mark of this.doc.querySelectorAll('[role="doc-pagebreak"]')) {
      const on = this.screenOf(mark)
      // One in the first line is where the screen begins; one further down is where it goes on.
      const before = on < this.at || (on === this.at && mark.getBoundingClientRect().top < FIRST_LINE)
      if (label !== undefined && !before) break
      label = mark.getAttribute('title') ?? mark.getAttribute('aria-label') ?? undefined
    }
    return label
  }
}

/** Pixels down to which the first line of a screen reaches. */
const FIRST_LINE = 60

/** A letter of a page: of which of its blocks, and the how manieth there. */
export interface LetterPlace {
  block: number
  letter: number
}

/** The letters of an element, each as a range. */
function lettersOf(e: Element): { length: number; at(letter: number): Range } {
  const doc = e.ownerDocument
  const walker = doc.createTreeWalker(e, NodeFilter.SHOW_TEXT)
  const texts: Text[] = []
  for (let n = walker.nextNode(); n; n = walker.nextNode()) texts.push(n as Text)
  return {
    length: texts.reduce((n, t) => n + t.length, 0),
    at(letter) {
      let rest = letter
      const text = texts.find(t => rest < t.length || ((rest -= t.length), false))!
      const range = doc.createRange()
      range.setStart(text, rest)
      range.setEnd(text, rest + 1)
      return range
    },
  }
}

const BLOCKS = 'h1, h2, h3, h4, h5, h6, p, figure, .scene, .verse .line'

/** Elements that hold words of their own, none of them within another. */
export const blocksOf = (doc: Document): Element[] =>
  [...doc.querySelectorAll(BLOCKS)].filter(e => !e.querySelector(BLOCKS))

/** An element's words, without the calls of its notes. */
export function wordsOf(e: Element): string {
  const copy = e.cloneNode(true) as Element
  for (const call of copy.querySelectorAll('[role="doc-noteref"]')) call.remove()
  // Where a line ends, words are apart.
  for (const end of copy.querySelectorAll('br')) end.replaceWith(' ')
  return (copy.textContent ?? '').replace(/\s+/g, ' ').trim()
}
