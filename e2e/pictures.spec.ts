import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { long, test } from './library'

/** Pictures, quotes and typefaces of a book, and the way between its pages and its text, in the real interface. */
const text = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })
const figure = (page: Page, name: string) =>
  page.getByLabel('Sill').locator('.figure').filter({ hasText: name }).locator('b')

test('from a word of a page to the text and back; pictures stand where they are told; quotes become the language’s', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Tidewarden’s Almanac' }).click({ timeout: 60_000 })
  await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
  await expect(page.locator('.wishes')).toContainText('Facing pages end level')
  const box = (await page.locator('.spread .page').nth(1).boundingBox())!
  await page.mouse.click(box.x + box.width * 0.45, box.y + box.height * 0.62)
  await page.waitForURL(/text\?.*chars=\d+/)
  await expect(text(page).locator('p').first()).toBeVisible()
  // The cursor is in the word that was clicked; its page is named, and leads back to the very word.
  await expect.poll(() => page.evaluate(() => getSelection()?.anchorOffset ?? 0)).toBeGreaterThan(0)
  const at = await page.evaluate(() => {
    const s = getSelection()!
    const t = s.anchorNode!.textContent!
    return /\S*$/.exec(t.slice(0, s.anchorOffset))![0] + /^\S*/.exec(t.slice(s.anchorOffset))![0]
  })
  const leads = page.locator('.margins .here button')
  await expect(leads).toHaveText(/^\d+$/, { timeout: 30_000 })
  const label = (await leads.textContent())!
  await leads.click()
  await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
  await expect(page.locator('.caption')).toContainText(label)
  await expect(page.locator('.found')).not.toHaveCount(0)
  expect(at.length).toBeGreaterThan(0)

  await page.goBack()
  await expect(leads).toHaveText(/^\d+$/, { timeout: 30_000 })
  await page.locator('input[aria-label="Picture file"]').setInputFiles('demo/tide-curve.png')
  const value = async (name: string, words: string): Promise<void> => {
    await page.getByRole('combobox', { name }).click()
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option-content')
      .getByText(words, { exact: true })
      .click()
  }
  const picture = page.getByRole('region', { name: 'The picture at the cursor' })
  await expect(picture).toContainText(/\d+ pixels an inch in the paperback/, { timeout: 30_000 })
  const sharp = async (): Promise<number> => Number(/(\d+) pixels/.exec((await picture.textContent())!)![1])
  const inMeasure = await sharp()
  await value('Where the picture stands', 'beside the text, right')
  await value('Width of the picture', 'two fifths wide')
  await expect(page.locator('figure[data-stands=right]')).toBeVisible()
  // A part is left out: what shows is as much narrower, in the galley and as it prints.
  // What it is as it stands now, and not as it stood before.
  await expect.poll(sharp, { timeout: 30_000 }).toBeGreaterThan(inMeasure * 1.2)
  const whole = await sharp()
  const shape = async (): Promise<number> => {
    const box = (await page.locator('figure .shown').boundingBox())!
    return box.width / box.height
  }
  const before = await shape()
  await value('What of the picture is shown', 'without')
  await picture.getByLabel('Left out left').fill('40')
  await picture.getByLabel('Left out left').press('Enter')
  await expect.poll(shape).toBeCloseTo((before * 0.5) / 0.8, 1)
  await expect.poll(sharp, { timeout: 30_000 }).toBeLessThan(whole)
  await page.getByRole('button', { name: 'Link', exact: true }).click()
  await page.getByLabel('Where the link leads').fill('https://example.org/tide')
  await page.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(picture).toContainText('leads to https://example.org/tide')
  await expect(page.getByLabel('Sill')).toContainText('A picture has no description', { timeout: 30_000 })
  await page.getByRole('combobox', { name: 'Picture over the opening' }).click()
  await page.locator('.ant-select-dropdown:visible .ant-select-item-option-content').getByText('harbour.png').click()
  await page.getByLabel('Description of the opening picture').fill('The harbour at low tide')
  await page.getByLabel('Description of the opening picture').press('Enter')
  const chooser = page.waitForEvent('filechooser')
  await text(page).locator('p').first().click()
  await page.getByRole('button', { name: 'Sign', exact: true }).click()
  await (await chooser).setFiles('demo/tide-curve.png')
  await expect(text(page).locator('img[data-sign]')).toHaveCount(1)
  const sign = page.getByRole('region', { name: 'The sign at the cursor' })
  await expect(sign).toContainText('is decoration alone, and as high as a capital')
  await sign.getByRole('combobox', { name: 'What the sign is' }).click()
  await page.locator('.ant-select-dropdown:visible .ant-select-item-option-content').getByText('said').click()
  await sign.getByRole('textbox').fill('The curve of the tide')
  await expect(text(page).locator('img[data-sign][alt="The curve of the tide"]')).toHaveCount(1)
  await text(page).locator('figure img').click()
  await value('Where the picture stands', 'as a plate to the edges')
  await expect(page.getByRole('combobox', { name: 'Width of the picture' })).toBeHidden()

  // Typed quotes that came in from elsewhere.
  await text(page).locator('p').first().click()
  await page.evaluate(() => document.execCommand('insertText', false, ` 'Twas "so" `))
  await page.getByRole('button', { name: /^Turn 3 typed quotes/ }).click()
  await expect(text(page)).toContainText('’Twas “so”')
  await expect(page.locator('.quotes li')).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(text(page)).toContainText(`'Twas "so"`)
})

