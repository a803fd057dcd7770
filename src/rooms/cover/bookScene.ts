import * as THREE from 'three'
import type { Folded, Rect, Side, Solid } from '@/core/cover'

/** What the book is seen with. */
export interface SceneOf {
  folded: Folded
  /** The press's picture of the whole sheet, and where a part of the flat lies on it, pixels. */
  picture: ImageBitmap
  onPicture: (of: Rect) => Rect
  /** Glossy or matt. */
  gloss: boolean
}

/** How it is turned, degrees. */
export interface Turn {
  yaw: number
  pitch: number
}

/** The order of a box's sides. */
const sides: readonly Side[] = ['right', 'left', 'top', 'bottom', 'front', 'back']
const PAPER = '#f4eee0'
const BOARD = '#2a2622'
const WIRE = '#3a3d40'
/** Least angle of the lens, degrees: a book on a table is seen from afar. */
const LENS = 26

export interface BookScene {
  draw: (turn: Turn) => void
  resize: (width: number, height: number) => void
  /** The book as a picture of so many pixels across; on a ground, or on none. */
  picture: (turn: Turn, pixels: number, ground: string | undefined) => Promise<Blob>
  dispose: () => void
}

/** A folded book in light. Throws where the browser draws nothing in three dimensions. */
export function bookScene(canvas: HTMLCanvasElement, of: SceneOf): BookScene {
  const renderer = new THREE.WebGLRenderer({ canvas, antialias: true, alpha: true, preserveDrawingBuffer: true })
  renderer.setPixelRatio(Math.min(2, devicePixelRatio || 1))
  renderer.outputColorSpace = THREE.SRGBColorSpace
  const scene = new THREE.Scene()
  const book = new THREE.Group()
  for (const solid of of.folded.solids) book.add(meshOf(solid, of))
  for (const ring of of.folded.rings) {
    const mesh = new THREE.Mesh(
      new THREE.TorusGeometry(ring.radius, 1.5, 10, 40),
      new THREE.MeshStandardMaterial({ color: WIRE, roughness: 0.4, metalness: 0.3 }),
    )
    mesh.position.set(...ring.at)
    // A ring goes around the edge of the sheets: it lies in the plane across the spine.
    mesh.rotation.x = Math.PI / 2
    book.add(mesh)
  }
  scene.add(book)
  scene.add(new THREE.HemisphereLight('#ffffff', '#efe8da', 2.7))
  const sun = new THREE.DirectionalLight('#fffaf0', 1.6)
  sun.position.set(-0.6, 0.9, 1.4)
  scene.add(sun)
  const camera = new THREE.PerspectiveCamera(LENS, 1, 10, 20_000)
  const far =
    Math.hypot(of.folded.width, of.folded.height, of.folded.depth) / 2 / Math.sin((LENS / 2) * (Math.PI / 180))
  camera.position.set(0, 0, far * 1.02)
  const turned = ({ yaw, pitch }: Turn): void => {
    book.rotation.set((pitch * Math.PI) / 180, (yaw * Math.PI) / 180, 0)
  }
  const draw = (turn: Turn): void => {
    turned(turn)
    renderer.render(scene, camera)
  }
  const resize = (width: number, height: number): void => {
    renderer.setSize(width, height, false)
    camera.aspect = width / Math.max(1, height)
    // What is narrow is seen from further away.
    camera.position.z = far * 1.02 * Math.max(1, 1 / camera.aspect)
    camera.updateProjectionMatrix()
  }
  return {
    draw,
    resize,
    async picture(turn, pixels, ground) {
      const [was, ratio] = [renderer.getSize(new THREE.Vector2()), renderer.getPixelRatio()]
      renderer.setPixelRatio(1)
      resize(pixels, pixels)
      scene.background = ground ? new THREE.Color(ground) : null
      draw(turn)
      const blob = await new Promise<Blob | null>(done => canvas.toBlob(done, 'image/png'))
      scene.background = null
      renderer.setPixelRatio(ratio)
      resize(was.x, was.y)
      draw(turn)
      if (!blob) throw new Error('This browser could not make a picture of the book.')
      return blob
    },
    dispose() {
      scene.traverse(o => {
        if (!(o instanceof THREE.Mesh)) return
        o.geometry.dispose()
        for (const m of [o.material].flat() as THREE.MeshStandardMaterial[]) {
          m.map?.dispose()
          m.dispose()
        }
      })
      renderer.dispose()
    },
  }
}

function meshOf(solid: Solid, of: SceneOf): THREE.Mesh {
  const bare = new THREE.MeshStandardMaterial({
    color: solid.name === 'pages' || solid.name === 'cover' ? PAPER : BOARD,
    roughness: 0.9,
  })
  const materials = sides.map(side => {
    const face = solid.faces[side]
    return face ? printed(face, of) : bare
  })
  const mesh = new THREE.Mesh(new THREE.BoxGeometry(...solid.size), materials)
  mesh.position.set(...solid.at)
  return mesh
}

/** A part of the flat as a surface, matt or glossy. */
function printed(face: Rect, { picture, onPicture, gloss }: SceneOf): THREE.Material {
  const { x, y, width, height } = onPicture(face)
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width))
  canvas.height = Math.max(1, Math.round(height))
  canvas.getContext('2d')!.drawImage(picture, x, y, width, height, 0, 0, canvas.width, canvas.height)
  const map = new THREE.CanvasTexture(canvas)
  map.colorSpace = THREE.SRGBColorSpace
  map.anisotropy = 8
  return new THREE.MeshPhysicalMaterial({
    map,
    roughness: gloss ? 0.32 : 0.85,
    clearcoat: gloss ? 0.9 : 0,
    clearcoatRoughness: 0.12,
  })
}
