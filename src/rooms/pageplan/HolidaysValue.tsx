'use client'
import { Button, Select } from 'antd'
import { useRef } from 'react'
import { type HolidaySource, readHolidays } from '@/core/activity'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'

/** Most letters of an own list of days. */
const MOST_TEXT = 200_000

/** Which holidays are marked: of a country and its region, and days of the author's own from a calendar file or a table. */
export function HolidaysValue({
  label,
  source,
  onChange,
}: {
  label: string
  source: HolidaySource
  onChange: (source: HolidaySource) => void
}) {
  const say = useSay()
  const pick = useRef<FilePicker>(null)
  const { country } = source
  const { answer: countries } = usePress(p => p.countries(), [])
  const { answer: regions } = usePress(p => p.regions(country), [country])
  const own = source.text ? readHolidays(source.text) : undefined
  const bring = ([file]: File[]): void =>
    void file!.text().then(text => {
      const read = readHolidays(text.slice(0, MOST_TEXT))
      if (!read.days.length)
        return say.warn(`${file!.name} has no days in it: a calendar file, or lines like “2027-05-04, Name”.`)
      if (text.length > MOST_TEXT) return say.warn(`${file!.name} is longer than any list of days.`)
      if (read.not) say.note(`${read.not === 1 ? 'One entry is' : `${read.not} entries are`} no day: “${read.first}”.`)
      onChange({ ...source, text })
    }, say.failed)
  const select = (
    name: string,
    value: string,
    options: { code: string; name: string }[],
    none: string,
    take: (v: string) => void,
  ) => (
    <span className="value">
      <Select
        aria-label={name}
        size="small"
        variant="borderless"
        popupMatchSelectWidth={false}
        suffixIcon={null}
        showSearch={{ optionFilterProp: 'label' }}
        value={value}
        options={[{ value: '', label: none }, ...options.map(o => ({ value: o.code, label: o.name }))]}
        onChange={take}
      />
    </span>
  )
  return (
    <>
      {select(label, country, countries ?? [], 'no holidays', v => onChange({ ...source, country: v, region: '' }))}
      {country && regions && regions.length > 0 && (
        <>
          ,{' '}
          {select('Region of the holidays', source.region, regions, 'the whole country', v =>
            onChange({ ...source, region: v }),
          )}
        </>
      )}
      {own && <> and {own.days.length === 1 ? 'a day of your own' : `${own.days.length} days of your own`}</>}{' '}
      <span className="ways">
        <Button size="small" type="link" onClick={() => pick.current?.open()}>
          {own ? 'others' : 'own days …'}
        </Button>
        {own && (
          <Button size="small" type="link" onClick={() => onChange({ ...source, text: '' })}>
            none
          </Button>
        )}
        <FilePick ref={pick} label="Own days from a file" accept=".ics,.csv,.tsv,.txt,text/*" onPick={bring} />
      </span>
    </>
  )
}
