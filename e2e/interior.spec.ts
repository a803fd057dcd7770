import { expect, type Page } from '@playwright/test'
import { long, test } from './library'

const pagesFigure = (page: Page) => page.getByLabel('Sill').locator('.figure').filter({ hasText: 'Pages' })
const count = async (page: Page): Promise<number> => Number(await pagesFigure(page).locator('b').textContent())

async function openInterior(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Tidewarden’s Almanac' }).click({ timeout: 60_000 })
  await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
}

/** The darkest and lightest value of a canvas: a painted page has both. */
const tones = (page: Page, index: number) =>
  page
    .locator('.spread canvas')
    .nth(index)
    .evaluate((c: HTMLCanvasElement) => {
      const copy = document.createElement('canvas')
      copy.width = c.width
      copy.height = c.height
      const ctx = copy.getContext('2d')!
      ctx.drawImage(c, 0, 0)
      const d = ctx.getImageData(0, 0, c.width, c.height).data
      let [low, high] = [255, 0]
      for (let i = 0; i < d.length; i += 4) {
        low = Math.min(low, d[i]!)
        high = Math.max(high, d[i]!)
      }
      return [low, high]
    })

test('the specimen: a value changed sets the book anew, the sill shows what moved, undo and reload keep their word', async ({
  page,
}) => {
  const errors: string[] = []
  page.on('pageerror', e => errors.push(e.message))
  await openInterior(page)
  for (const i of [0, 1]) {
    const [low, high] = await tones(page, i)
    expect(low!).toBeLessThan(80)
    expect(high!).toBeGreaterThan(240)
  }
  const before = await count(page)
  expect(before).toBeGreaterThan(80)

  const size = page.getByRole('spinbutton', { name: 'Text size' })
  await expect(size).toHaveValue('11')
  await size.fill('13')
  await size.press('Enter')
  await expect.poll(() => count(page)).toBeGreaterThan(before)
  await expect(pagesFigure(page).getByLabel(`was ${before}`)).toBeVisible()
  await expect(page.getByLabel('Sill').getByText('Spine').locator('..')).toContainText('in')
  await expect(page.getByText('with one change of your own')).toBeVisible()

  await page.reload()
  await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
  await expect(page.getByRole('spinbutton', { name: 'Text size' })).toHaveValue('13')
  const larger = await count(page)

  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => count(page)).toBe(before)
  await expect(page.getByRole('spinbutton', { name: 'Text size' })).toHaveValue('11')
  await page.locator('.caption').click()
  await page.keyboard.press('Control+Shift+Z')
  await expect.poll(() => count(page)).toBe(larger)
  await page.keyboard.press('Control+z')
  await expect.poll(() => count(page)).toBe(before)

  await page.getByRole('combobox', { name: 'Chapters open' }).press('Enter')
  await page.getByText('on either page', { exact: true }).last().click()
  await expect.poll(() => count(page)).toBeLessThan(before)
  expect(errors).toEqual([])
})

long('spreads by keyboard and strip, guides, zoom to the glyph', async ({ page }) => {
  await openInterior(page)
  await page.locator('.caption').click()
  await page.keyboard.press('Home')
  await expect(page.locator('.caption')).toContainText('pages i of')
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.caption')).toContainText('pages ii–iii of')
  await page.keyboard.press('End')
  await expect(page.locator('.strip button').last()).toHaveAttribute('aria-current', 'true')
  await page.getByRole('button', { name: /^Pages 8–9/ }).click()
  await expect(page.getByRole('img', { name: 'Page 8', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'show …' }).click()
  await page.getByRole('checkbox', { name: 'text area and safe zone' }).check()
  await page.keyboard.press('Escape')
  await expect(page.locator('.guide.text')).toHaveCount(2)
  const narrow = (await page.locator('.spread .page').first().boundingBox())!.width
  const size = page.getByRole('group', { name: 'Size of the spread' })
  await size.getByRole('button', { name: 'Larger' }).click()
  await size.getByRole('button', { name: 'Larger' }).click()
  await expect(size).toContainText('200 %')
  await expect
    .poll(async () => (await page.locator('.spread .page').first().boundingBox())!.width)
    .toBeCloseTo(5.5 * 192, 0)
  expect(narrow).toBeLessThan(400)
  // Down to the letter: only the part in view is painted, and the point under the pointer stays.
  const stage = page.getByRole('region', { name: 'The open spread, enlarged' })
  const box = (await stage.boundingBox())!
  const pointer = { x: box.x + box.width / 3, y: box.y + box.height / 2 }
  await page.mouse.move(pointer.x, pointer.y)
  const under = () =>
    page.evaluate(({ x, y }) => {
      const r = document.querySelector('.spread .page')!.getBoundingClientRect()
      return [(x - r.left) / r.width, (y - r.top) / r.height]
    }, pointer)
  const before = await under()
  await page.keyboard.down('Control')
  for (const words of ['400 %', '800 %', '1600 %']) {
    await page.mouse.wheel(0, -100)
    await expect(size).toContainText(words)
  }
  await page.keyboard.up('Control')
  await expect(size.getByRole('button', { name: 'Larger' })).toBeDisabled()
  const after = await under()
  // Scrolling goes by whole pixels, three times.
  const side = (await page.locator('.spread .page').first().boundingBox())!
  expect(Math.hypot((after[0]! - before[0]!) * side.width, (after[1]! - before[1]!) * side.height)).toBeLessThan(15)
  const canvas = page.locator('.spread canvas[data-painted=true]')
  await expect(canvas).toHaveCount(1)
  const part = (await canvas.boundingBox())!
  expect([
    part.x <= box.x,
    part.y <= box.y,
    part.x + part.width >= box.x + box.width - 20,
    part.y + part.height >= box.y + box.height - 20,
  ]).toEqual([true, true, true, true])
  expect(await canvas.evaluate(c => (c as HTMLCanvasElement).width)).toBeLessThan(2100)
  // Its keys move about in it; elsewhere they turn the spread.
  await stage.focus()
  const caption = await page.locator('.caption').textContent()
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.caption')).toHaveText(caption!)
  await page.keyboard.press('0')
  await expect(page.getByRole('button', { name: 'whole spread' })).toHaveAttribute('aria-pressed', 'true')
  await expect
    .poll(async () => (await page.locator('.spread .page').first().boundingBox())!.width)
    .toBeCloseTo(narrow, 0)
})

test('a book that is not here is said', async ({ page }) => {
  await openInterior(page)
  await page.goto('/book/nowhere/interior')
  await expect(page.getByRole('heading', { name: 'This book is not here' })).toBeVisible()
  await page.getByRole('link', { name: 'Back to the porch' }).click()
  await expect(page.getByRole('heading', { name: 'Porch' })).toBeVisible()
})
