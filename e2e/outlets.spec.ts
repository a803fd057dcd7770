import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'

test('the reckoner answers side by side, by the worked figures, and says who cannot', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Outlets' }).click()
  const cell = (row: string, column: number) =>
    page
      .getByRole('row', { name: new RegExp(`^${row}`) })
      .getByRole('cell')
      .nth(column)
  await expect(cell('Print cost', 0)).toHaveText('$3.65')
  await expect(cell('Wrap', 0)).toHaveText('12.804 × 9.250 in')
  await expect(cell('Royalty', 0)).toContainText('$4.33 own shop')
  await expect(page.getByLabel('Sill')).toContainText('Can print it3')
  await page.getByLabel('Pages').fill('300')
  await expect(cell('Print cost', 0)).toHaveText('$4.67')
  await page.getByRole('combobox', { name: 'Binding' }).press('Enter')
  await page.getByText('Coil', { exact: true }).last().click()
  await page.getByRole('combobox', { name: 'Trim' }).press('Enter')
  await page.getByText('7 × 10 in', { exact: true }).last().click()
  await expect(page.getByText('Ostrevane does not bind coil books.')).toBeVisible()
  await expect(page.getByLabel('Sill')).toContainText('Can print it1')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('region', { name: 'Pellowick' }).getByRole('button', { name: 'Save the profile as JSON' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('pellowick.json')
  const result = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()
  expect(
    result.violations
      .filter(v => v.impact === 'serious' || v.impact === 'critical')
      .map(v => [v.id, v.nodes.map(n => n.target.join(' ')).slice(0, 4)]),
  ).toEqual([])
})
