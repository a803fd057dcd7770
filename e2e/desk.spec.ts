import { expect } from '@playwright/test'
import { openText, test } from './library'
import { value } from './sentence'

test('the desk: a face for dyslexic readers, the paragraph in focus, the line in the middle, the text alone, a voice with its word marked', async ({
  page,
}) => {
  // A browser that has a voice on this machine, and one elsewhere that is not asked.
  await page.addInitScript(() => {
    const said: string[] = []
    Object.assign(window, { said })
    class Utterance {
      voice?: { name: string }
      onboundary?: (e: object) => void
      constructor(readonly text: string) {}
    }
    const voice = (name: string, localService: boolean) => ({ name, lang: 'en-GB', localService })
    const synthesis = {
      getVoices: () => [voice('elsewhere', false), voice('here', true)],
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      cancel: () => undefined,
      speak: (u: Utterance) => {
        said.push(`${u.voice!.name}: ${u.text.slice(0, 12)}`)
        setTimeout(() => u.onboundary?.({ name: 'word', charIndex: 4, charLength: 4 }), 50)
      },
    }
    Object.defineProperty(window, 'speechSynthesis', { value: synthesis })
    Object.defineProperty(window, 'SpeechSynthesisUtterance', { value: Utterance })
  })
  const text = await openText(page)
  await page.getByRole('button', { name: 'Desk …' }).click()
  const panel = page.getByRole('region', { name: 'Desk' })
  await value(page, 'Face', 'a face for dyslexic readers')
  await value(page, 'What is in focus', 'the paragraph you write')
  await value(page, 'Where the line is', 'stays in the middle')
  await expect.poll(() => page.evaluate(() => document.fonts.check("18px 'Dyslexic Desk'"))).toBe(true)
  expect(await text.evaluate(e => getComputedStyle(e).fontFamily)).toContain('Dyslexic Desk')

  const middle = text.locator('p').nth(6)
  await middle.click()
  await expect(middle).toHaveClass(/written/)
  await expect(text.locator('.written')).toHaveCount(1)
  const opacity = (n: number) =>
    text
      .locator('p')
      .nth(n)
      .evaluate(e => Number(getComputedStyle(e).opacity))
  expect([await opacity(6), await opacity(5)]).toEqual([1, 0.38])
  const caret = () =>
    page.evaluate(() => {
      const paper = document.querySelector('.paper')!.getBoundingClientRect()
      return (getSelection()!.getRangeAt(0).getBoundingClientRect().top - paper.top) / paper.height
    })
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown']) await page.keyboard.press(key)
  await expect.poll(caret).toBeGreaterThan(0.35)
  expect(await caret()).toBeLessThan(0.5)

  await panel.getByRole('button', { name: 'The text alone on the full screen' }).click()
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden()
  await panel.getByRole('button', { name: 'Leave the full screen' }).click()
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeVisible()

  await text.locator('p').first().click()
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(200)
  await page.keyboard.press('Alt+r')
  await expect.poll(() => page.evaluate(() => String([...(CSS.highlights.get('spoken') ?? [])][0] ?? ''))).toBe('Pell')
  expect(await page.evaluate(() => (window as never as { said: string[] }).said)).toEqual(['here: Ada Pell hea'])
  await page.keyboard.press('Alt+r')
  expect(await page.evaluate(() => CSS.highlights.has('spoken'))).toBe(false)
  await panel.getByRole('button', { name: 'The desk as it came' }).click()
  expect(await text.evaluate(e => getComputedStyle(e).fontFamily)).toContain('Fraunces')
})
