import { writeFile } from 'node:fs/promises'
import { createCanvas, GlobalFonts, type SKRSContext2D } from '@napi-rs/canvas'

/** Draws the novel's pictures in ink on white, 1400 pixels wide: 300 an inch at the measure of its style. Run: npm run demo:draw */
const here = new URL('.', import.meta.url)
GlobalFonts.registerFromPath(
  new URL('../node_modules/@expo-google-fonts/eb-garamond/400Regular_Italic/EBGaramond_400Regular_Italic.ttf', here)
    .pathname,
  'Label',
)

async function draw(name: string, width: number, height: number, paint: (c: SKRSContext2D) => void): Promise<void> {
  const canvas = createCanvas(width, height)
  const c = canvas.getContext('2d')
  c.fillStyle = '#fff'
  c.fillRect(0, 0, width, height)
  c.strokeStyle = c.fillStyle = '#111'
  c.lineCap = c.lineJoin = 'round'
  c.lineWidth = 3
  paint(c)
  await writeFile(new URL(name, here), await canvas.encode('png'))
}

/** A line that a steady hand would draw: a hair off straight, the same every time. */
function line(c: SKRSContext2D, ...points: number[]): void {
  c.beginPath()
  for (let i = 0; i + 3 < points.length; i += 2) {
    const [x0, y0, x1, y1] = points.slice(i, i + 4) as [number, number, number, number]
    const bend = 0.004 * Math.hypot(x1 - x0, y1 - y0) * Math.sin(x0 * 0.7 + y1 * 0.3)
    if (i === 0) c.moveTo(x0, y0)
    c.quadraticCurveTo((x0 + x1) / 2 + bend, (y0 + y1) / 2 - bend, x1, y1)
  }
  c.stroke()
}

function hatch(c: SKRSContext2D, x: number, y: number, w: number, h: number, step: number): void {
  c.save()
  c.beginPath()
  c.rect(x, y, w, h)
  c.clip()
  c.lineWidth = 1.6
  for (let k = -h; k < w; k += step) line(c, x + k, y + h, x + k + h, y)
  c.restore()
}

function label(c: SKRSContext2D, text: string, x: number, y: number, size = 34): void {
  c.save()
  c.font = `${size + 8}px Label`
  // White around the letters keeps them clear of what lies beneath.
  c.strokeStyle = '#fff'
  c.lineWidth = 16
  c.strokeText(text, x, y)
  c.fillText(text, x, y)
  c.restore()
}

