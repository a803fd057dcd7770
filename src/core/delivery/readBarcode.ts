/** What of a picture is looked for bars: grey, a byte a pixel, row by row. */
export interface GreyPixels {
  width: number
  height: number
  light: Uint8ClampedArray
}

/** The figures of an EAN-13 in a picture (ISO/IEC 15420), wherever it stands upright or on its side; undefined where none can be read. */
export async function readBarcode(picture: GreyPixels): Promise<string | undefined> {
  const { BinaryBitmap, EAN13Reader, HybridBinarizer, RGBLuminanceSource } = await import('@zxing/library')
  const read = ({ light, width, height }: GreyPixels): string | undefined => {
    const bitmap = new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(light, width, height)))
    try {
      return new EAN13Reader().decode(bitmap, TRY_HARDER).getText()
    } catch {
      // It throws where it finds none.
      return undefined
    }
  }
  return read(picture) ?? read(onItsSide(picture))
}

/** DecodeHintType.TRY_HARDER: every row is looked at. */
const TRY_HARDER = new Map<number, boolean>([[3, true]])

function onItsSide({ width, height, light }: GreyPixels): GreyPixels {
  const turned = new Uint8ClampedArray(light.length)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) turned[x * height + y] = light[y * width + x]!
  return { width: height, height: width, light: turned }
}
