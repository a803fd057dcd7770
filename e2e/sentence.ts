import type { Page } from '@playwright/test'

/** A value of a sentence is made another. */
export async function value(page: Page, name: string, words: string): Promise<void> {
  await page.getByRole('combobox', { name, exact: true }).click()
  await page
    .locator('.ant-select-dropdown:visible .ant-select-item-option-content')
    .getByText(words, { exact: true })
    .click()
}
