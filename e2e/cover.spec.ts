import { expect, type Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { readFile } from 'node:fs/promises'
import { test } from './library'
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

test('another design is worn from the wall and the one before kept beside; its colours change; two pieces are brought in line and grouped', async ({
  page,
}) => {
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
})
