import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { long, shorterLibrary, test } from './library'

const row = (page: Page, title: string) =>
  page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: title }) })

test.describe('the whole library', () => {
  test.use({ library: 'all' })
  test('the demo library is on the porch at the first visit, with what follows from it', async ({ page }) => {
    const outside: string[] = []
    page.on('request', r => {
      if (!r.url().startsWith('http://localhost:4311/') && !/^(data|blob):/.test(r.url())) outside.push(r.url())
    })
    const errors: string[] = []
    page.on('console', m => {
      if (m.type() === 'error') errors.push(m.text())
    })
    page.on('pageerror', e => errors.push(e.message))
    await page.goto('/')
    const book = row(page, 'The Tidewarden’s Almanac')
    await expect(book.getByText('5.5 × 8.5 in')).toBeVisible({ timeout: 60_000 })
    await expect(book.getByText(/^1 · Orla Fenwright · 25,\d{3} words$/)).toBeVisible()
    await expect(book.getByText(/^\d{2,3} pp · 5\.5 × 8\.5 in$/)).toBeVisible()
    await expect(book.getByText('Paperback')).toBeVisible()
    await expect(book.getByRole('img', { name: /Front cover/ })).toBeVisible()
    const front = await book
      .getByRole('img', { name: /Front cover/ })
      .evaluate((i: HTMLImageElement) => [i.naturalWidth, i.naturalHeight])
    expect(front[1]).toBe(240)
    expect(front[0]! / front[1]!).toBeCloseTo(5.5 / 8.5, 1)
    await expect(page.getByRole('listitem')).toHaveCount(6)
    await expect(page.getByLabel('Sill')).toContainText(/Words26,\d{3}/, { timeout: 60_000 })

    // A second visit does not load it twice.
    await page.reload()
    await expect(book.getByText('5.5 × 8.5 in')).toBeVisible({ timeout: 60_000 })
    await expect(page.getByRole('listitem')).toHaveCount(6)
    expect(outside).toEqual([])
    expect(errors).toEqual([])
  })
})

test('a manuscript is brought in, a bad file gets a plain word, a new book begins', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The Tidewarden’s Almanac' })).toBeVisible({ timeout: 60_000 })
  const files = page.getByLabel('Manuscript file')
  await files.setInputFiles({
    name: 'wrack.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from(
      '---\ntitle: The Wrack Line\nauthor: Orla Fenwright\n---\n\n# Chapter One\n\nThe race began at noon.\n\n# Chapter Two\n\nIt did not end.\n',
    ),
  })
  await page.getByRole('button', { name: 'Put it on the porch' }).click({ timeout: 30_000 })
  await expect(page).toHaveURL(/the-wrack-line\/plan/)
  await page.getByRole('link', { name: 'Porch', exact: true }).click()
  const regatta = row(page, 'The Wrack Line')
  await expect(regatta.getByText('9 words')).toBeVisible({ timeout: 30_000 })
  // Far too few pages for the outlet: the lamp is dim and the row says why.
  await expect(regatta.getByText('begun').first()).toBeVisible()
  await expect(regatta.getByText(/fewer than Ostrevane binds/)).toBeVisible()
  await expect(page.getByLabel('Sill')).toContainText('fewer than Ostrevane binds')

  // Several files may be one book: their order is shown, changed by keys, and each begins a section.
  await files.setInputFiles(
    [
      ['10 Ebb.html', '<p>The water went out.</p>'],
      ['2 Flood.md', 'It came in.'],
      ['old.doc', '\u00d0\u00cf\u0011\u00e0 older'],
    ].map(([name, text]) => ({ name: name!, mimeType: 'text/plain', buffer: Buffer.from(text!, 'latin1') })),
  )
  const together = page.getByRole('region', { name: 'Files that came together' })
  await expect(together.getByRole('listitem')).toHaveText([/2 Flood\.md/, /10 Ebb\.html/, /old\.doc/])
  await together.getByLabel('Move 10 Ebb.html').focus()
  for (const key of ['Space', 'ArrowUp', 'Space']) {
    await page.keyboard.press(key)
    await page.waitForTimeout(250)
  }
  await expect(together.getByRole('listitem').first()).toContainText('10 Ebb.html')
  await page.getByRole('button', { name: 'Read them' }).click()
  await expect(page.getByLabel('Proposed sections').getByRole('listitem')).toHaveText([/Ebb/, /Flood/], {
    timeout: 30_000,
  })
  await expect(page.getByText('This is the older binary kind', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()

  await files.setInputFiles({
    name: 'broken.docx',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from('PK-not-really'),
  })
  // A damaged file is said to be, and brought in only as far as the author wishes.
  const question = page.getByRole('dialog', { name: 'broken.docx is damaged' })
  await expect(question).toContainText('This file is damaged: ')
  await question.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByText('broken.docx was not brought in.')).toBeVisible()
  await expect(page.getByRole('listitem')).toHaveCount(4)

  await page.getByRole('button', { name: 'New book' }).click()
  await page.getByRole('button', { name: 'Put it on the porch' }).click()
  await expect(page.getByText('A book wants a title, even for now.')).toBeVisible()
  await page.getByLabel('Title').fill('Kelp & Kindling')
  await page.getByLabel('Title').press('Enter')
  await expect(row(page, 'Kelp & Kindling').getByText('nothing yet').first()).toBeVisible({ timeout: 30_000 })

  await expect(page.getByRole('form', { name: 'A new book' })).toBeHidden()
  await page.keyboard.press('/')
  await page.keyboard.type('wrack')
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('nothing like it')
  await expect(page.getByText('No book by that name.', { exact: false })).toBeVisible()

  // All of it is still there on the next visit.
  await page.reload()
  await expect(page.getByRole('listitem')).toHaveCount(5, { timeout: 60_000 })
})