await draw('bell-works.png', 1400, 1560, c => {
  const left = 470
  const right = 850
  const top = 330
  const bottom = 1480
  // Quay and stone shaft in section.
  hatch(c, 120, top, left - 120 - 40, bottom - top, 26)
  hatch(c, right + 40, top, 1270 - right - 40, bottom - top, 26)
  line(c, 120, top, left - 40, top)
  line(c, right + 40, top, 1270, top)
  for (const x of [left, right]) line(c, x, top, x, bottom)
  for (let y = top; y < bottom; y += 46) {
    line(c, left - 40, y, left, y)
    line(c, right, y, right + 40, y)
  }
  line(c, left - 40, top, left - 40, bottom)
  line(c, right + 40, top, right + 40, bottom)
  // Cage and bell.
  line(c, 560, top, 560, 90, 660, 40, 760, 90, 760, top)
  c.lineWidth = 5
  c.beginPath()
  c.moveTo(600, 240)
  c.bezierCurveTo(640, 200, 618, 120, 660, 110)
  c.bezierCurveTo(702, 120, 680, 200, 720, 240)
  c.closePath()
  c.stroke()
  c.beginPath()
  c.arc(660, 256, 14, 0, Math.PI * 2)
  c.fill()
  c.lineWidth = 3
  line(c, 660, 262, 660, 470)
  // Cistern with its cock.
  c.strokeRect(690, 520, 140, 190)
  for (let i = 0; i < 5; i++) line(c, 700 + (i % 2) * 8, 560 + i * 30, 820 - (i % 2) * 10, 560 + i * 30)
  line(c, 690, 690, 655, 690, 655, 730)
  // Striking wheel: buckets and seven pegs.
  const [wx, wy, wr] = [578, 610, 78]
  c.beginPath()
  c.arc(wx, wy, wr, 0, Math.PI * 2)
  c.stroke()
  c.beginPath()
  c.arc(wx, wy, 14, 0, Math.PI * 2)
  c.stroke()
  for (let i = 0; i < 12; i++) {
    const a = (i / 12) * Math.PI * 2
    line(c, wx + 14 * Math.cos(a), wy + 14 * Math.sin(a), wx + wr * Math.cos(a), wy + wr * Math.sin(a))
    c.strokeRect(wx + (wr + 4) * Math.cos(a) - 11, wy + (wr + 4) * Math.sin(a) - 9, 22, 18)
  }
  for (let i = 0; i < 7; i++) {
    const a = -2.2 + i * 0.36
    c.beginPath()
    c.arc(wx + 58 * Math.cos(a), wy + 58 * Math.sin(a), 7, 0, Math.PI * 2)
    c.fill()
  }
  line(c, 590, 510, 640, 470, 670, 470)
  // Chain, slot, tongue and float.
  line(c, 540, 760, 780, 760)
  c.beginPath()
  c.arc(660, 800, 34, 0, Math.PI * 2)
  c.stroke()
  c.setLineDash([10, 8])
  line(c, 694, 800, 694, 1210)
  c.setLineDash([])
  line(c, 626, 800, 626, 1010)
  c.strokeRect(612, 1010, 28, 120)
  line(c, 612, 1128, 586, 1138)
  line(c, 500, 1140, 590, 1140)
  line(c, 520, 1140, 520, 700, 600, 700)
  c.beginPath()
  c.ellipse(694, 1260, 96, 50, 0, 0, Math.PI * 2)
  c.stroke()
  c.beginPath()
  c.ellipse(694, 1236, 96, 26, 0, 0, Math.PI * 2)
  c.stroke()
  // Water.
  for (let r = 0; r < 6; r++) {
    const y = 1290 + r * 32
    c.lineWidth = 2
    for (let x = left + 12; x < right - 30; x += 66) {
      c.beginPath()
      c.moveTo(x + (r % 2) * 24, y)
      c.quadraticCurveTo(x + 16 + (r % 2) * 24, y - 9, x + 34 + (r % 2) * 24, y)
      c.stroke()
    }
  }
  c.lineWidth = 3
  label(c, 'cistern, fed by the hill', 930, 610)
  line(c, 836, 600, 918, 590)
  label(c, 'seven pegs', 170, 560)
  line(c, 350, 552, 530, 556)
  label(c, 'the tongue and tooth', 930, 1080)
  line(c, 648, 1070, 918, 1070)
  label(c, 'THREE', 180, 1152, 32)
  line(c, 300, 1140, 470, 1140)
  label(c, 'the float', 930, 1250)
  line(c, 792, 1250, 918, 1242)
})

await draw('tide-curve.png', 1400, 900, c => {
  const [x0, x1, y0, y1] = [150, 1320, 760, 110]
  line(c, x0, y0, x1, y0)
  line(c, x0, y0, x0, y1)
  const hours = ['8', '9', '10', '11', 'noon']
  hours.forEach((h, i) => {
    const x = x0 + 90 + i * 255
    line(c, x, y0, x, y0 + 16)
    label(c, h, x - 14, y0 + 58)
  })
  for (let f = 8; f <= 17; f += 1) {
    const y = y0 - ((f - 8) / 9.4) * (y0 - y1)
    line(c, x0 - (f % 2 ? 8 : 16), y, x0, y)
    if (f % 2 === 0) label(c, `${f} ft`, 48, y + 12)
  }
  const at = (f: number) => y0 - ((f - 8) / 9.4) * (y0 - y1)
  c.setLineDash([14, 12])
  line(c, x0, at(16.5), x1, at(16.5))
  c.setLineDash([])
  label(c, 'third step', x0 + 40, at(16.5) - 18)
  // The tide: a half wave that stands a while below the step, then goes on.
  c.lineWidth = 5
  c.beginPath()
  for (let i = 0; i <= 400; i++) {
    const t = i / 400
    const hour = 7.65 + t * 4.6
    const wave = 16.75 - ((8.6 * (1 - Math.cos(((hour - 11.95) / 6.2) * Math.PI))) / 2) * 1.02
    const stand = -0.24 * Math.exp(-(((hour - 11.45) / 0.24) ** 2))
    const x = x0 + 90 + (hour - 8) * 255
    const y = at(wave + stand)
    if (i === 0) c.moveTo(x, y)
    else c.lineTo(x, y)
  }
  c.stroke()
  c.lineWidth = 3
  label(c, 'it stands', 900, at(15.1))
  line(c, 985, at(15.25), 1030, at(16.2))
})

