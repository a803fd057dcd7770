export { type PlotDay, plotOf, type Standing, standingOf, writingDays } from './plan'
export {
  type DayTally,
  emptyTally,
  netOf,
  type Sitting,
  SITTING_ENDS,
  tallied,
  together,
  type WordsChanged,
} from './tally'
export { phaseOf, type TimedSitting } from './timed'
