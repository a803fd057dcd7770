import { counting, few, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'ett två tre fyra fem sex sju åtta nio tio elva tolv tretton fjorton femton sexton sjutton arton nitton',
  'tjugo trettio fyrtio femtio sextio sjuttio åttio nittio',
  (ten, one) => ten + one,
)
const ordinal = few('första andra tredje fjärde femte sjätte sjunde åttonde nionde tionde elfte tolfte')

export const sv: NumberWords = {
  chapter: n => ways(`kapitel ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} kapitlet`),
  part: n => ways(`del ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} delen`),
  alone: n => ways(cardinal(n)),
}