for (const scheme of ['light', 'dark'] as const) {
  const walk = scheme === 'dark' ? long : test
  walk(`nothing serious for axe, ${scheme}; the other tone by one click`, async ({ browser }) => {
    const context = await browser.newContext({
      colorScheme: scheme,
      baseURL: 'http://localhost:4311',
      viewport: { width: 1280, height: 800 },
    })
    await shorterLibrary(context)
    const page = await context.newPage()
    await page.goto('/')
    await expect(page.getByRole('img', { name: /Front cover/ })).toHaveCount(3, { timeout: 60_000 })
    await expect(page.locator('.frame')).toHaveAttribute('data-tone', scheme)
    const result = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()
    expect(result.violations.map(v => [v.id, v.nodes.map(n => n.target.join(' '))])).toEqual([])
    await page.getByRole('button', { name: scheme === 'dark' ? 'Daylight' : 'Dusk' }).click()
    await expect(page.locator('.frame')).toHaveAttribute('data-tone', scheme === 'dark' ? 'light' : 'dark')
  })
}

test('no daylight before dusk: the page has the author’s tone before the program runs', async ({ browser }) => {
  const context = await browser.newContext({ colorScheme: 'light', serviceWorkers: 'block' })
  await shorterLibrary(context)
  const page = await context.newPage()
  await page.goto('/porch')
  await page.getByRole('button', { name: 'Dusk' }).click({ timeout: 30_000 })
  // The program's own scripts do not come: what is seen is what stands before them.
  await page.route('**/_next/**/*.js', route => route.abort())
  await page.goto('/research')
  await expect(page.locator('html')).toHaveCSS('background-color', 'rgb(15, 33, 40)')
  await expect(page.locator('.frame')).toHaveCount(0)
  await context.close()
})

test('the porch’s old address leads to it, and it follows what another window writes', async ({ page, context }) => {
  await page.goto('/shelf')
  await expect(page).toHaveURL(/\/porch$/)
  await expect(page.getByRole('link', { name: 'Porch', exact: true })).toHaveAttribute('aria-current', 'page')
  const book = row(page, 'The Tidewarden’s Almanac')
  await expect(book.getByText('5.5 × 8.5 in')).toBeVisible({ timeout: 60_000 })
  const front = await book.getByRole('img', { name: /Front cover/ }).getAttribute('src')
  const other = await context.newPage()
  await other.goto('/book/tidewardens-almanac/plan')
  await other.getByLabel('Title', { exact: true }).fill('The Tidewarden’s Calendar')
  await other.keyboard.press('Enter')
  // Row, address of the front and the front itself follow; nothing else is looked at again.
  const renamed = row(page, 'The Tidewarden’s Calendar')
  await expect(renamed).toBeVisible({ timeout: 30_000 })
  await expect(renamed.getByRole('img', { name: /Front cover of The Tidewarden’s Calendar/ })).not.toHaveAttribute(
    'src',
    front!,
    { timeout: 30_000 },
  )
})

test('the page may not run what others write: a policy without unsafe-eval', async ({ request }) => {
  const policy = (await request.get('/')).headers()['content-security-policy']!
  expect(policy).toContain("default-src 'self'")
  expect(policy).toContain("'wasm-unsafe-eval'")
  expect(policy).not.toContain("'unsafe-eval'")
})
