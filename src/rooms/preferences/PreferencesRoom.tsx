'use client'
import { useEffect, useState } from 'react'
import { deskFaces } from '@/parts/desk'
import { DeskSentence } from '@/parts/DeskSentence'
import { type Preferences, setPreferences, usePreferences } from '@/parts/preferences'
import { ChoiceValue } from '@/parts/Sentence'
import { Sill } from '@/parts/Sill'
import './preferences.css'

type Desk = Preferences['desk']

const UNITS = [
  { value: 'in', words: 'inches' },
  { value: 'mm', words: 'millimetres' },
] as const
const TONES = [
  { value: 'system', words: 'as the machine has it' },
  { value: 'light', words: 'daylight' },
  { value: 'dark', words: 'dusk' },
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
    fontFamily: deskFaces[desk.face],
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
