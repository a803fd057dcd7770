import { createCanvas } from '@napi-rs/canvas'
import { inColour, writePictureBook } from './lib/pictureBook'

/** Writes a project of three hundred pictures of 24 megapixels. */
const canvas = createCanvas(6000, 4000)
const ctx = canvas.getContext('2d')
for (let i = 0; i < 60; i++) {
  ctx.fillStyle = `hsl(${i * 6}, 50%, ${30 + (i % 5) * 10}%)`
  ctx.fillRect(i * 100, 0, 100, 4000)
}
const jpegs = [new Uint8Array(await canvas.encode('jpeg', 80))]
writePictureBook(process.argv[2]!, { title: 'Three Hundred Pictures', jpegs, count: 300, width: 6000, height: 4000 }, [
  inColour,
])
