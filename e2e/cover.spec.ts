import { PDFDocument, rgb, StandardFonts } from '@cantoo/pdf-lib'
import { expect, type Page } from '@playwright/test'
import { createCanvas } from '@napi-rs/canvas'
import { unzipSync } from 'fflate'
import { readFile } from 'node:fs/promises'
import { long, test } from './library'
import { value } from './sentence'

const room = async (page: Page): Promise<void> => {
  await page.goto('/')
  await expect(page.getByRole('img', { name: /Front cover/ })).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/tidewardens-almanac/cover')
  await page.locator('.konvajs-content canvas').first().waitFor({ timeout: 60_000 })
  await expect(page.getByRole('region', { name: 'On the front' })).toBeVisible()
}
/** What the press painted of the sheet, as a number that another picture does not have. */
const painted = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const canvas = document.querySelector<HTMLCanvasElement>('.konvajs-content canvas')!
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
    let sum = 0
    for (let i = 0; i < data.length; i += 37) sum = (sum * 31 + data[i]!) | 0
    return sum
  })

test('a piece is put on the cover, said in sentences, moved and taken out by keys, and comes back; the ground is drawn anew', async ({
  page,
}) => {
  await room(page)
  const front = page.getByRole('region', { name: 'On the front' })
  const before = await painted(page)
  await value(page, 'Something more', 'a badge')
  const said = page.getByRole('group', { name: 'Badge, in sentences' })
  await expect(said).toContainText('It is a badge')
  await expect(page.locator('svg.hairline')).toHaveCount(1)
  await expect.poll(() => painted(page)).not.toBe(before)

  // Its place by numbers, then by keys on the flat.
  const left = said.getByRole('spinbutton', { name: /From the left/ })
  await left.fill('0.5')
  await left.press('Enter')
  await expect(left).toHaveValue('0.5')
  await page.getByRole('group', { name: /The flat/ }).focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect.poll(async () => Number(await left.inputValue())).toBeCloseTo(0.5 + 10 / 72, 1)
  await value(page, 'Free or held', 'held where it is')
  await expect(said).toContainText('held where it is')
  await page.getByRole('group', { name: /The flat/ }).focus()
  await page.keyboard.press('Delete')
  await expect(said).toBeVisible()
  await value(page, 'Free or held', 'free to be moved')
  await expect(said).toContainText('free to be moved')
  await page.getByRole('group', { name: /The flat/ }).focus()
  await page.keyboard.press('Delete')
  await expect(front.getByRole('button', { name: /^Badge/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(front.getByRole('button', { name: /^Badge/ })).toHaveCount(1)

  // Another ground, with values of its own, that falls by chance.
  await value(page, 'What is drawn on the ground', 'leaves')
  await expect(page.getByRole('spinbutton', { name: 'many' })).toHaveValue('60')
  const fell = await painted(page)
  await page.getByRole('button', { name: 'let it fall anew' }).click()
  await expect.poll(() => painted(page)).not.toBe(fell)

  // All of it is kept; and the room is left as it was entered.
  await page.reload()
  await expect(front.getByRole('button', { name: /^Badge/ })).toHaveCount(1)
  await front.getByRole('button', { name: /^Badge/ }).click()
  await expect(said).toBeVisible()
  await page.getByRole('link', { name: 'Interior', exact: true }).click()
  await expect(page).toHaveURL(/interior/)
  await expect(page.locator('.spread canvas').first()).toBeVisible()
})

test('words of its own stand on a plate; the cover is looked at cut, small and in greys', async ({ page }) => {
  await room(page)
  await value(page, 'Panel for something more', 'back')
  await value(page, 'Something more', 'words of its own')
  const said = page.getByRole('group', { name: '“Your words”, in sentences' })
  await said.getByRole('textbox', { name: 'What it says' }).fill('“A harbour of a book.”')
  await said.getByRole('textbox', { name: 'What it says' }).blur()
  const own = page.getByRole('group', { name: /A harbour of a book/ })
  await expect(own).toContainText(/Set at [\d.]+ pt/)
  await value(page, 'Under the words', 'on a round plate')
  await expect(own.getByRole('button', { name: /Colour of the plate/ })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'a template of this flat' }).click(),
  ])
  const files = unzipSync(new Uint8Array(await readFile(await download.path())))
  expect(Object.keys(files).sort()).toEqual(['settings.txt', 'template.pdf', 'template.png', 'template.svg'])
  await value(page, 'What is seen', 'the flat as it is cut')
  await expect(page.locator('.sheet[data-cut=true]')).toBeVisible()
  await value(page, 'What is seen', 'the front small')
  for (const px of [60, 110, 160])
    await expect(page.getByRole('img', { name: new RegExp(`, ${px} pixels high`) })).toBeVisible()
  await value(page, 'Colours or greys', 'greys')
  expect(
    await page
      .locator('.thumbs canvas')
      .first()
      .evaluate(c => getComputedStyle(c).filter),
  ).toContain('grayscale')
})

