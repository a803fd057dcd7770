import { expect, type Page } from '@playwright/test'
import { strToU8, zipSync } from 'fflate'
import { long, test } from './library'

/** Long work says how far it is and can be stopped; what was stopped can go on, and nothing is lost. */

/** A .docx of `chapters` chapters of 4,000 words, written by hand: what makes it is not what reads it. */
function manuscript(chapters: number): { name: string; mimeType: string; buffer: Buffer } {
  const paragraph = (text: string, style = ''): string =>
    `<w:p>${style && `<w:pPr><w:pStyle w:val="${style}"/></w:pPr>`}<w:r><w:t>${text}</w:t></w:r></w:p>`
  const body = Array.from(
    { length: chapters },
    (_, c) =>
      paragraph(`The Tide of Day ${c + 1}`, 'Heading1') +
      Array.from({ length: 50 }, (_, p) =>
        paragraph(
          Array.from(
            { length: 8 },
            (_, s) => `On day ${c * 400 + p * 8 + s} the keeper wrote of wind and water, and nothing else.`,
          ).join(' '),
        ),
      ).join(''),
  ).join('')
  const relation = (id: string, type: string, target: string): string =>
    `<Relationship Id="${id}" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/${type}" Target="${target}"/>`
  const relations = (inner: string): Uint8Array =>
    strToU8(
      `<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${inner}</Relationships>`,
    )
  const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
  const buffer = Buffer.from(
    zipSync(
      {
        '[Content_Types].xml': strToU8(
          '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/></Types>',
        ),
        '_rels/.rels': relations(relation('r1', 'officeDocument', 'word/document.xml')),
        'word/_rels/document.xml.rels': relations(relation('r1', 'styles', 'styles.xml')),
        'word/styles.xml': strToU8(
          `<?xml version="1.0"?><w:styles ${w}><w:style w:type="paragraph" w:styleId="Heading1"><w:name w:val="heading 1"/><w:pPr><w:outlineLvl w:val="0"/></w:pPr></w:style></w:styles>`,
        ),
        'word/document.xml': strToU8(`<?xml version="1.0"?><w:document ${w}><w:body>${body}</w:body></w:document>`),
      },
      { level: 1 },
    ),
  )
  return {
    name: `days-${chapters}.docx`,
    mimeType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
    buffer,
  }
}

async function porch(page: Page): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await expect(page.locator('.front img').first()).toBeVisible({ timeout: 60_000 })
}
const working = (page: Page) => page.getByLabel('Sill').getByRole('status')

long('reading and setting a long manuscript say how far they are, and stop', async ({ page }) => {
  test.setTimeout(180_000)
  await porch(page)
  // A porch of work behind it: the press is idle before the reading begins.
  await expect(working(page)).toBeHidden({ timeout: 60_000 })

  await page.getByLabel('Manuscript file').setInputFiles(manuscript(160))
  await expect(working(page)).toContainText(/Unpacking|Reading|Understanding/, { timeout: 20_000 })
  await working(page).getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('days-160.docx was not brought in.')).toBeVisible()
  await expect(page).toHaveURL(/\/$/)

  await page.getByLabel('Manuscript file').setInputFiles(manuscript(60))
  await expect(page).toHaveURL(/intake/, { timeout: 60_000 })
  await expect(working(page)).toContainText('Setting pages', { timeout: 20_000 })
  await expect
    .poll(async () => Number(await working(page).getByRole('progressbar').getAttribute('value')))
    .toBeGreaterThan(5)
  await working(page).getByRole('button', { name: 'Stop' }).click()
  await expect(working(page)).toBeHidden()
  await page.getByRole('button', { name: 'Set the pages' }).click()
  await expect(page.locator('canvas[data-painted=true]')).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/page \w+ of \d{3}/)).toBeVisible()

  // A book whose press was stopped says that its figures are old, and goes on when asked.
  await page.getByRole('button', { name: 'Put it on the porch' }).click()
  await expect(page).toHaveURL(/\/book\/[^/]+\/plan/)
  await expect(page.getByLabel('Sill')).toContainText(/Pages\s*\d{3}/, { timeout: 60_000 })
  await page.reload()
  await expect(working(page)).toContainText('Setting pages', { timeout: 20_000 })
  await working(page).getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('The press was stopped', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Let it go on' }).click()
  await expect(page.getByText('The press was stopped', { exact: false })).toBeHidden()
  await expect(page.getByLabel('Sill')).toContainText(/Pages\s*\d{3}/, { timeout: 60_000 })
})
