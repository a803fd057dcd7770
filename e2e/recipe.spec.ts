import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { long } from './library'

const sillPages = (page: Page) => page.getByLabel('Sill').locator('.figure').filter({ hasText: 'Pages' })

long(
  'somebody who has read nothing makes a 120-page activity book in under three minutes, and keeps a run of it',
  async ({ page }) => {
    const begun = Date.now()
    await page.goto('/')
    await page.getByRole('button', { name: 'New book' }).click({ timeout: 60_000 })
    await page.getByLabel('Title').fill('Kitchen Table Words')
    await page.getByRole('combobox', { name: 'Kind of book' }).click()
    await page.getByTitle('planned: pages to write in').click()
    await page.getByRole('button', { name: 'Put it on the porch' }).click()
    await page.getByRole('link', { name: 'Kitchen Table Words' }).click({ timeout: 30_000 })

    // An empty plan shows whole books first, each as a page that it makes.
    const books = page.getByRole('region', { name: 'Whole books by recipe' })
    await expect(books.locator('canvas[data-painted=true]').nth(4)).toBeVisible({ timeout: 30_000 })
    await books.getByRole('button', { name: /^Word search in large print/ }).click()
    const recipe = page.getByRole('region', { name: 'By recipe: Word search in large print' })
    await recipe.getByRole('combobox', { name: 'Words' }).click()
    await page.getByTitle('“In the kitchen”').click()
    await recipe.getByRole('button', { name: 'Make these pages' }).click()
    await expect(sillPages(page)).toContainText('120', { timeout: 30_000 })
    const book = page.getByRole('group', { name: 'All pages' })
    await expect(book.locator('[data-painted=true]').nth(6)).toBeVisible({ timeout: 30_000 })
    expect(Date.now() - begun).toBeLessThan(180_000)

    // The book has the recipe's trim, its pages a look of their own, and the answers stand behind.
    await book.getByRole('button', { name: 'Pages 2–3', exact: true }).click()
    await expect(page.getByText('8.5 × 11 in · pages 2–3 of 120')).toBeVisible()
    const said = page.getByRole('region', { name: 'What Word search is' })
    await expect(said).toContainText('“In the kitchen”')
    await expect(said).toContainText('90 in all')

    // Two a page: half as many pages; answered overleaf: no run of answers.
    await said.getByRole('combobox', { name: 'How many a page' }).click()
    await page.getByTitle('2', { exact: true }).click()
    await expect(sillPages(page)).toContainText('76', { timeout: 30_000 })
    await said.getByRole('combobox', { name: 'Where its answers are' }).click()
    await page.getByTitle('on the back of each leaf').click()
    await expect(page.getByRole('row').filter({ hasText: 'Answers' })).toHaveCount(0)
    await expect(sillPages(page)).toContainText('98', { timeout: 30_000 })
    await page.getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(sillPages(page)).toContainText('120', { timeout: 30_000 })

    // A ground of its own, and another look for all pages.
    await said.getByRole('combobox', { name: 'Ground' }).click()
    await page.getByTitle('a pattern of').click()
    await expect(said.getByLabel('Repeat: ground')).toHaveValue('24')
    await page.getByRole('button', { name: /^Look of all pages: Counting House/ }).click()
    await page.getByRole('button', { name: /^Lamp Room/ }).click()
    await expect(page.getByRole('button', { name: /^Look of all pages: Lamp Room/ })).toBeVisible()

    // Kept as a recipe, it goes into another book; as a file, it comes back.
    await said.getByRole('button', { name: 'Keep this run as a recipe' }).click()
    await page.getByLabel('Name of the recipe').fill('Kitchen words')
    await page.getByLabel('Name of the recipe').press('Enter')
    // Its name leaves the field when the store has it.
    await expect(page.getByLabel('Name of the recipe')).toBeHidden()
    await page.goto('/book/small-apiary-logbook/pages')
    await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
    const own = page.getByRole('region', { name: 'Recipes of your own' })
    const download = page.waitForEvent('download')
    await own.getByRole('button', { name: 'Save Kitchen words as a file' }).click()
    const file = readFileSync(await (await download).path())
    expect(JSON.parse(file.toString())).toMatchObject({ format: 'porchlight-recipe', name: 'Kitchen words' })
    await own.getByRole('button', { name: 'Forget Kitchen words' }).click()
    await expect(own).toHaveCount(0)
    const bring = page.getByLabel('A recipe’s file')
    await bring.setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{}') })
    await expect(page.getByText('This file is no recipe', { exact: false })).toBeVisible()
    await bring.setInputFiles({ name: 'own.json', mimeType: 'application/json', buffer: file })
    await own.getByRole('button', { name: /^Kitchen words/ }).click()
    await page.getByRole('button', { name: 'Make these pages' }).click()
    await expect(page.getByRole('row').filter({ hasText: 'Word search' }).first()).toBeVisible({ timeout: 30_000 })
  },
)

long('a dated planner: from another day, with a country’s holidays and days of one’s own', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Small Apiary Logbook' }).waitFor({ timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/pages')
  await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
  await page.getByRole('button', { name: /^Weeks / }).click()
  const said = page.getByRole('region', { name: 'What Weeks is' })
  const row = page.getByRole('row').filter({ has: page.getByLabel('Move Weeks', { exact: true }) })
  await expect(row.getByRole('cell').nth(3)).toHaveText('130 – 233', { timeout: 30_000 })
  // One page a week: half as many.
  await said.getByRole('combobox', { name: 'A week on' }).click()
  await page.getByTitle('one page', { exact: true }).click()
  await expect(row.getByRole('cell').nth(2)).toHaveText('52')
  const date = said.getByLabel('From', { exact: true })
  await date.fill('1 March 2027')
  await date.press('Enter')
  await said.getByRole('combobox', { name: 'Holidays' }).click()
  await page.keyboard.type('Swed')
  await page.getByTitle('Sweden').click()
  const bring = said.getByLabel('Own days from a file')
  await bring.setInputFiles({ name: 'none.ics', mimeType: 'text/calendar', buffer: Buffer.from('nothing') })
  await expect(page.getByText('none.ics has no days in it', { exact: false })).toBeVisible()
  await bring.setInputFiles({ name: 'own.csv', mimeType: 'text/csv', buffer: Buffer.from('2027-03-03,First flight') })
  await expect(said).toContainText('and a day of your own')
  // Undated, it is asked for no day.
  await said.getByRole('combobox', { name: 'Dated or not' }).click()
  await page.getByTitle('without dates').click()
  await expect(said.getByLabel('From', { exact: true })).toHaveCount(0)
  await said.getByRole('button', { name: 'Set it back to plain' }).click()
  await expect(said.getByLabel('From', { exact: true })).toHaveValue('4 January 2027')
})