long(
  'another design is worn from the wall and the one before kept beside; its colours change; two pieces are brought in line and grouped',
  async ({ page }) => {
    await room(page)
    await value(page, 'What is seen', 'all designs on it')
    const wall = page.locator('.wall')
    // All that ship but the one that is worn, and that of the other book of the series.
    await expect(wall.getByRole('button', { name: /^Wear / })).toHaveCount(26)
    // Every front is drawn: its picture is as wide as the book asks, and no longer a canvas as browsers begin them.
    await expect
      .poll(() => wall.locator('canvas').evaluateAll(all => all.every(c => (c as HTMLCanvasElement).width !== 300)))
      .toBe(true)
    await wall.getByRole('button', { name: 'Keep it beside' }).click()
    await expect(wall.getByRole('button', { name: 'Wear Lamp over the tide' })).toBeVisible()
    await wall.getByRole('button', { name: 'Wear Night street' }).click()
    const under = page.getByRole('region', { name: 'Under all' })
    await expect(under).toContainText('Night street')
    await expect(under).toContainText('Midnight')

    await value(page, 'What is seen', 'the flat')
    await expect(page.locator('.konvajs-content canvas').first()).toBeVisible()
    const before = await painted(page)
    await value(page, 'Palette', 'Garnet')
    await expect(under).toContainText('Garnet')
    await expect.poll(() => painted(page)).not.toBe(before)

    // The measures open the sums that they came from.
    await page.getByRole('button', { name: 'spine: how it was worked out' }).click()
    await expect(page.getByText(/\d+ pages × 0\.00254 in = /)).toBeVisible()

    // Two pieces at once.
    const front = page.getByRole('region', { name: 'On the front' })
    await front.getByRole('button', { name: /^Subtitle/ }).click()
    await front.getByRole('button', { name: /^Title/ }).click({ modifiers: ['Shift'] })
    const said = page.getByRole('group', { name: 'Title, in sentences' })
    await expect(said).toContainText('Bring these 2 in line')
    await said.getByRole('button', { name: 'In line: left' }).click()
    await said.getByRole('button', { name: 'make them a group' }).click()
    await expect(said).toContainText('let the group go')
    await front.getByRole('button', { name: /^Series/ }).click()
    await front.getByRole('button', { name: /^Subtitle/ }).click()
    await expect(page.getByRole('group', { name: 'Subtitle, in sentences' })).toContainText('let the group go')

    // As the press prints it: other pixels, and a word about how much is beyond its inks.
    const onScreen = await painted(page)
    await value(page, 'Colours or greys', 'the press’s inks')
    await expect(page.locator('.views')).toContainText(/prints (duller|as it looks)/)
    await expect.poll(() => painted(page)).not.toBe(onScreen)

    // What was kept beside comes back, and all of it is kept.
    await page.reload()
    await value(page, 'What is seen', 'all designs on it')
    await wall.getByRole('button', { name: 'Wear Lamp over the tide' }).first().click()
    await expect(under).toContainText('Lamp over the tide')
    await expect(wall.getByRole('button', { name: 'Wear Night street' }).first()).toBeVisible()
  },
)

/** A wrap as a designer sends it for 120 pages of this book, with a face that is not in it. */
async function wrapFor120Pages(): Promise<Buffer> {
  const doc = await PDFDocument.create()
  const page = doc.addPage([(2 * 5.5 + 120 * 0.00254 + 0.25) * 72, 8.75 * 72])
  page.setTrimBox(9, 9, page.getWidth() - 18, page.getHeight() - 18)
  page.drawRectangle({ x: 0, y: 0, width: page.getWidth(), height: page.getHeight(), color: rgb(0.3, 0.1, 0.2) })
  const font = await doc.embedFont(StandardFonts.Helvetica)
  page.drawText('The Almanac', { x: page.getWidth() - 320, y: 400, size: 40, font, color: rgb(1, 1, 1) })
  return Buffer.from(await doc.save())
}

