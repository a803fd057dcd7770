import { targetIn } from '../../files'
import type { EpubFinding, EpubRule } from './finding'
import { type EbookView, XHTML } from './view'

/** Texts are well-formed: readers show nothing of one that is not. */
const wellFormed: EpubRule = ({ texts }) =>
  [...texts.values()].flatMap(({ path, fault }) =>
    fault
      ? [
          {
            rule: 'malformed',
            severity: 'stop' as const,
            place: { file: path, line: fault.line },
            message: `It cannot be read from here: ${fault.what}.`,
            remedy: 'Mend the markup at this line.',
          },
        ]
      : [],
  )

/** An id names one place. */
const idsOnce: EpubRule = ({ texts }) =>
  [...texts.values()].flatMap(({ path, ids, elements }) => {
    const seen = new Set<string>()
    const twice = new Set(ids.filter(id => seen.has(id) || (seen.add(id), false)))
    return [...twice].map(id => ({
      rule: 'id twice',
      severity: 'stop' as const,
      place: { file: path, line: elements.findLast(e => e.attrs.id === id)?.line ?? 1 },
      message: `The id “${id.slice(0, 60)}” stands here twice: links to it may lead to either.`,
      remedy: 'Give one of them another.',
    }))
  })

/** Whether a target is there: a file, and the place in it. Places in what cannot be read are not asked for. */
function isThere({ texts, items }: EbookView, target: string): boolean {
  const [path = '', id] = target.split('#')
  if (!items.has(path)) return false
  const text = texts.get(path)
  return !id || !text || !!text.fault || text.ids.includes(id)
}

const outside = (href: string): boolean => /^[a-z][a-z\d+.-]*:/i.test(href) || href.startsWith('//')

/** Links in texts lead somewhere. */
const linksLead: EpubRule = view =>
  [...view.texts.values()].flatMap(({ path, elements }) =>
    elements.flatMap(({ name, attrs, line }): EpubFinding[] => {
      const { href } = attrs
      if (
        (name !== 'a' && name !== 'area') ||
        href === undefined ||
        outside(href) ||
        isThere(view, targetIn(path, href))
      )
        return []
      return [
        {
          rule: 'broken link',
          severity: 'stop',
          place: { file: path, line },
          message: `A link leads to “${href.slice(0, 80)}”, which is not there.`,
          remedy: 'Choose anew where it leads, or take it away.',
        },
      ]
    }),
  )

/** Contents, landmarks and listed pages lead somewhere. */
const entriesLead: EpubRule = view => {
  const { nav, landmarks, pages, root } = view.epub
  const found = [
    ...nav.map(n => ({ of: 'contents', what: n.title, href: n.href })),
    ...landmarks.map(l => ({ of: 'landmarks', what: l.title, href: l.href })),
    ...pages.map(p => ({ of: 'page list', what: p.label, href: p.href })),
  ]
  return found
    .filter(f => !outside(f.href) && !isThere(view, f.href))
    .map(f => ({
      rule: f.of,
      severity: 'stop' as const,
      place: { file: root },
      message: `“${f.what.slice(0, 60)}” in its ${f.of} leads nowhere.`,
      remedy: 'Point it to a place that is there.',
    }))
}

/** What a text loads is in the file; sheets and fonts too. */
const loads: EpubRule = view => {
  const gone = (file: string, line: number, what: string): EpubFinding => ({
    rule: 'missing file',
    severity: 'stop',
    place: { file, line },
    message: `It shows “${what.slice(0, 80)}”, which is not in the file.`,
    remedy: 'Put it in, or take away what shows it.',
  })
  const inTexts = [...view.texts.values()].flatMap(({ path, elements }) =>
    elements.flatMap(({ name, attrs, line }) => {
      const src = LOADS[name]?.map(a => attrs[a]).find(v => v !== undefined)
      return src === undefined || outside(src) || view.items.has(targetIn(path, src).split('#')[0]!)
        ? []
        : [gone(path, line, src)]
    }),
  )
  const inSheets = view.epub.items
    .filter(i => i.type === 'text/css')
    .flatMap(({ path, data }) => {
      const css = new TextDecoder().decode(data)
      return [...css.matchAll(/url\(\s*["']?([^"')]+)["']?\s*\)/g)].flatMap(m =>
        outside(m[1]!) || view.items.has(targetIn(path, m[1]!).split('#')[0]!)
          ? []
          : [gone(path, css.slice(0, m.index).split('\n').length, m[1]!)],
      )
    })
  return [...inTexts, ...inSheets]
}

const LOADS: Record<string, string[]> = {
  img: ['src'],
  image: ['xlink:href', 'href'],
  audio: ['src'],
  video: ['src'],
  source: ['src'],
  link: ['href'],
  script: ['src'],
}

/** A page that says and shows nothing. */
const saysSomething: EpubRule = ({ texts, epub }) => {
  const read = new Set(epub.spine.map(s => s.id))
  return epub.items.flatMap(({ id, path, type }) => {
    const text = texts.get(path)
    const bare =
      text && !text.fault && !text.elements.some(e => ['img', 'svg', 'video', 'audio', 'math'].includes(e.name))
    const words = text?.elements.find(e => e.name === 'body')?.words.trim()
    return type === XHTML && read.has(id) && bare && !words
      ? [
          {
            rule: 'empty page',
            severity: 'remark' as const,
            place: { file: path },
            message: 'This page says nothing: readers turn to an empty screen.',
            remedy: 'Take it out.',
          },
        ]
      : []
  })
}

/** Letters that were lost on the way stand as a mark of their own. */
const lettersWhole: EpubRule = ({ texts }) =>
  [...texts.values()].flatMap(({ path, elements }) => {
    const lost = elements.find(e => e.words.includes('\ufffd') && e.name !== 'html' && e.name !== 'body')
    return lost
      ? [
          {
            rule: 'lost letters',
            severity: 'mend' as const,
            place: { file: path, line: lost.line },
            message: 'Letters were lost here when the text was saved in another encoding.',
            remedy: 'Write them anew, and save the text as UTF-8.',
          },
        ]
      : []
  })

export const texts: EpubRule[] = [wellFormed, idsOnce, linksLead, entriesLead, loads, saysSomething, lettersWhole]
