export { byHand } from './apply'
export {
  changeAdded,
  changePage,
  changePiece,
  freshPieceId,
  handOf,
  layOn,
  moved,
  type PageOfRun,
  putBack,
} from './change'
export { piecesOn, type PieceOn } from './piecesOn'
export { type Hands, handsOn, sourceOfPage } from './resolve'
