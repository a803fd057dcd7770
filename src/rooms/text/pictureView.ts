import type { NodeViewRendererProps } from '@tiptap/core'
import type { ImageStand } from '@/core/book'
import { blobBytes } from '@/data/blobs'

const stands: [ImageStand, string][] = [
  ['measure', 'in the measure'],
  ['left', 'beside the text, left'],
  ['right', 'beside the text, right'],
  ['page', 'alone on a page'],
  ['plate', 'a plate to the edges'],
]
const widths: [number, string][] = [
  [1, 'as wide as there is room'],
  [0.75, 'three quarters'],
  [0.66, 'two thirds'],
  [0.5, 'half'],
  [0.4, 'two fifths'],
  [0.33, 'a third'],
  [0.25, 'a quarter'],
]

function choice<T extends string | number>(name: string, of: [T, string][]): HTMLSelectElement {
  const select = document.createElement('select')
  select.setAttribute('aria-label', name)
  for (const [value, words] of of) select.add(new Option(words, String(value)))
  return select
}

/** Shows the bytes of a picture, and forgets them when another is shown or none. */
function shows(img: HTMLImageElement): { show: (asset: string) => void; forget: () => void } {
  let url = ''
  let shown = ''
  const forget = (): void => void (url && URL.revokeObjectURL(url))
  return {
    forget,
    show: asset => {
      if (asset === shown) return
      shown = asset
      void blobBytes(asset).then(bytes => {
        if (!bytes) return
        forget()
        img.src = url = URL.createObjectURL(new Blob([bytes]))
      })
    },
  }
}

/** A small picture in the line. */
export function signView({ node }: NodeViewRendererProps) {
  const dom = document.createElement('img')
  dom.setAttribute('data-sign', '')
  const picture = shows(dom)
  const update = (n: typeof node): boolean => {
    if (n.type.name !== 'sign') return false
    picture.show(n.attrs.asset as string)
    dom.alt = n.attrs.alt as string
    dom.style.height = `${n.attrs.height as number}em`
    return true
  }
  update(node)
  return { dom, update, destroy: picture.forget }
}

/** A picture of the text as the editor shows it: the picture, where it stands, its description for those who cannot see it, its caption. */
export function pictureView({ node, editor, getPos }: NodeViewRendererProps) {
  const dom = document.createElement('figure')
  const img = document.createElement('img')
  const about = document.createElement('div')
  about.className = 'about'
  about.contentEditable = 'false'
  const label = document.createElement('label')
  const alt = document.createElement('input')
  alt.value = node.attrs.alt as string
  alt.placeholder = 'for readers who cannot see it'
  label.append('Description ', alt)
  const deco = document.createElement('label')
  const box = document.createElement('input')
  box.type = 'checkbox'
  box.checked = node.attrs.decoration as boolean
  deco.append(box, ' only decoration')
  const where = choice('Where the picture stands', stands)
  const width = choice('Width of the picture', widths)
  about.append(where, width, label, deco)
  const contentDOM = document.createElement('figcaption')
  dom.append(img, about, contentDOM)
  const picture = shows(img)
  const set = (name: string, value: unknown): void => {
    const pos = getPos()
    if (pos !== undefined) editor.view.dispatch(editor.state.tr.setNodeAttribute(pos, name, value))
  }
  // Who follows another window looks, and changes nothing.
  const rest = (): void => {
    for (const field of [alt, box, where, width]) field.disabled = !editor.isEditable
  }
  rest()
  editor.on('update', rest)
  alt.addEventListener('change', () => set('alt', alt.value))
  where.addEventListener('change', () => set('stands', where.value))
  width.addEventListener('change', () => set('share', Number(width.value)))
  box.addEventListener('change', () => set('decoration', box.checked))
  const update = (n: typeof node): boolean => {
    if (n.type.name !== 'image') return false
    picture.show(n.attrs.asset as string)
    img.alt = n.attrs.alt as string
    const stand = (n.attrs.stands as ImageStand | undefined) ?? 'measure'
    dom.dataset.stands = where.value = stand
    const share = n.attrs.share as number
    width.value = String(widths.reduce((best, w) => (Math.abs(w[0] - share) < Math.abs(best[0] - share) ? w : best))[0])
    width.hidden = stand === 'plate'
    if (document.activeElement !== alt) alt.value = n.attrs.alt as string
    box.checked = n.attrs.decoration as boolean
    return true
  }
  update(node)
  return {
    dom,
    contentDOM,
    update,
    stopEvent: (e: Event) => about.contains(e.target as HTMLElement),
    ignoreMutation: (m: { target: globalThis.Node }) => !contentDOM.contains(m.target),
    destroy: () => {
      editor.off('update', rest)
      picture.forget()
    },
  }
}
