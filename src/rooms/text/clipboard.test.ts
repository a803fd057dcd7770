import '../../../tests/support/store'
import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { JSDOM } from 'jsdom'
import type { DocJson } from '@/core/book'
import { anyDoc } from '../../../tests/support/arbitrary'
import { chapter, bookOf } from '../../../tests/support/core'

const { window } = new JSDOM('<!doctype html><body></body>')
for (const [name, value] of Object.entries({
  window,
  document: window.document,
  navigator: window.navigator,
  MutationObserver: window.MutationObserver,
  Event: window.Event,
  ClipboardEvent: class extends window.Event {},
  HTMLElement: window.HTMLElement,
  Node: window.Node,
  getSelection: () => window.getSelection(),
}))
  Object.defineProperty(globalThis, name, { value, configurable: true, writable: true })

type Parts = {
  /** As the schema says it, defaults and all. */
  full: (doc: DocJson) => DocJson
  copy: (doc: DocJson, book: string) => string
  paste: (html: string, book: string, into?: DocJson) => DocJson
}
let parts: Parts

beforeAll(async () => {
  const { getSchema } = await import('@tiptap/core')
  const { AllSelection, EditorState } = await import('@tiptap/pm/state')
  const { EditorView } = await import('@tiptap/pm/view')
  const { textExtensions } = await import('./extensions')
  const { clipboardSerializer, withOwnNames } = await import('./clipboard')
  const schema = getSchema(textExtensions('b', 'en'))
  const viewOf = (doc: DocJson, book: string): InstanceType<typeof EditorView> =>
    new EditorView(window.document.createElement('div'), {
      state: EditorState.create({ doc: schema.nodeFromJSON(doc) }),
      clipboardSerializer: clipboardSerializer(schema, book),
      transformPasted: slice => withOwnNames(slice, book, () => true),
    })
  parts = {
    full: doc => schema.nodeFromJSON(doc).toJSON() as DocJson,
    copy: (doc, book) => {
      const view = viewOf(doc, book)
      return view.serializeForClipboard(new AllSelection(view.state.doc).content()).dom.innerHTML
    },
    paste: (html, book, into = { type: 'doc', content: [{ type: 'paragraph', attrs: { id: 'x', align: null } }] }) => {
      const view = viewOf(into, book)
      view.dispatch(view.state.tr.setSelection(new AllSelection(view.state.doc)))
      view.pasteHTML(html)
      return view.state.doc.toJSON() as DocJson
    },
  }
})

const unnamed = (doc: unknown): unknown => JSON.parse(JSON.stringify(doc), (key, v: unknown) => (key === 'id' ? '' : v))
describe('what is copied and pasted', () => {
  test('is the same within a book and between books, whatever it is: verse, pictures, breaks, tables, notes', () => {
    fc.assert(
      fc.property(anyDoc, doc => {
        for (const book of ['a', 'b'])
          expect(unnamed(parts.paste(parts.copy(doc, 'a'), book))).toEqual(unnamed(parts.full(doc)))
      }),
      { numRuns: 60 },
    )
  })
  test('keeps its names in its own book, and takes others elsewhere', () => {
    const [section] = bookOf([['One.', 'Two.']]).sections.filter(s => !s.made)
    const { doc } = chapter('s', 'T', section!.doc)
    const names = (d: DocJson): string[] => d.content.map(b => b.attrs.id)
    expect(names(parts.paste(parts.copy(doc, 'a'), 'a'))).toEqual(names(doc))
    expect(names(parts.paste(parts.copy(doc, 'a'), 'b'))).toEqual(names(doc).map(() => ''))
  })
  test('from elsewhere is plain: no attribute of ours is believed', () => {
    const html = '<p data-porchlight="{}">A</p><hr><figure data-asset="x"><figcaption>B</figcaption></figure><p>C</p>'
    expect(unnamed(parts.paste(html, 'b'))).toMatchObject({
      content: [
        { type: 'paragraph', content: [{ text: 'A' }] },
        { type: 'scene_break' },
        { type: 'image', attrs: { asset: '' } },
        { type: 'paragraph', content: [{ text: 'C' }] },
      ],
    })
  })
})
