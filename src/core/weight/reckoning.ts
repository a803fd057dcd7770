import { type LightPicture, worthOfLines } from './lighten'
import type { Study } from './study'

/** What pictures will weigh, from their samples, and from what they came to where they were written. */
export class Reckoning {
  /** What one came to over what its samples said. */
  private readonly corrected = new Map<string, number>()
  /** Bytes of what keeps every pixel: no likeness is worth more. */
  private readonly most = new Map<string, number>()

  constructor(private readonly studies: Map<string, Study>) {}

  /** Bytes of all at a likeness. Of one that lets the ground through nothing is known before it is written. */
  at(likeness: number): number {
    let bytes = 0
    for (const [id, study] of this.studies) {
      const most = this.most.get(id)
      const asJpeg = study.clear ? (most ?? 0) : weightAt(study, likeness) * (this.corrected.get(id) ?? 1)
      const kept = study.drawn && most !== undefined && most < asJpeg * worthOfLines(likeness)
      bytes += kept ? most : Math.min(most ?? Infinity, asJpeg)
    }
    return bytes
  }

  /** `likeness`: at which they were written. */
  learn(pictures: Map<string, LightPicture>, likeness: number): void {
    for (const [id, { bytes, quality }] of pictures) {
      const study = this.studies.get(id)
      if (quality === undefined) this.most.set(id, bytes.length)
      else if (study) this.corrected.set(id, bytes.length / weightAt(study, likeness))
    }
  }
}

/** Bytes that a picture is reckoned to have as a JPEG that is so alike, between what was tried. */
export function weightAt({ tries, times }: Study, likeness: number): number {
  const over = tries.findIndex(t => t.likeness >= likeness)
  if (over <= 0) return (over < 0 ? tries.at(-1)! : tries[0]!).bytes * times
  const [a, b] = [tries[over - 1]!, tries[over]!]
  const part = (likeness - a.likeness) / (b.likeness - a.likeness)
  return Math.exp(Math.log(a.bytes) * (1 - part) + Math.log(b.bytes) * part) * times
}
