// What the app serves beside its code, from the packages it comes in: fonts with their licences, WASM, the demo library.
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { bundle, root } from './lib/bundle.mjs'

const four = ['400Regular', '400Regular_Italic', '600SemiBold', '600SemiBold_Italic']
const families = {
  'eb-garamond': four,
  'crimson-pro': four,
  alegreya: four,
  spectral: four,
  literata: four,
  'source-serif-4': four,
  'libre-caslon-text': ['400Regular', '400Regular_Italic', '700Bold'],
  'atkinson-hyperlegible': ['400Regular', '400Regular_Italic', '700Bold', '700Bold_Italic'],
  fraunces: ['400Regular', '600SemiBold'],
  figtree: ['400Regular', '600SemiBold'],
}
// Those of covers are listed where the program knows them from.
for (const { id, files } of JSON.parse(readFileSync(join(root, 'src/core/type/display/faces.json'), 'utf8')))
  families[id] = Object.values(files).map(f => f.replace('.ttf', '').split(/_(.*)/)[1])
const out = join(root, 'public/fonts')
mkdirSync(out, { recursive: true })
for (const [family, variants] of Object.entries(families)) {
  const from = join(root, 'node_modules/@expo-google-fonts', family)
  for (const v of variants)
    for (const f of readdirSync(join(from, v))) if (f.endsWith('.ttf')) copyFileSync(join(from, v, f), join(out, f))
  for (const licence of ['LICENSE_FONT', 'LICENSE'])
    if (existsSync(join(from, licence))) {
      copyFileSync(join(from, licence), join(out, `${family}-licence.txt`))
      break
    }
}
// A face of the desk alone, made for dyslexic readers.
const dyslexic = join(root, 'node_modules/@fontsource/opendyslexic')
for (const cut of ['400-normal', '400-italic', '700-normal'])
  copyFileSync(join(dyslexic, `files/opendyslexic-latin-${cut}.woff2`), join(out, `opendyslexic-latin-${cut}.woff2`))
copyFileSync(join(dyslexic, 'LICENSE'), join(out, 'opendyslexic-licence.txt'))
copyFileSync(join(root, 'node_modules/harfbuzzjs/dist/harfbuzz-subset.wasm'), join(out, 'harfbuzz-subset.wasm'))
// What colours become on a press: the profile, its licence, and the module that reads it.
const colour = join(root, 'public/colour')
mkdirSync(colour, { recursive: true })
for (const f of ['coated-offset.icc', 'LICENCE.txt']) copyFileSync(join(root, 'colour', f), join(colour, f))
for (const [from, to] of [
  ['lcms.min.js', 'lcms.js'],
  ['lcms.wasm', 'lcms.wasm'],
])
  copyFileSync(join(root, 'node_modules/lcms-wasm/dist', from), join(colour, to))
// Words of languages, as they are spelt: open dictionaries, each with its licence.
const dictionaries = join(root, 'public/dictionaries')
mkdirSync(dictionaries, { recursive: true })
const { shippedDictionaries } = await import(
  pathToFileURL(await bundle('src/core/proof/dictionaries.ts', 'dictionaries')).href
)
for (const name of shippedDictionaries) {
  const from = join(root, `node_modules/dictionary-${name}`)
  for (const kind of ['aff', 'dic']) copyFileSync(join(from, `index.${kind}`), join(dictionaries, `${name}.${kind}`))
  copyFileSync(join(from, 'license'), join(dictionaries, `${name}-licence.txt`))
}
const icons = join(root, 'public/icons')
mkdirSync(icons, { recursive: true })
const { createCanvas, loadImage } = await import('@napi-rs/canvas')
const icon = await loadImage(join(root, 'src/app/icon.svg'))
for (const size of [192, 512]) {
  const canvas = createCanvas(size, size)
  canvas.getContext('2d').drawImage(icon, 0, 0, size, size)
  writeFileSync(join(icons, `porchlight-${size}.png`), canvas.toBuffer('image/png'))
}
process.chdir(root)
await import(pathToFileURL(await bundle('demo/main.ts', 'demo')).href)
