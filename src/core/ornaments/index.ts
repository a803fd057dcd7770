export { drawOrnament } from './draw'
export { ornamentNames, type OrnamentName } from './names'
