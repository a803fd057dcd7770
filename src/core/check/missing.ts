import type { Finding } from './finding'

const rightToLeft = /[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u
const eastAsian = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Script=Bopomofo}]/u

/** What is found where no font has all characters of a text: it stops, since an empty box would be printed. */
export function missing(text: string, place: Finding['place']): Finding {
  const said = `“${text.slice(0, 24)}”`
  const found = { rule: 'missing character', severity: 'stop' as const, place, amount: said }
  const script = rightToLeft.test(text)
    ? 'is written from right to left'
    : eastAsian.test(text)
      ? 'is in a script of East Asia'
      : undefined
  return script
    ? {
        ...found,
        message: `${said} ${script}: such scripts cannot be set yet.`,
        remedy: 'change the text',
      }
    : {
        ...found,
        message: `No font of the style has all of ${said}: an empty box is printed.`,
        remedy: 'bring in a font',
      }
}
