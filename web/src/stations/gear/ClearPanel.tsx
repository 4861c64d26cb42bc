import { useState } from 'react'
import { clearEverything } from '../../state/files.ts'
import { notify } from '../../state/notify.ts'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { saveEverything } from './saveEverything.ts'

/** The one thing that cannot be undone here, so it asks twice and offers the file first. */
export default function ClearPanel({ onClose }: { onClose: () => void }) {
  const [sure, setSure] = useState(false)
  const clear = async () => {
    if (!(await clearEverything())) return
    notify('Cleared')
    onClose()
  }
  return (
    <SidePanel title="Clear this workspace" onClose={onClose} at="middle">
      <p className="mb-4">
        All formulas, flour lots, gear and batches leave this browser, those at the bench too. Only an exported file
        brings them back.
      </p>
      <button type="button" className="press mb-4 w-full" onClick={() => void saveEverything()}>
        Export everything first
      </button>
      <label className="mb-5 flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 accent-(--ink)"
          checked={sure}
          onChange={(event) => setSure(event.target.checked)}
        />
        I have a file, or want none
      </label>
      <div className="flex justify-end gap-4">
        <button type="button" className="quiet" onClick={onClose}>
          Keep it all
        </button>
        <button type="button" className="action" disabled={!sure} onClick={() => void clear()}>
          Clear it
        </button>
      </div>
    </SidePanel>
  )
}
