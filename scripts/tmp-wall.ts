import { writeFileSync } from 'node:fs'
import { createCanvas, ImageData } from '@napi-rs/canvas'
import { nodePorts, fontSource } from '@/cli/ports'
import { FontShelf } from '@/core/type'
import { drawCover, flatFor, frontPage, lampOverTide, motifNames } from '@/core/cover'
import { shippedProfiles } from '@/core/outlets'
const shelf = new FontShelf(fontSource)
const profile = shippedProfiles[0]!
const H = 300
const pal = [
  ['#15343d', '#e59f2c', '#0f2730', '#2c5a66'], ['#f3e7d0', '#c8553d', '#2d3047', '#93b7be'], ['#2b2d42', '#ffd166', '#11121f', '#8d99ae'], ['#6b2737', '#f2c57c', '#3d1420', '#9a3b4f'],
]
const data = { title: 'The Tidewarden’s Almanac', subtitle: 'A novel of the lower harbour', contributors: [{ name: 'Ada Pell', role: 'aut' }], language: 'en-GB', imprint: { name: 'Saltgrass' }, subjects: [], series: { name: 'Carrow', number: 2 } }
const names = motifNames
const canvas = createCanvas(7 * 210, 3 * (H + 14))
const ctx = canvas.getContext('2d')
ctx.fillStyle = '#ddd'; ctx.fillRect(0, 0, canvas.width, canvas.height)
for (const [i, kind] of names.entries()) {
  const [g, l, d, a] = pal[i % 4]!
  const flat = flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: profile.print!.papers[0]!.id ?? 'white', pages: 240 } as never)
  const t = performance.now()
  const light = i % 4 === 1
  const c = await drawCover(flat, { ...lampOverTide, ground: { colour: g! }, motif: { kind, light: l!, dark: d!, accent: a!, seed: 4 }, pieces: lampOverTide.pieces.map(p => ({ ...p, ...(light ? { colour: '#2d3047' } : {}) })) as never }, data as never, { shelf })
  const page = frontPage(c)
  const ms = performance.now() - t
  const px = await nodePorts(new Map()).pixels(page, H / page.height)
  const im = createCanvas(px.width, px.height)
  im.getContext('2d').putImageData(new ImageData(new Uint8ClampedArray(px.rgba as never), px.width, px.height), 0, 0)
  ctx.drawImage(im, (i % 7) * 210 + 5, Math.floor(i / 7) * (H + 14) + 5)
  console.log(kind, ms.toFixed(0))
}
writeFileSync('/tmp/wall.png', canvas.toBuffer('image/png'))