await draw('harbour.png', 1400, 1050, c => {
  // The Sound: shores, mole, bar, rocks, marsh.
  c.lineWidth = 4
  c.beginPath()
  c.moveTo(0, 250)
  c.bezierCurveTo(260, 210, 420, 330, 560, 300)
  c.bezierCurveTo(700, 260, 820, 150, 1400, 120)
  c.stroke()
  c.beginPath()
  c.moveTo(0, 800)
  c.bezierCurveTo(200, 770, 330, 700, 470, 720)
  c.bezierCurveTo(640, 750, 760, 900, 1000, 930)
  c.bezierCurveTo(1150, 950, 1280, 1000, 1400, 990)
  c.stroke()
  c.lineWidth = 7
  line(c, 470, 720, 560, 600, 640, 570)
  c.beginPath()
  c.arc(650, 566, 12, 0, Math.PI * 2)
  c.fill()
  c.lineWidth = 2
  for (let i = 0; i < 60; i++) {
    const x = 90 + ((i * 137) % 430)
    const y = 90 + ((i * 61) % 150)
    line(c, x, y, x - 6, y - 16)
    line(c, x, y, x + 1, y - 20)
    line(c, x, y, x + 8, y - 15)
  }
  for (let i = 0; i < 130; i++) {
    const t = (i * 0.6180339) % 1
    const u = (i * 0.414213) % 1
    c.beginPath()
    c.arc(800 + 330 * t, 330 + 380 * t + 110 * (u - 0.5), 2.6, 0, Math.PI * 2)
    c.fill()
  }
  for (const [x, y, r] of [
    [1010, 820, 20],
    [1060, 800, 14],
    [1100, 836, 18],
    [1150, 815, 12],
  ] as const) {
    c.beginPath()
    c.moveTo(x - r, y + r * 0.6)
    c.lineTo(x - r * 0.3, y - r)
    c.lineTo(x + r * 0.4, y - r * 0.4)
    c.lineTo(x + r, y + r * 0.6)
    c.closePath()
    c.fill()
  }
  for (let i = 0; i < 14; i++) c.strokeRect(250 + (i % 7) * 34, 760 + Math.floor(i / 7) * 40 - (i % 3) * 8, 22, 22)
  c.setLineDash([16, 14])
  c.lineWidth = 3
  c.beginPath()
  c.moveTo(1380, 560)
  c.bezierCurveTo(1150, 650, 930, 640, 680, 500)
  c.bezierCurveTo(560, 440, 420, 520, 330, 560)
  c.stroke()
  c.setLineDash([])
  label(c, 'saltmarsh', 200, 60)
  label(c, 'the channel', 1080, 690)
  label(c, 'Harrow Bar', 840, 360)
  label(c, 'the Hens', 1060, 905)
  label(c, 'the mole', 560, 690)
  label(c, 'Merrow', 250, 900, 42)
  line(c, 1300, 330, 1300, 200)
  line(c, 1300, 200, 1286, 232)
  line(c, 1300, 200, 1314, 232)
  label(c, 'N', 1290, 180, 40)
})
