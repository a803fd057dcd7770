import { createCanvas } from '@napi-rs/canvas'
import { seeded } from '@/core/trade'
import { inColour, writePictureBook } from './lib/pictureBook'

/** Writes a project of photographs of 12 megapixels, as a camera would take them: soft light, fine detail, grain. Arguments: file, how many. */
const WIDTH = 4000
const HEIGHT = 3000

/** Light that varies smoothly between points of a lattice, a side of which is so many pixels. */
function veil(seed: number, side: number): (x: number, y: number) => number {
  const chance = seeded(seed)
  const across = Math.ceil(WIDTH / side) + 2
  const lattice = Float32Array.from({ length: across * (Math.ceil(HEIGHT / side) + 2) }, () => chance() - 0.5)
  return (x, y) => {
    const [i, j] = [Math.floor(x / side), Math.floor(y / side)]
    const [u, v] = [x / side - i, y / side - j]
    const at = (a: number, b: number): number => lattice[(j + b) * across + i + a]!
    return (at(0, 0) * (1 - u) + at(1, 0) * u) * (1 - v) + (at(0, 1) * (1 - u) + at(1, 1) * u) * v
  }
}

async function photograph(n: number): Promise<Uint8Array> {
  const canvas = createCanvas(WIDTH, HEIGHT)
  const ctx = canvas.getContext('2d')
  const image = ctx.createImageData(WIDTH, HEIGHT)
  const octaves = [900, 210, 60, 17, 5, 2].map((side, i) => ({
    light: veil(n * 10 + i, side),
    height: [190, 80, 46, 26, 15, 10][i]!,
  }))
  const warmth = veil(n * 10 + 9, 700)
  for (let y = 0, k = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++, k += 4) {
      let light = 128
      for (const o of octaves) light += o.light(x, y) * o.height
      const warm = warmth(x, y) * 90
      image.data[k] = light + warm
      image.data[k + 1] = light
      image.data[k + 2] = light - warm
      image.data[k + 3] = 255
    }
  ctx.putImageData(image, 0, 0)
  return new Uint8Array(await canvas.encode('jpeg', 94))
}

const jpegs = [await photograph(1), await photograph(2)]
const count = Number(process.argv[3] ?? 300)
writePictureBook(process.argv[2]!, { title: 'Three Hundred Photographs', jpegs, count, width: WIDTH, height: HEIGHT }, [
  inColour,
  {
    id: 'ebook',
    kind: 'ebook',
    outlets: ['ostrevane', 'pellowick'],
    style: 'harbour-roman',
    prices: { USD: 999 },
    ebook: { light: { likeness: 0.95 } },
  },
])
