'use client'
import { InputNumber, Segmented } from 'antd'
import { useEffect, useState } from 'react'
import { defaultPreferences, type Preferences, setPreferences, usePreferences } from '@/parts/preferences'
import { Sill } from '@/parts/Sill'
import './preferences.css'

const faces: Record<Preferences['desk']['face'], string> = {
  serif: "'Fraunces Variable', Georgia, serif",
  sans: "'Figtree Variable', sans-serif",
  print: "'EB Garamond Desk', Georgia, serif",
}

/** Preferences: units, tone, and the desk, with a sheet of the desk beside them. */
export function PreferencesRoom() {
  const p = usePreferences()
  const desk = (patch: Partial<Preferences['desk']>): void => setPreferences({ desk: { ...p.desk, ...patch } })
  const [kept, setKept] = useState<boolean>()
  const [room, setRoom] = useState<{ used: number; of: number }>()
  useEffect(() => {
    void navigator.storage?.persisted?.().then(setKept)
    void navigator.storage?.estimate?.().then(e => setRoom({ used: e.usage ?? 0, of: e.quota ?? 0 }))
  }, [])
  return (
    <>
      <main id="room" className="room preferences">
        <header className="topline">
          <h1>Preferences</h1>
        </header>
        <div className="sheet">
          <div>
            <h2>Everywhere</h2>
            <div className="row">
              <span>Lengths in</span>
              <Segmented<Preferences['unit']>
                aria-label="Lengths in"
                options={[
                  { label: 'inches', value: 'in' },
                  { label: 'millimetres', value: 'mm' },
                ]}
                value={p.unit}
                onChange={unit => setPreferences({ unit })}
              />
            </div>
            <div className="row">
              <span>Light</span>
              <Segmented<Preferences['tone']>
                aria-label="Light"
                options={[
                  { label: 'as the machine has it', value: 'system' },
                  { label: 'daylight', value: 'light' },
                  { label: 'dusk', value: 'dark' },
                ]}
                value={p.tone}
                onChange={tone => setPreferences({ tone })}
              />
            </div>
            <h2>The desk</h2>
            <p className="teach">How the text looks while you write it. The printed book does not change.</p>
            <div className="row">
              <span>Face</span>
              <Segmented<Preferences['desk']['face']>
                aria-label="Face"
                options={[
                  { label: 'serif', value: 'serif' },
                  { label: 'sans', value: 'sans' },
                  { label: 'the book’s', value: 'print' },
                ]}
                value={p.desk.face}
                onChange={face => desk({ face })}
              />
            </div>
            <div className="row">
              <span>Size</span>
              <InputNumber
                aria-label="Size of the desk’s text"
                min={13}
                max={30}
                value={p.desk.size}
                onChange={v => v && desk({ size: v })}
                suffix="px"
              />
            </div>
            <div className="row">
              <span>Leading</span>
              <InputNumber
                aria-label="Leading of the desk’s text"
                min={1.2}
                max={2.2}
                step={0.05}
                value={p.desk.leading}
                onChange={v => v && desk({ leading: v })}
                suffix="×"
              />
            </div>
            <div className="row">
              <span>Line length</span>
              <InputNumber
                aria-label="Line length of the desk"
                min={24}
                max={60}
                value={p.desk.measure}
                onChange={v => v && desk({ measure: v })}
                suffix="em"
              />
            </div>
            <div className="row">
              <span>Paper</span>
              <Segmented<Preferences['desk']['paper']>
                aria-label="Paper"
                options={[
                  { label: 'plain', value: 'plain' },
                  { label: 'warm', value: 'warm' },
                  { label: 'cool', value: 'cool' },
                ]}
                value={p.desk.paper}
                onChange={paper => desk({ paper })}
              />
            </div>
            <p>
              <button type="button" className="plain" onClick={() => setPreferences({ desk: defaultPreferences.desk })}>
                The desk as it came
              </button>
            </p>
            <h2>This browser’s storage</h2>
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
          </div>
          <div
            className="sample"
            style={{
              fontFamily: faces[p.desk.face],
              fontSize: p.desk.size,
              lineHeight: p.desk.leading,
              background: 'var(--desk)',
            }}
            aria-label="The desk"
          >
            <p>
              The harbour lay below her as flat as a tray. It was ten past four in the morning, the hour at which she
              did her best ruling, because nobody had yet thought of a question to ask her.
            </p>
            <p>
              Seven strokes, then none. She finished the line, blotted it, and only then allowed herself to look at the
              window.
            </p>
          </div>
        </div>
      </main>
      <Sill figures={[{ name: 'Lengths in', value: p.unit === 'in' ? 'inches' : 'millimetres' }]} />
    </>
  )
}
