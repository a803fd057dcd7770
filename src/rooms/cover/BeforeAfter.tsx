'use client'

/** Height of two flats that are held side by side, pixels. */
const HEIGHT = 88

/** As many pixels of this screen. */
export const sideBySide = (): number => HEIGHT * Math.min(2, devicePixelRatio || 1)

interface Seen {
  picture: ImageBitmap
  says: string
}

/** The flat as it was and as it would be, side by side. */
export function BeforeAfter({ before, after }: { before: Seen; after: Seen }) {
  return (
    <div className="beforeafter">
      <Flat {...before} />
      <Flat {...after} />
    </div>
  )
}

function Flat({ picture, says }: Seen) {
  const drawn = (c: HTMLCanvasElement | null): void => {
    if (!c) return
    c.width = picture.width
    c.height = picture.height
    c.getContext('2d')!.drawImage(picture, 0, 0)
  }
  return (
    <figure>
      <canvas ref={drawn} role="img" aria-label={`The flat for ${says}`} />
      <figcaption>{says}</figcaption>
    </figure>
  )
}
