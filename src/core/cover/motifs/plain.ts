import type { MotifKind } from './kind'

export const plain: MotifKind = { says: 'a plain ground', values: {}, colours: {}, draw: () => [] }
