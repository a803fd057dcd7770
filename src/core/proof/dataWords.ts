import type { TitleData } from '@/core/book'
import { wordsIn } from './readLine'

/** Words that the book's data give: its title, and the names of who and what made it. */
export function dataWords({ title, subtitle, series, contributors, imprint }: TitleData): string[] {
  const said = [title, subtitle, series?.name, imprint.name, imprint.place, ...contributors.map(c => c.name)]
  return [...new Set(said.flatMap(s => wordsIn(s ?? '').map(w => w.form)))]
}
