export {
  type Day,
  dateOf,
  dayOf,
  daysInMonth,
  isoOf,
  monthBegin,
  monthOf,
  onDate,
  weekBegin,
  weekdayOf,
  weekNumber,
  yearOf,
} from './day'
export { countriesKnown, type Holidays, type HolidaySource, holidaysOf, readHolidays, regionsKnown } from './holidays'
export { type DateNames, dateNames } from './names'
