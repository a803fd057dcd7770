import type { DesignKind } from './kind'
import { frame } from './kinds/frame'
import { lines } from './kinds/lines'
import { ornament } from './kinds/ornament'
import { picture } from './kinds/picture'
import { words } from './kinds/words'

/** Every kind of piece that can be placed on a page, in the order they are offered. A new one is a folder of its own and a line here. */
export const designKinds: readonly DesignKind[] = [words, picture, lines, frame, ornament]

const byId = new Map(designKinds.map(k => [k.id, k]))
export const designOf = (id: string): DesignKind | undefined => byId.get(id)
