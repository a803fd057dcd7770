import type { NodeViewRendererProps } from '@tiptap/core'
import { NodeSelection } from '@tiptap/pm/state'
import { type Crop, type ImageStand, shownOf } from '@/core/book'
import { recordingTypeOf } from '@/core/files'
import { blobBytes } from '@/data/blobs'

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

/** Plays the recording of a figure, once that is asked: until then its bytes stay in the store. */
function plays(): { dom: HTMLElement; show: (recording: string) => void; forget: () => void } {
  const dom = document.createElement('div')
  dom.className = 'player'
  let shown = ''
  let url = ''
  const forget = (): void => void (url && URL.revokeObjectURL(url))
  const say = (words: string, onClick?: () => void): void => {
    const button = document.createElement('button')
    button.type = 'button'
    button.textContent = words
    button.disabled = !onClick
    if (onClick) button.addEventListener('click', onClick)
    dom.replaceChildren(button)
  }
  const play = async (): Promise<void> => {
    const bytes = await blobBytes(shown)
    const type = bytes && recordingTypeOf(bytes)
    if (!type) return say('The recording is not in this library.')
    const media = document.createElement(type.startsWith('video/') ? 'video' : 'audio')
    media.controls = true
    forget()
    media.src = url = URL.createObjectURL(new Blob([bytes], { type }))
    dom.replaceChildren(media)
    // Where the device has nothing to play with, the bar stands there and can be pressed.
    media.play().catch(() => undefined)
  }
  return {
    dom,
    forget,
    show: recording => {
      if (recording === shown) return
      shown = recording
      dom.hidden = !recording
      say('▸ Play it', () => void play())
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

/** A picture of the text as the editor shows it, and its caption; where it stands and what it says is in the sentence at the cursor. */
export function pictureView({ node, editor, getPos }: NodeViewRendererProps) {
  const dom = document.createElement('figure')
  const img = document.createElement('img')
  const contentDOM = document.createElement('figcaption')
  const frame = document.createElement('span')
  frame.className = 'shown'
  frame.append(img)
  const player = plays()
  dom.append(frame, player.dom, contentDOM)
  const picture = shows(img)
  let crop: Crop | null = null
  // What is left out lies outside of the frame, which is as high as what is shown.
  const fit = (): void => {
    const { naturalWidth: width, naturalHeight: height } = img
    if (!width || !height) return
    const shown = shownOf({ width, height }, crop)
    frame.style.aspectRatio = `${shown.width} / ${shown.height}`
    frame.style.setProperty('--zoom', String(width / shown.width))
    frame.style.setProperty('--left', String(-shown.x / shown.width))
    frame.style.setProperty('--top', String(-shown.y / shown.width))
  }
  img.addEventListener('load', fit)
  // A click chooses the picture, or the ground around what plays; its caption is text.
  dom.addEventListener('mousedown', e => {
    const pos = getPos()
    if (pos === undefined || !(e.target === img || e.target === player.dom)) return
    e.preventDefault()
    editor.view.dispatch(editor.state.tr.setSelection(NodeSelection.create(editor.state.doc, pos)))
    editor.view.focus()
  })
  const update = (n: typeof node): boolean => {
    if (n.type.name !== 'image') return false
    picture.show(n.attrs.asset as string)
    frame.hidden = !n.attrs.asset && !!n.attrs.plays
    player.show((n.attrs.plays as string | undefined) ?? '')
    img.alt = n.attrs.alt as string
    dom.dataset.stands = (n.attrs.stands as ImageStand | undefined) ?? 'measure'
    dom.style.setProperty('--share', String(n.attrs.share as number))
    crop = (n.attrs.crop as Crop | null | undefined) ?? null
    fit()
    return true
  }
  update(node)
  return {
    dom,
    contentDOM,
    update,
    ignoreMutation: (m: { target: globalThis.Node }) => !contentDOM.contains(m.target),
    stopEvent: (e: Event) => player.dom.contains(e.target as globalThis.Node) && e.target !== player.dom,
    destroy: () => {
      picture.forget()
      player.forget()
    },
  }
}
