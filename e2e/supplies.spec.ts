import { expect, type Page } from '@playwright/test'
import { long, test } from './library'

const text = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })
const about = (page: Page) => page.getByRole('navigation', { name: 'Sections' }).locator('button[data-section]').last()

test('a section is kept for all books, placed in another, changed there, and then everywhere by one edit', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/supplies')
  await expect(page.getByText('Pages that stand in book after book')).toBeVisible()

  await page.goto('/book/tidewardens-almanac/text')
  await about(page).click()
  await expect(page.locator('.paper .title')).toHaveValue('About the Author')
  await page.getByRole('button', { name: 'Keep for all books' }).click()
  const standing = page.getByLabel('Standing matter', { exact: true })
  await expect(standing).toContainText('as it is kept')
  const words = (await text(page).textContent())!

  // Another book takes it from what is kept; there a word is changed.
  await page.goto('/book/lampblack-regatta/text')
  await text(page).locator('p').first().waitFor()
  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'About the Author', exact: true }).first().click()
  await expect(text(page)).toHaveText(words)
  await text(page).locator('p').first().click()
  await page.keyboard.press('Control+End')
  await page.waitForTimeout(250)
  await page.keyboard.type(' She has a boat now.')
  await expect(standing).toContainText('changed here')

  await page.goto('/supplies')
  await expect(page.locator('.matter .says').first()).toContainText('The Lampblack Regatta (changed there)')
  await page.getByLabel('Name of the standing matter').fill('About Orla')
  await page.getByLabel('Name of the standing matter').press('Enter')
  await page.locator('.matter').getByRole('link', { name: 'The Lampblack Regatta' }).click()
  await expect(standing).toContainText('“About Orla”, changed here')
  await page.getByRole('button', { name: 'say this everywhere' }).click()
  await expect(page.getByText('It is kept, and 1 other book says it now.')).toBeVisible()
  await expect(standing).toContainText('as it is kept')

  await page.goto('/supplies')
  await expect(page.locator('.matter .says').first()).not.toContainText('changed')
  await page.locator('.matter').getByRole('link', { name: 'The Tidewarden’s Almanac' }).click()
  await expect(text(page)).toContainText('She has a boat now.')
  // There it is a step of that book, and taken back there alone.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(text(page)).not.toContainText('She has a boat now.')
  await expect(standing).toContainText('as it was kept before')
  await page.goto('/supplies')
  await page.getByRole('button', { name: 'Bring it up to date' }).click()
  await expect(page.getByRole('button', { name: 'Bring it up to date' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Forget it' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Forget it' }).click()
  await expect(page.getByLabel('Name of the standing matter')).toHaveCount(0)
})

long(
  'the next book of a series begins from an earlier one; what is left of that is found until it is settled',
  async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
    await page.goto('/book/lampblack-regatta/plan')
    const title = page.getByLabel('Title', { exact: true })
    await expect(title).toHaveValue('The Lampblack Regatta')
    const series = await page.getByLabel('Series', { exact: true }).inputValue()
    const number = Number(await page.getByLabel('Number', { exact: true }).inputValue())
    await page.getByRole('button', { name: 'Begin it' }).click()
    await expect(title).toHaveValue(`${series} ${number + 1}`, { timeout: 30_000 })
    await expect(page.getByText('It was begun from “The Lampblack Regatta”')).toContainText(
      'Nothing of that book is found',
    )

    await page.getByRole('link', { name: 'Text', exact: true }).click()
    await text(page).click()
    await page.keyboard.type('After the Lampblack Regatta she slept.')
    await expect(page.locator('.saving')).toHaveText('saved')
    await page.getByRole('link', { name: 'Plan', exact: true }).click()
    await expect(page.getByText('One thing of that book still stands in this one.')).toBeVisible()
    await expect(page.locator('.todo')).toContainText('“The Lampblack Regatta” is the title of the book', {
      timeout: 30_000,
    })
    await page.getByRole('button', { name: 'Nothing is left by mistake' }).click()
    await expect(page.getByText('It was begun from')).toHaveCount(0)
    await expect(page.locator('.todo')).not.toContainText('is the title of the book', { timeout: 30_000 })
    // The earlier book is what it was; what lists its author's books follows them.
    await page.goto('/book/lampblack-regatta/plan')
    await expect(title).toHaveValue('The Lampblack Regatta')
    await page.getByRole('link', { name: 'Text', exact: true }).click()
    await page.getByRole('button', { name: 'Add a section' }).click()
    await page.getByRole('menuitem', { name: 'Also by', exact: true }).first().click()
    await expect(page.locator('.paper .title')).toHaveValue('Also by Orla Fenwright')
    await expect(text(page)).toContainText(`${series} ${number + 1}`)
    await expect(text(page)).toContainText('The Tidewarden’s Almanac')
  },
)

