import { Radio, RadioGroup } from '@headlessui/react'
import { RadioMark } from '../../ui/RadioMark.tsx'
import { type Clash, type ClashChoice, type ImportPreview, type WorkspaceFile } from '@harina/core'
import { useState } from 'react'
import { bringIn } from '../../state/files.ts'
import { notify } from '../../state/notify.ts'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { counted } from '#web/words/index.ts'

interface Props {
  readonly name: string
  readonly file: WorkspaceFile
  readonly preview: ImportPreview
  readonly onClose: () => void
}

const choices: readonly { choice: ClashChoice; name: string; words: string }[] = [
  { choice: 'keep-both', name: 'Keep both', words: 'the file’s comes in beside yours; gear and draft stay yours' },
  { choice: 'replace', name: 'Replace', words: 'the file’s takes the place of yours' },
  { choice: 'skip', name: 'Skip', words: 'yours stays, the file’s is left out' },
]

const kindWords: Readonly<Record<Clash['kind'], string>> = {
  formula: 'formula',
  ingredient: 'ingredient',
  shape: 'shape of your own',
  lot: 'flour lot',
  batch: 'batch',
  photo: 'photo of',
  gear: 'gear',
  draft: 'draft',
}

export default function ImportPanel({ name, file, preview, onClose }: Props) {
  const [choice, setChoice] = useState<ClashChoice>('keep-both')
  const { fresh, same, clashes } = preview
  const [busy, setBusy] = useState(false)
  const take = async () => {
    setBusy(true)
    const isIn = await bringIn(file, choice)
    setBusy(false)
    if (!isIn) return
    notify('Brought in', { description: `From ${name}` })
    onClose()
  }
  return (
    <SidePanel title="Bring in a file" onClose={onClose} at="middle">
      <p className="mb-3 break-words">
        <span className="font-semibold">{name}</span> holds {counted(file.formulas.length, 'formula')},{' '}
        {file.lots.length} flour lots and {file.batches.length} batches.
      </p>
      <p className="mb-3">
        {fresh} new, {same} already here just so
        {clashes.length > 0 ? `, and ${clashes.length} that differ from yours:` : '.'}
      </p>
      {clashes.length > 0 && (
        <>
          <ul className="mb-4 max-h-40 overflow-y-auto border-y border-line" tabIndex={0} aria-label="What differs">
            {clashes.map((clash) => (
              <li key={`${clash.kind}-${clash.id}`} className="flex gap-3 py-1">
                <span className="flex-1">{clash.name}</span>
                <span className="small">{kindWords[clash.kind]}</span>
              </li>
            ))}
          </ul>
          <p className="small mb-1" aria-hidden="true">
            What to do with those
          </p>
          <RadioGroup value={choice} onChange={setChoice} aria-label="What to do with those" className="mb-5">
            {choices.map((entry) => (
              <Radio
                key={entry.choice}
                value={entry.choice}
                className="group flex min-h-11 cursor-pointer items-center gap-3"
              >
                <RadioMark />
                <span>
                  <span className="font-semibold">{entry.name}</span> <span className="small">{entry.words}</span>
                </span>
              </Radio>
            ))}
          </RadioGroup>
        </>
      )}
      <div className="flex justify-end gap-4">
        <button type="button" className="quiet" onClick={onClose}>
          Leave it
        </button>
        <button
          type="button"
          className="action"
          disabled={busy || (fresh === 0 && clashes.length === 0)}
          onClick={() => void take()}
        >
          {fresh === 0 && clashes.length === 0 ? 'All of it is here' : busy ? 'Bringing it in…' : 'Bring it in'}
        </button>
      </div>
    </SidePanel>
  )
}
