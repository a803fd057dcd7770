export {
  type Asset,
  type Book,
  type Contributor,
  type Imprint,
  type EbookSettings,
  type Edition,
  type Earlier,
  type BarcodeWish,
  type EditionKind,
  type Following,
  filesOf,
  type FontCut,
  type KeptPhrase,
  type KeptProof,
  type Pace,
  type ListingDraft,
  type OwnFamily,
  type PhrasePlace,
  picturesIn,
  type Section,
  type StyleDocument,
  type TitleData,
} from './book'
export {
  type CoverDesign,
  type CoverForm,
  type ElsewhereSheet,
  BRUSH,
  type BrushStroke,
  LARGEST_SHEET,
  fadeSides,
  type PictureCut,
  type PictureTone,
  coverForms,
  repeatPatterns,
  type Repeated,
  type RepeatPiece,
  type CoverMotif,
  type CoverPiece,
  type Field,
  isWords,
  type LogoPiece,
  type OrnamentPiece,
  type PanelName,
  type PicturePiece,
  type PieceGround,
  type Placed,
  type ShapePiece,
  type TextPiece,
  type Tie,
  tiesAcross,
  tiesDown,
  type Wrap,
} from './coverDesign'
export { derivedSortName, sortNameOf } from './sortName'
export { addressAt, isShops, shopsIn, shopsOf } from './shops'
export { createBook } from './create'
export {
  type Align,
  blockIds,
  type BlockJson,
  type CellJson,
  countWords,
  type DocJson,
  docText,
  docWords,
  eachInline,
  type FootnoteJson,
  type HardBreakJson,
  type HeadingJson,
  type ImageJson,
  type ImageStand,
  imageStands,
  type InlineJson,
  type LineJson,
  inlineText,
  type ItemJson,
  type ListJson,
  type MarkJson,
  type ParagraphJson,
  type QuoteJson,
  type RowJson,
  type SignJson,
  type TableJson,
  type TextJson,
  type VerseJson,
} from './doc'
export { quoteBetween, quotesOf } from './quotes'
export type { DoubtfulPlace, TypedSigns } from './turned'
export {
  dashHabit,
  foreignQuoteHabit,
  quoteHabit,
  type SignHabit,
  signHabits,
  spaceHabit,
  turnedSigns,
  typedSigns,
} from './typedSigns'
export { dashBetween, type DashHabit, dashesOf } from './dashes'
export { turnedTexts, withoutTurns } from './directions'
export { hashOf } from './hash'
export { eachNamed, Ids, withOwnIds } from './identity'
export { safeHref } from './links'
export {
  countedInFigures,
  countedInWords,
  MOST_SAID,
  numberInWords,
  numberWords,
  type NumberWords,
} from './numberWords'
export { labels, readNumeral, roman, type SectionLabel, sectionWord, shortName } from './numbering'
export {
  addSection,
  duplicateSections,
  heldBy,
  bookText,
  joinSections,
  moveSection,
  moveSections,
  newSection,
  inParts,
  removeSection,
  withNumbers,
  setRole,
  splitSection,
  takeOver,
} from './ops'
export type {
  Backs,
  Changes,
  DesignPiece,
  Ground,
  HandPage,
  HandPiece,
  PagePlan,
  PlanMargins,
  Run,
  RunHeading,
} from './pagePlan'
export { type Patch, patched, patchesBetween, samePlaces } from './patch'
export { type Role, roles } from './roles'
export { marks, nodes, schema } from './schema'
export { slugOf } from './slug'
export { uidForm, uidOf } from './uid'
export { appliedJson, compact, difference, readSteps, rebase, type Rebased, textOf, writeSteps } from './steps'
export { draftOf, pairKey } from './pair'
export { specOf, USUAL_SPEC } from './spec'
export { pricesWith } from './prices'
export { copyrightLines, madeDoc, seriesLine } from './madeWords'
export { filled, primaryTag, languageOf, printedLanguages, type PrintedWords, printedWords } from './printedWords'
export { renameIds } from './identity'
export { brokenLinks, innerLinks, linkedPlaces, type LinkTarget, linkTargets, retargeted } from './innerLinks'
export {
  contentsEntries,
  type ContentsEntry,
  contentsOf,
  headingsIn,
  isListed,
  listable,
  listsBareNumbers,
  MOST_DEPTH,
  withEntry,
} from './contents'
export { inCase, type LetterCase, nextCase } from './letterCase'
export { withCountedIds } from './countedIds'
export { signsToSpace, spacesSigns, withSpace } from './signSpaces'
export { withException } from './exceptions'
export { authorLine } from './authorLine'
export { imprintOf, isBehind, type KeptImprint, withImprint } from './imprints'
export { derivedMatter } from './derivedMatter'
export { ABOUT_AUTHOR, aboutAuthor, type PenName } from './penNames'
export { withWritten } from './written'
export {
  columnCount,
  joinedCells,
  newTable,
  partedCell,
  placeOf,
  withColumn,
  withHead,
  withoutColumn,
  withoutRow,
  withRow,
} from './tables'
export {
  emptyCell,
  gridByRow,
  gridColumns,
  gridOf,
  gridRows,
  headRows,
  type PlacedCell,
  type TableGrid,
  tableOf,
} from './tableGrid'
export { type Crop, isCrop, shownOf, withSide } from './crop'
export { languagesIn, passageLanguages } from './passages'
export {
  docRecordings,
  isTimed,
  MOST_SPOKEN,
  type Recording,
  recordingsIn,
  type RecordingSort,
  type RecordingUse,
  sortOf,
  spokenLines,
  usedRecordings,
} from './recordings'
export {
  asMatter,
  follow,
  matterState,
  type MatterState,
  placeMatter,
  saidBy,
  type StandingMatter,
  unfollowed,
  withMatter,
} from './matter'
export { type Leftover, leftovers, nextBook } from './nextBook'
export { ALSO_BY, alsoBy } from './alsoBy'
export {
  type BecomesBlock,
  blocksMadeIn,
  type Chosen,
  type Finder,
  finderOf,
  type Found,
  type GivenMark,
  type Hit,
  hitsIn,
  type Line,
  type LineKind,
  linesOf,
  markedIn,
  replacedAt,
  replacedIn,
  type Search,
  sectionsBegunAt,
} from './find'
export {
  answered,
  areAnswers,
  joinedRemarks,
  MOST_NAME,
  MOST_REMARK,
  readAnswers,
  type Remark,
  type Said,
  threadOf,
} from './remarks'
export type { Return, ReviewCopy, Round, RoundForm } from './rounds'
