export { fitted, pagesAsked, pagesGiven, referred } from './referred'
export { answering, type AnswerPlace, answerPlace, withAnswers } from './answering'
export { type Band, bandsOf, partId } from './bands'
export { type DesignControl, type DesignKind, designKinds, designOf, designSchema } from './design'
export { evenly } from './evenly'
export {
  type Day,
  countriesKnown,
  dayOf,
  isoOf,
  weekdayOf,
  type HolidaySource,
  readHolidays,
  regionsKnown,
} from './dates'
export { drawGround, groundAt, groundSchema, patternOf, patterns, PLAIN_REPEAT } from './grounds'
export {
  changeAdded,
  changePage,
  changePiece,
  freshPieceId,
  type Hands,
  handOf,
  layOn,
  moved,
  type PageOfRun,
  piecesOn,
  type PieceOn,
  putBack,
} from './hand'
export { askedOf } from './heading'
export {
  type Control,
  type DrawnPage,
  families,
  type Family,
  type Leaf,
  type Room,
  type RunKind,
  type Side,
} from './kind'
export type { LogColumn } from './kinds/log'
export { formOf, withForm } from './kinds/own'
export { cleaningOf } from './kinds/pictures'
export { type Cleaning, cleanLines, uncleaned, wordOf } from './kinds/pictures/cleaning'
export { dealtGroups, facesOf, type LaidPage, laidOut, plannedPages } from './laying'
export { drawFolio, FOLIO_SIZE, folioHeight, lookOf, lookSchema, type PageLook, pageLooks } from './looks'
export { kindOf, runKinds } from './registry'
export { moveRunBefore, moveRunBy } from './moving'
export { canSplit, doubleRun, splitRun } from './rearrange'
export { picturesIn } from './picturesIn'
export { pageWords } from '../words'
export { asking, freshRunId, newRun, planOrder, type PlanPart, runName, runsInOrder } from './run'
export { type Drawing, LARGE_PRINT, RunPress, smallPrint } from './runPress'
export {
  type Asked,
  asksOf,
  type Recipe,
  recipeOf,
  recipeRoles,
  shippedRecipes,
  withRecipe,
  withRecipeSections,
} from './recipes'
export { SAMPLE, samplePage, samplePlan } from './sample'
export { saidFor } from './sentence'
export { type Double, doublesAmong, freshSeed, type OtherBooks, type RunTwins } from './twins'
