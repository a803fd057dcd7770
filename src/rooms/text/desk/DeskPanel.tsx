'use client'
import { ActValue } from '@/parts/ActValue'
import { DeskSentence } from '@/parts/DeskSentence'
import { setPreferences, usePreferences, type Preferences } from '@/parts/preferences'
import { ChoiceValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { PanelFrame } from '../PanelFrame'
import type { ReadAloud } from '../aloud/useReadAloud'
import type { useFullScreen } from './useFullScreen'
import './desk.css'

const TONES = [
  { value: 'system', words: 'as the machine has it' },
  { value: 'light', words: 'daylight' },
  { value: 'dark', words: 'dusk' },
]

/** The desk, set while the text is seen on it. */
export function DeskPanel({
  aloud,
  screen,
  onClose,
}: {
  aloud: ReadAloud
  screen: ReturnType<typeof useFullScreen>
  onClose: () => void
}) {
  const { desk, tone } = usePreferences()
  const say = useSay()
  return (
    <PanelFrame name="Desk" kind="deskpanel" close="Close the desk" onClose={onClose}>
      <DeskSentence desk={desk} />
      <p>
        The light is{' '}
        <ChoiceValue
          label="Light"
          value={tone}
          disabled={false}
          choices={TONES}
          onChange={v => setPreferences({ tone: v as Preferences['tone'] })}
        />
        .
      </p>
      {screen.can && (
        <p>
          <ActValue
            words={screen.full ? 'Leave the full screen' : 'The text alone on the full screen'}
            onAct={() => void screen.toggle().catch(say.failed)}
          />
          ; Esc leaves it.
        </p>
      )}
      <p>
        {aloud.without ?? (
          <>
            <ActValue words={aloud.reading ? 'Stop reading' : 'Read aloud'} onAct={aloud.toggle} />
            {!aloud.reading && ', from the cursor on, or what is chosen'}.
          </>
        )}
      </p>
    </PanelFrame>
  )
}
