import { expect, type Page } from '@playwright/test'
import { test } from './library'

const sections = (page: Page) => page.getByRole('navigation', { name: 'Sections' })
const body = (page: Page) => sections(page).getByRole('region', { name: 'Body' }).getByRole('listitem')
const text = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })

async function open(page: Page): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/lampblack-regatta/text')
  await text(page).locator('p').first().waitFor()
}

test('sections: moved by keyboard and mouse, split, joined, added, numbered, removed, and all of it undone', async ({
  page,
}) => {
  await open(page)
  const names = async (): Promise<string[]> =>
    (await body(page).locator('button span').allTextContents()).map(t => t.trim())
  const start = await names()
  expect(start).toEqual(['Ten Oars Too Many', 'The Weight of the Cup', 'Soot'])

  // The handle by keyboard: take, down, put.
  const handle = sections(page).getByRole('button', { name: 'Move Ten Oars Too Many' })
  await handle.focus()
  await page.keyboard.press('Space')
  await page.waitForTimeout(250)
  await page.keyboard.press('ArrowDown')
  await page.waitForTimeout(250)
  await page.keyboard.press('Space')
  await expect.poll(names).toEqual(['The Weight of the Cup', 'Ten Oars Too Many', 'Soot'])
  await expect(body(page).first().locator('i')).toHaveText('1')

  // By mouse, back again.
  await body(page).nth(1).hover()
  const from = (await sections(page).getByRole('button', { name: 'Move Ten Oars Too Many' }).boundingBox())!
  const to = (await body(page).first().boundingBox())!
  await page.mouse.move(from.x + 6, from.y + 12)
  await page.mouse.down()
  await page.mouse.move(from.x + 6, from.y - 6, { steps: 4 })
  await page.mouse.move(from.x + 6, to.y + 8, { steps: 8 })
  await page.mouse.up()
  await expect.poll(names).toEqual(start)

  await body(page)
    .nth(2)
    .getByRole('button', { name: /^3?\s*Soot/ })
    .click()
  await text(page).locator('p').nth(2).click()
  await page.getByRole('button', { name: /^Split before/ }).click()
  await expect(body(page)).toHaveCount(4)
  await body(page).nth(3).locator('button').click()
  await page.getByRole('button', { name: 'Join to the section before' }).click()
  await expect(body(page)).toHaveCount(3)

  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'Afterword' }).click()
  await expect(sections(page).getByRole('region', { name: 'Back' }).getByRole('listitem')).toHaveCount(1)
  await body(page).first().locator('button').click()
  await page.getByRole('checkbox', { name: 'numbered' }).click()
  await expect(page.locator('.paper .number')).toBeHidden()
  await page.getByRole('button', { name: 'Remove it' }).click()
  await page.getByRole('button', { name: 'Remove it' }).last().click()
  await expect(body(page)).toHaveCount(2)

  for (let i = 0; i < 7; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(names).toEqual(start)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test('the marks and blocks of the schema, pages and counts follow', async ({ page }) => {
  await open(page)
  const words = page.getByRole('complementary', { name: 'This section' }).locator('dd').first()
  const before = Number((await words.textContent())!.replace(',', ''))
  await text(page).locator('p').first().click()
  await page.keyboard.press('Control+Home')
  // A person's pause: the editor hears of a moved caret a moment later.
  await page.waitForTimeout(150)
  await page.keyboard.type('Bold words here ')
  await page.keyboard.press('ArrowLeft')
  await page.waitForTimeout(150)
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowLeft')
  await page.getByRole('button', { name: 'Bold' }).click()
  await expect(text(page).locator('strong').filter({ hasText: 'here' })).toBeVisible()
  await page.keyboard.press('Control+Shift+k')
  await expect(text(page).locator('[data-small-caps]').filter({ hasText: 'here' })).toBeVisible()
  await expect.poll(async () => Number((await words.textContent())!.replace(',', ''))).toBe(before + 3)

  await page.keyboard.press('ArrowRight')
  await page.waitForTimeout(150)
  await page.getByRole('button', { name: 'Note', exact: true }).click()
  await page.keyboard.type('Not a true note.')
  await expect(text(page).locator('[data-footnote]')).toContainText('Not a true note.')
  await page.getByRole('button', { name: 'Scene break' }).click()
  await expect(text(page).locator('hr').first()).toBeVisible()

  await text(page).locator('p').nth(3).click()
  for (const [kind, selector] of [
    ['Quote', 'blockquote'],
    ['Letter', 'section[data-letter]'],
    ['Verse', 'div[data-verse]'],
    ['List', 'ul'],
    ['Heading', 'h2'],
    ['Paragraph', 'p'],
  ] as const) {
    await page.getByRole('combobox', { name: 'Kind of block' }).click()
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option-content')
      .getByText(kind, { exact: true })
      .click()
    await expect(text(page).locator(selector).first()).toBeVisible()
  }
  await page.locator('input[aria-label="Picture file"]').setInputFiles('demo/tide-curve.png')
  await expect(text(page).locator('figure img')).toBeVisible()
  await page.locator('figure .about input').first().fill('A curve of the tide')
  await page.locator('figure .about input').first().blur()
  await expect(page.locator('.saving')).toHaveText('saved')
  await page.reload()
  await expect(text(page).locator('figure img')).toHaveAttribute('alt', 'A curve of the tide')
  await expect(text(page).locator('[data-footnote]')).toContainText('Not a true note.')
})

test('intake says what was left out, and where; a cover takes a picture', async ({ page }) => {
  await open(page)
  await page.goto('/')
  await page.getByLabel('Manuscript file').setInputFiles({
    name: 'holes.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from('# Chapter One\n\nA map stood here.\n\n![the map](nowhere.png)\n\n# Chapter Two\n\nAnd on.\n'),
  })
  await expect(page.locator('.dropped li').first()).toContainText('1 ×', { timeout: 30_000 })
  await expect(page.locator('.dropped li i').first()).toContainText('“')
  await page.getByRole('button', { name: 'Leave it' }).click()
  await page.goto('/book/small-apiary-logbook/cover')
  await page.getByRole('button', { name: 'Bring one in' }).waitFor({ timeout: 60_000 })
  await page.getByLabel('Cover picture file').setInputFiles('demo/harbour.png')
  await expect(page.getByRole('combobox', { name: 'Picture covers' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Bring one in' })).toBeVisible()
})