test('an imprint with its logo and a pen name with its note are kept once, and every book that follows says them', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/supplies')
  const imprints = page.getByRole('region', { name: 'Imprints' })
  await imprints.getByRole('button', { name: /^Keep the imprint Saltgrass/ }).click()
  await expect(imprints.getByRole('link', { name: 'The Lampblack Regatta' })).toBeVisible()
  await imprints.getByLabel('Place of the imprint').fill('Carrow')
  await imprints.getByLabel('Place of the imprint').press('Enter')
  await imprints
    .getByLabel('Logo of the imprint: file')
    .setInputFiles({ name: 'lamp.png', mimeType: 'image/png', buffer: await lamp(page) })
  await expect(imprints.getByRole('button', { name: 'Logo of the imprint', exact: true })).toHaveText('lamp.png')

  const names = page.getByRole('region', { name: 'Pen names' })
  await names.getByRole('button', { name: 'Keep the pen name Orla Fenwright' }).click()
  const note = names.getByLabel('Note about Orla Fenwright')
  await note.fill('Orla keeps lamps.')
  await note.blur()

  await imprints.getByRole('link', { name: 'The Lampblack Regatta' }).click()
  await expect(page.getByLabel('Place', { exact: true })).toHaveValue('Carrow')
  await expect(page.getByText('keeps it, with its logo')).toBeVisible()
  await page.getByRole('link', { name: 'Text', exact: true }).click()
  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'About the author', exact: true }).first().click()
  await expect(text(page)).toHaveText('Orla keeps lamps.')
  await expect(page.getByLabel('Standing matter', { exact: true })).toContainText('as it is kept')

  // One edit of the note, and the book says it; a place written by hand makes the imprint the book's own.
  await page.goto('/supplies')
  await note.fill('Orla keeps lamps, and bees.')
  await note.blur()
  await names.getByRole('link', { name: 'The Lampblack Regatta' }).first().click()
  await expect(page.getByLabel('Place', { exact: true })).toHaveValue('Carrow')
  await page.getByLabel('Place', { exact: true }).fill('Soot')
  await page.getByLabel('Place', { exact: true }).press('Enter')
  await expect(page.getByText('keeps it, with its logo')).toHaveCount(0)
  await page.getByRole('link', { name: 'Text', exact: true }).click()
  await page.getByRole('navigation', { name: 'Sections' }).getByText('About the Author').last().click()
  await expect(text(page)).toHaveText('Orla keeps lamps, and bees.')
})

/** A lamp, as a picture file. */
async function lamp(page: Page): Promise<Buffer> {
  const bytes = await page.evaluate(async () => {
    const canvas = document.createElement('canvas')
    canvas.width = canvas.height = 240
    canvas.getContext('2d')!.fillRect(60, 20, 120, 200)
    const blob = await new Promise<Blob>(r => canvas.toBlob(b => r(b!)))
    return [...new Uint8Array(await blob.arrayBuffer())]
  })
  return Buffer.from(bytes)
}
