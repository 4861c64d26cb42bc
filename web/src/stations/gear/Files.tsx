import { previewImport, type ImportPreview, type Problem, type WorkspaceFile } from '@harina/core'
import { lazy, Suspense, useRef, useState } from 'react'
import { exportEverything, readFile } from '../../storage/files.ts'
import { repository } from '../../storage/index.ts'
import { notify } from '../../state/notify.ts'
import { Section } from './Section.tsx'
import { fileProblemWords } from './fileWords.ts'

const ImportPanel = lazy(() => import('./ImportPanel.tsx'))
const ClearPanel = lazy(() => import('./ClearPanel.tsx'))

interface Incoming {
  readonly name: string
  readonly file: WorkspaceFile
  readonly preview: ImportPreview
}

export function Files() {
  const input = useRef<HTMLInputElement>(null)
  const [incoming, setIncoming] = useState<Incoming | null>(null)
  const [problem, setProblem] = useState<Problem | null>(null)
  const [reading, setReading] = useState(false)
  const [clearing, setClearing] = useState(false)

  const take = async (chosen: File | undefined) => {
    if (!chosen) return
    setProblem(null)
    setReading(true)
    const read = await readFile(chosen)
    setReading(false)
    if (!read.ok) return setProblem(read.problem)
    setIncoming({
      name: chosen.name,
      file: read.value,
      preview: previewImport(await repository.workspace(), read.value),
    })
  }

  return (
    <Section
      title="Files"
      lead="Everything lives in this browser. A file is the backup, and the way to another device."
    >
      <div className="flex flex-col gap-2">
        <button
          type="button"
          className="action min-h-[52px]"
          onClick={() =>
            void exportEverything().then(() =>
              notify('Exported', { description: 'The file is where your browser puts downloads.' }),
            )
          }
        >
          Export everything
        </button>
        <button type="button" className="press min-h-[52px]" disabled={reading} onClick={() => input.current?.click()}>
          {reading ? 'Reading…' : 'Bring in a file'}
        </button>
        <input
          ref={input}
          type="file"
          className="hidden"
          aria-label="A .harina.json file"
          accept=".json,application/json"
          onChange={(event) => {
            const [chosen] = event.target.files ?? []
            void take(chosen)
            event.target.value = ''
          }}
        />
        {problem && (
          <p role="alert" className="border-l-[5px] border-danger p-2 pl-3">
            {fileProblemWords(problem)}
          </p>
        )}
        <button type="button" className="quiet self-start text-[15px]" onClick={() => setClearing(true)}>
          Clear this workspace
        </button>
      </div>
      <Suspense>
        {incoming && <ImportPanel {...incoming} onClose={() => setIncoming(null)} />}
        {clearing && <ClearPanel onClose={() => setClearing(false)} />}
      </Suspense>
    </Section>
  )
}
