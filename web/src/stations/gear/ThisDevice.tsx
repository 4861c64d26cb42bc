import { useEffect, useState } from 'react'
import { preferred, type Preferences } from '../../state/preferencesSlice.ts'
import { freeSound, ring } from '../../ui/sound.ts'
import { canSpeak, speak } from '../../ui/voice.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { Section } from './Section.tsx'
import { Segments } from '../../ui/Segments.tsx'

const themes: readonly { theme: Preferences['theme']; name: string }[] = [
  { theme: 'day', name: 'Day' },
  { theme: 'lamp', name: 'Lamp' },
  { theme: 'system', name: 'As the device' },
]

function usePersistence() {
  const [kept, setKept] = useState<boolean | null>(null)
  const storage = 'storage' in navigator ? navigator.storage : undefined
  useEffect(() => {
    void storage?.persisted().then(setKept)
  }, [storage])
  return { kept, ask: () => void storage?.persist().then(setKept), possible: storage !== undefined }
}

interface TickProps {
  readonly label: string
  readonly on: boolean
  readonly possible?: boolean
  readonly onChange: (on: boolean) => void
}

function Tick({ label, on, possible = true, onChange }: TickProps) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="size-6 accent-(--ink)"
        checked={on}
        disabled={!possible}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  )
}

const SPOKEN = 'Steps and timers are spoken'

export function ThisDevice() {
  const dispatch = useAppDispatch()
  const { theme, sound, voice, big } = useApp((state) => state.preferences)
  const { kept, ask, possible } = usePersistence()
  return (
    <Section title="This device">
      <Segments
        label="Theme"
        className="mb-3"
        options={themes.map((entry) => [entry.theme, entry.name] as const)}
        value={theme}
        onChange={(chosen) => dispatch(preferred({ theme: chosen }))}
      />
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Tick label="Timers are heard" on={sound} onChange={(on) => dispatch(preferred({ sound: on }))} />
        <button type="button" className="quiet" onClick={() => void freeSound().then(ring)}>
          Hear the ring
        </button>
      </p>
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Tick
          label={canSpeak() ? SPOKEN : `${SPOKEN}: this browser has no voice`}
          on={voice}
          possible={canSpeak()}
          onChange={(on) => {
            dispatch(preferred({ voice: on }))
            if (on) speak(SPOKEN)
          }}
        />
        <Tick label="Bigger type at the bench" on={big} onChange={(on) => dispatch(preferred({ big: on }))} />
      </p>
      <p className="small">
        {!possible
          ? 'Over plain http from another device the browser may clear stored work; export a file now and then.'
          : kept
            ? 'The browser has promised to keep your work until you clear it.'
            : 'The browser may clear your work when space runs short. '}
        {possible && kept === false && (
          <button type="button" className="quiet" onClick={ask}>
            Ask it to keep it
          </button>
        )}
      </p>
    </Section>
  )
}
