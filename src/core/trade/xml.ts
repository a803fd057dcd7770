/**
 * XML that cannot be made with unescaped text: `xml` is a template whose own words are markup and whose values are text, escaped
 * wherever they stand, in content or in an attribute. Only what a template has made goes in as it is, and only that may stand
 * between the attributes of a tag. Characters that XML has no place for are left out.
 */
export class Markup {
  /** Made by `xml` and `joined` alone. */
  private constructor(readonly text: string) {}
  static made(text: string): Markup {
    return new Markup(text)
  }
  toString(): string {
    return this.text
  }
}

type Value = Markup | string | number | undefined | false | readonly Value[]

export function xml(markup: TemplateStringsArray, ...values: Value[]): Markup {
  let out = markup[0]!
  const open = holesInTags(markup)
  for (let i = 0; i < values.length; i++)
    out += (open[i] && !(values[i] instanceof Markup) ? '' : written(values[i])) + markup[i + 1]!
  return Markup.made(out)
}

const known = new WeakMap<TemplateStringsArray, boolean[]>()

/** Which values of a template stand inside a tag and outside its attributes' quotes, where text of any kind would be an attribute. */
function holesInTags(markup: TemplateStringsArray): boolean[] {
  let out = known.get(markup)
  if (out) return out
  let [tag, quoted] = [false, false]
  out = markup.slice(0, -1).map(part => {
    for (const c of part) {
      if (!tag) tag = c === '<'
      else if (c === '"') quoted = !quoted
      else if (c === '>' && !quoted) tag = false
    }
    return tag && !quoted
  })
  known.set(markup, out)
  return out
}

/** An element whose name is not known before: of letters, figures, hyphens and one colon at most. Attributes without a value are left out. */
export function element(name: string, attributes: Readonly<Record<string, Value>>, content?: Value): Markup {
  const plain = /^[A-Za-z][\w-]*(:[A-Za-z][\w-]*)?$/
  const stated = Object.entries(attributes).filter(([, v]) => v !== undefined && v !== false)
  for (const n of [name, ...stated.map(([k]) => k)]) if (!plain.test(n)) throw new Error(`“${n}” is no name in XML`)
  const tag = `${name}${stated.map(([k, v]) => ` ${k}="${written(v)}"`).join('')}`
  return Markup.made(content === undefined ? `<${tag}/>` : `<${tag}>${written(content)}</${name}>`)
}

/** Pieces of markup, and text among them, one after the other. `between` is text as well. */
export const joined = (list: readonly Value[], between = ''): Markup =>
  Markup.made(list.map(written).join(escaped(between)))

function written(v: Value): string {
  if (v === undefined || v === false) return ''
  if (v instanceof Markup) return v.text
  if (typeof v === 'object') return v.map(written).join('')
  return escaped(String(v))
}

// XML 1.0, 2.2: no controls but tab and line ends, no lone surrogates, no two last code points of a plane.
const escaped = (s: string): string =>
  special.test(s) ? s.replace(impossible, '').replace(/[&<>"']/g, c => names[c]!) : s
const impossible =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g
const names: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' }
// Most of a book has none of them, and is passed over at a glance.
const special = /[&<>"'\u0000-\u0008\u000b\u000c\u000e-\u001f\ud800-\udfff\ufffe\uffff]/
