import type { Device } from './devices'

/** A page that is shown on a device: what stands on which screen of it. */
export class Screen {
  constructor(
    readonly doc: Document,
    readonly device: Device,
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

  /** The first words that begin on this screen, or go on there. */
  get top(): Element | undefined {
    const blocks = blocksOf(this.doc)
    return blocks.find(b => this.screenOf(b) >= this.at) ?? blocks.at(-1)
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

/** Elements that hold words of their own. */
export const blocksOf = (doc: Document): Element[] => [
  ...doc.querySelectorAll('h1, h2, h3, h4, h5, h6, p, figure, .scene, td, th, .verse .line'),
]

/** An element's words, without the calls of its notes. */
export function wordsOf(e: Element): string {
  const copy = e.cloneNode(true) as Element
  for (const call of copy.querySelectorAll('[role="doc-noteref"]')) call.remove()
  return (copy.textContent ?? '').replace(/\s+/g, ' ').trim()
}
