import type { MotifKind } from './kind'

export const plain: MotifKind = { name: 'nothing', says: '{kind}', values: {}, colours: {}, draw: () => [] }
