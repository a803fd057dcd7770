import type { NodeViewRendererProps } from '@tiptap/core'
import { db } from '@/data/db'

/** A picture of the text as the editor shows it: the picture, its description for those who cannot see it, its caption. */
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
  about.append(label, deco)
  const contentDOM = document.createElement('figcaption')
  dom.append(img, about, contentDOM)
  let url = ''
  let asset = ''
  const show = (id: string): void => {
    if (id === asset) return
    asset = id
    void db.blobs.get(id).then(b => {
      if (!b) return
      if (url) URL.revokeObjectURL(url)
      img.src = url = URL.createObjectURL(new Blob([b.bytes]))
    })
  }
  const set = (name: string, value: unknown): void => {
    const pos = getPos()
    if (pos !== undefined && editor.isEditable) editor.view.dispatch(editor.state.tr.setNodeAttribute(pos, name, value))
  }
  alt.addEventListener('change', () => set('alt', alt.value))
  box.addEventListener('change', () => set('decoration', box.checked))
  const update = (n: typeof node): boolean => {
    if (n.type.name !== 'image') return false
    show(n.attrs.asset as string)
    img.alt = n.attrs.alt as string
    if (document.activeElement !== alt) alt.value = n.attrs.alt as string
    box.checked = n.attrs.decoration as boolean
    return true
  }
  update(node)
  return { dom, contentDOM, update, stopEvent: (e: Event) => about.contains(e.target as HTMLElement), ignoreMutation: (m: { target: globalThis.Node }) => !contentDOM.contains(m.target), destroy: () => url && URL.revokeObjectURL(url) }
}
