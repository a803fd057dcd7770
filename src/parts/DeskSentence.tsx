'use client'
import { defaultPreferences, type Preferences, setPreferences } from './preferences'
import { ChoiceValue, NumberValue } from './Sentence'

type Desk = Preferences['desk']

const FACES = [
  { value: 'serif', words: 'a serif' },
  { value: 'sans', words: 'a sans' },
  { value: 'print', words: 'the book’s own face' },
  { value: 'dyslexic', words: 'a face for dyslexic readers' },
] as const
const PAPERS = [
  { value: 'plain', words: 'plain' },
  { value: 'warm', words: 'warm' },
  { value: 'cool', words: 'cool' },
] as const
const FOCUS = [
  { value: 'all', words: 'all of the text' },
  { value: 'paragraph', words: 'the paragraph you write' },
] as const
const LINES = [
  { value: 'free', words: 'goes down the page' },
  { value: 'middle', words: 'stays in the middle' },
] as const

/** How the text looks while it is written, and how it keeps out of the way: kept in this browser, apart from the printed style. */
export function DeskSentence({ desk }: { desk: Desk }) {
  const set = (patch: Partial<Desk>): void => setPreferences({ desk: { ...desk, ...patch } })
  return (
    <>
      <p className="said">
        You write in{' '}
        <ChoiceValue
          label="Face"
          value={desk.face}
          disabled={false}
          choices={FACES}
          onChange={v => set({ face: v as Desk['face'] })}
        />{' '}
        of{' '}
        <NumberValue
          label="Size of the desk’s text"
          value={desk.size}
          least={13}
          most={30}
          form={{ factor: 1, step: 1, digits: 0, unit: 'px' }}
          onChange={size => set({ size })}
        />
        , its lines{' '}
        <NumberValue
          label="Leading of the desk’s text"
          value={desk.leading}
          least={1.2}
          most={2.2}
          form={{ factor: 1, step: 0.05, digits: 2, unit: 'times' }}
          onChange={leading => set({ leading })}
        />{' '}
        its size apart and{' '}
        <NumberValue
          label="Line length of the desk"
          value={desk.measure}
          least={24}
          most={60}
          form={{ factor: 1, step: 1, digits: 0, unit: 'em' }}
          onChange={measure => set({ measure })}
        />{' '}
        long, on{' '}
        <ChoiceValue
          label="Paper"
          value={desk.paper}
          disabled={false}
          choices={PAPERS}
          onChange={v => set({ paper: v as Desk['paper'] })}
        />{' '}
        paper. You see{' '}
        <ChoiceValue
          label="What is in focus"
          value={desk.focus}
          disabled={false}
          choices={FOCUS}
          onChange={v => set({ focus: v as Desk['focus'] })}
        />
        , and the line you write{' '}
        <ChoiceValue
          label="Where the line is"
          value={desk.line}
          disabled={false}
          choices={LINES}
          onChange={v => set({ line: v as Desk['line'] })}
        />
        . The printed book does not change.
      </p>
      <p>
        <button type="button" className="plain" onClick={() => set(defaultPreferences.desk)}>
          The desk as it came
        </button>
      </p>
    </>
  )
}
