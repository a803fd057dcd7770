'use client'
import { useEffect, useState } from 'react'
import { defaultPreferences, type Preferences, setPreferences, usePreferences } from '@/parts/preferences'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { Sill } from '@/parts/Sill'
import './preferences.css'

type Desk = Preferences['desk']

const faces: Record<Desk['face'], string> = {
  serif: "'Fraunces Variable', Georgia, serif",
  sans: "'Figtree Variable', sans-serif",
  print: "'EB Garamond Desk', Georgia, serif",
}

const UNITS = [
  { value: 'in', words: 'inches' },
  { value: 'mm', words: 'millimetres' },
] as const
const TONES = [
  { value: 'system', words: 'as the machine has it' },
  { value: 'light', words: 'daylight' },
  { value: 'dark', words: 'dusk' },
] as const
const FACES = [
  { value: 'serif', words: 'a serif' },
  { value: 'sans', words: 'a sans' },
  { value: 'print', words: 'the book’s own face' },
] as const
const PAPERS = [
  { value: 'plain', words: 'plain' },
  { value: 'warm', words: 'warm' },
  { value: 'cool', words: 'cool' },
] as const

/** Preferences: units, tone, and the desk, with a sheet of the desk beside them. */
export function PreferencesRoom() {
  const { unit, tone, desk } = usePreferences()
  return (
    <>
      <main id="room" className="room preferences">
        <header className="topline">
          <h1>Preferences</h1>
        </header>
        <div className="sheet">
          <div>
            <h2>Everywhere</h2>
            <p className="said">
              Lengths are said in{' '}
              <ChoiceValue
                label="Lengths in"
                value={unit}
                choices={UNITS}
                onChange={v => setPreferences({ unit: v as Preferences['unit'] })}
              />
              , and the light is{' '}
              <ChoiceValue
                label="Light"
                value={tone}
                choices={TONES}
                onChange={v => setPreferences({ tone: v as Preferences['tone'] })}
              />
              .
            </p>
            <h2>The desk</h2>
            <DeskSentence desk={desk} />
            <h2>This browser’s storage</h2>
            <Storage />
          </div>
          <Sample desk={desk} />
        </div>
      </main>
      <Sill figures={[{ name: 'Lengths in', value: unit === 'in' ? 'inches' : 'millimetres' }]} />
    </>
  )
}

/** How the text looks while it is written. */
function DeskSentence({ desk }: { desk: Desk }) {
  const set = (patch: Partial<Desk>): void => setPreferences({ desk: { ...desk, ...patch } })
  return (
    <>
      <p className="said">
        You write in{' '}
        <ChoiceValue label="Face" value={desk.face} choices={FACES} onChange={v => set({ face: v as Desk['face'] })} />{' '}
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
          choices={PAPERS}
          onChange={v => set({ paper: v as Desk['paper'] })}
        />{' '}
        paper. The printed book does not change.
      </p>
      <p>
        <button type="button" className="plain" onClick={() => set(defaultPreferences.desk)}>
          The desk as it came
        </button>
      </p>
    </>
  )
}

/** What the library takes of this browser, and whether the browser keeps it. */
function Storage() {
  const [kept, setKept] = useState<boolean>()
  const [room, setRoom] = useState<{ used: number; of: number }>()
  useEffect(() => {
    void navigator.storage?.persisted?.().then(setKept)
    void navigator.storage?.estimate?.().then(e => setRoom({ used: e.usage ?? 0, of: e.quota ?? 0 }))
  }, [])
  return (
    <>
      <p className="teach">
        {room ? `The library takes ${(room.used / 1e6).toFixed(1)} MB of ${(room.of / 1e9).toFixed(1)} GB. ` : ''}
        {kept
          ? 'The browser has promised to keep it.'
          : 'The browser may clear it when the disk runs full; a backup now and then is wise.'}
      </p>
      {kept === false && (
        <p>
          <button type="button" className="plain" onClick={() => void navigator.storage.persist().then(setKept)}>
            Ask the browser to keep it
          </button>
        </p>
      )}
    </>
  )
}

/** A sheet of the desk as it is set. */
function Sample({ desk }: { desk: Desk }) {
  const style = {
    fontFamily: faces[desk.face],
    fontSize: desk.size,
    lineHeight: desk.leading,
    background: 'var(--desk)',
  }
  return (
    <div className="sample" style={style} aria-label="The desk">
      <p>
        The harbour lay below her as flat as a tray. It was ten past four in the morning, the hour at which she did her
        best ruling, because nobody had yet thought of a question to ask her.
      </p>
      <p>
        Seven strokes, then none. She finished the line, blotted it, and only then allowed herself to look at the
        window.
      </p>
    </div>
  )
}