long(
  'a typeface is brought in, one that may not be embedded is refused; tagged pages and templates are saved',
  async ({ page }) => {
    await page.goto('/')
    await page.getByRole('link', { name: 'The Tidewarden’s Almanac' }).click({ timeout: 60_000 })
    await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
    const font = readFileSync('node_modules/@expo-google-fonts/fraunces/400Regular/Fraunces_400Regular.ttf')
    const refused = Buffer.from(font)
    for (let i = 0; i < refused.readUInt16BE(4); i++)
      if (refused.toString('latin1', 12 + i * 16, 16 + i * 16) === 'OS/2')
        refused.writeUInt16BE(2, refused.readUInt32BE(20 + i * 16) + 8)
    const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'font/ttf', buffer })
    await page.getByLabel('Font files').setInputFiles(file('closed.ttf', refused))
    await expect(page.locator('.ant-message')).toContainText(
      'closed.ttf: This font cannot be used: its maker does not allow it in documents',
    )
    const before = await figure(page, 'Pages').textContent()
    await page.getByLabel('Font files').setInputFiles(file('Fraunces.ttf', font))
    await expect.poll(() => figure(page, 'Pages').textContent(), { timeout: 60_000 }).not.toBe(before)
    await expect(page.locator('.wishes')).toContainText('Fraunces has no italic: the upright stands in')

    const save = async (name: string): Promise<Buffer> => {
      const download = page.waitForEvent('download', { timeout: 60_000 })
      await page.getByRole('button', { name: `Save: ${name}` }).click()
      return readFileSync(await (await download).path())
    }
    await page.getByRole('button', { name: 'files …' }).click()
    const tagged = (await save('For reading machines')).toString('latin1')
    expect([tagged.includes('/StructTreeRoot'), tagged.includes('+Fraunces')]).toEqual([true, true])
    const zip = unzipSync(new Uint8Array(await save('Blank pages')))
    expect(Object.keys(zip).sort()).toEqual([
      'either-side.pdf',
      'either-side.png',
      'either-side.svg',
      'left-and-right.pdf',
      'left-page.png',
      'left-page.svg',
      'right-page.png',
      'right-page.svg',
    ])
    // The trim and its bleed at 300 pixels an inch.
    const png = Buffer.from(zip['either-side.png']!)
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([Math.round(5.75 * 300), Math.round(8.75 * 300)])
    await page.keyboard.press('Escape')
    for (const left of ['Undo']) await page.getByRole('button', { name: left }).click()
    await expect.poll(() => figure(page, 'Pages').textContent(), { timeout: 60_000 }).toBe(before)
  },
)