test('a wrap made elsewhere is looked over and laid on the flat, follows its spine, and its designer is told; taken off, the design is worn again', async ({
  page,
}) => {
  await room(page)
  const design = await painted(page)
  await page.getByLabel('A cover made elsewhere: file').setInputFiles({
    name: 'wrap.pdf',
    mimeType: 'application/pdf',
    buffer: await wrapFor120Pages(),
  })
  const elsewhere = page.getByRole('region', { name: 'Made elsewhere' })
  await expect(elsewhere).toContainText(
    'This cover is wrap.pdf, 11.555 × 8.750 in with its bleed, for a spine of 0.305 in.',
  )
  await expect.poll(() => painted(page)).not.toBe(design)
  await expect(elsewhere).toContainText('Looked over: 1 run of words')
  const found = elsewhere.getByRole('listitem')
  await expect(found.filter({ hasText: 'The wrap is 0.076 in wider than the flat' })).toHaveCount(1)
  await expect(found.filter({ hasText: 'prints with what is not in it: Helvetica' })).toHaveCount(1)
  // Both ways are seen before one is chosen.
  await expect(elsewhere.getByRole('img', { name: /The flat for/ })).toHaveCount(2)
  await value(page, 'Art on another spine', 'follows along both folds')
  await expect(found.filter({ hasText: 'wider than the flat' })).toHaveCount(0)

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'a template of this flat' }).click(),
  ])
  const files = unzipSync(new Uint8Array(await readFile(await download.path())))
  const told = new TextDecoder().decode(files['changes.txt'])
  expect(told).toMatch(/Spine: was 0\.305 in \(7\.74 mm\); is 0\.229 in/)
  expect(told).toMatch(/Helvetica/)

  await page.reload()
  await expect(elsewhere).toContainText('follows along both folds')
  await elsewhere.getByRole('button', { name: 'Take it off' }).click()
  await expect(elsewhere).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'On the front' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(elsewhere).toContainText('wrap.pdf')
})

test('a picture is cut out, corrected with the brush, and shown in other tones; the front is taken as a PNG', async ({
  page,
}) => {
  await room(page)
  // A dark round on a plain ground.
  const canvas = createCanvas(240, 240)
  const ctx = canvas.getContext('2d')
  ctx.fillStyle = '#f4f1ea'
  ctx.fillRect(0, 0, 240, 240)
  ctx.fillStyle = '#7a1f2b'
  ctx.beginPath()
  ctx.arc(120, 120, 80, 0, 7)
  ctx.fill()
  await page.getByLabel('A picture for a piece: file').setInputFiles({
    name: 'round.png',
    mimeType: 'image/png',
    buffer: canvas.toBuffer('image/png'),
  })
  const said = page.getByRole('group', { name: 'Picture, in sentences' })
  await expect(said).toContainText('It shows')
  const whole = await painted(page)
  await value(page, 'Its ground', 'cut out')
  await expect.poll(() => painted(page)).not.toBe(whole)
  await said.getByRole('button', { name: 'Correct it by hand' }).click()
  const brushing = page.getByRole('group', { name: 'Correct what was cut out' })
  const sheet = brushing.locator('canvas')
  const box = (await sheet.boundingBox())!
  const at = (x: number, y: number): [number, number] => [box.x + box.width * x, box.y + box.height * y]
  /** How much of the picture covers what lies under it where the brush went. */
  const seen = (): Promise<number> =>
    sheet.evaluate(c => {
      const { width, height } = c as HTMLCanvasElement
      return (c as HTMLCanvasElement).getContext('2d')!.getImageData(width >> 1, height >> 1, 1, 1).data[3]!
    })
  await expect.poll(seen).toBe(255)
  await page.mouse.move(...at(0.4, 0.5))
  await page.mouse.down()
  await page.mouse.move(...at(0.5, 0.5), { steps: 6 })
  await page.mouse.move(...at(0.6, 0.5), { steps: 6 })
  await page.mouse.up()
  await expect.poll(seen).toBeLessThan(90)
  await brushing.getByRole('button', { name: 'Take the last stroke back' }).click()
  await expect.poll(seen).toBe(255)
  await brushing.getByRole('button', { name: 'Done' }).click()
  await page.locator('.konvajs-content canvas').first().waitFor()
  const cut = await painted(page)
  await value(page, 'Colours of the picture', 'greys')
  await value(page, 'Goes over into nothing', 'toward its foot')
  await expect.poll(() => painted(page)).not.toBe(cut)

  await value(page, 'What is seen', 'the front')
  await value(page, 'Kind of the front’s file', 'PNG')
  await expect(page.locator('.frontfile')).toContainText(
    /1656 × 2560 pixels in sRGB, .* of the 20 MB that Ostrevane takes/,
  )
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take it', exact: true }).click(),
  ])
  expect(download.suggestedFilename()).toBe('the-tidewardens-almanac-front.png')
  expect([...(await readFile(await download.path())).subarray(1, 4)]).toEqual([0x50, 0x4e, 0x47])
})
