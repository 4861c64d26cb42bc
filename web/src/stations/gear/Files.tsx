import type { ImportPreview, Problem, WorkspaceFile } from '@harina/core'
import { lazy, Suspense, useRef, useState } from 'react'
import { discard, exportRaw, previewOf } from '../../state/files.ts'
import { useApp } from '../../state/store.ts'
import { readFile } from '../../workers/file.ts'
import { JobCancelled } from '../../workers/jobs.ts'
import { Section } from './Section.tsx'
import { saveEverything } from './saveEverything.ts'
import { fileProblemWords, unreadableWords } from '../../words/index.ts'

const ImportPanel = lazy(() => import('./ImportPanel.tsx'))
const ClearPanel = lazy(() => import('./ClearPanel.tsx'))

interface Incoming {
  readonly name: string
  readonly file: WorkspaceFile
  readonly preview: ImportPreview
}

/** A file being read: how far it is, and the way to stop it. */
interface Reading {
  readonly percent: number
  readonly stop: () => void
}

/** Chosen, read away from the page, and laid beside what is here. */
function useIncoming() {
  const [incoming, setIncoming] = useState<Incoming | null>(null)
  const [problem, setProblem] = useState<Problem | null>(null)
  const [reading, setReading] = useState<Reading | null>(null)
  const take = async (chosen: File) => {
    const stopping = new AbortController()
    const stop = () => stopping.abort()
    const onProgress = (done: number, of: number) => setReading({ percent: Math.floor((100 * done) / of), stop })
    setProblem(null)
    setReading({ percent: 0, stop })
    try {
      const read = await readFile(chosen, { signal: stopping.signal, onProgress })
      if (!read.ok) return setProblem(read.problem)
      setIncoming({ name: chosen.name, file: read.value, preview: await previewOf(read.value) })
    } catch (error) {
      if (!(error instanceof JobCancelled)) setProblem({ code: 'file-unread' })
    } finally {
      setReading(null)
    }
  }
  return { incoming, problem, reading, take, close: () => setIncoming(null) }
}

/** Records of an older time that nothing can be made of: each is saved as it lies there, and may then go. */
function Unreadable() {
  const unreadable = useApp((state) => state.documents.unreadable)
  if (unreadable.length === 0) return null
  return (
    <section aria-label="What cannot be read" className="border-l-5 border-danger p-2 pl-3">
      <p className="mb-1 leading-snug">
        Something stored here cannot be read, and is left out of everything. Save it as a file before you remove it.
      </p>
      <ul>
        {unreadable.map((each) => (
          <li key={`${each.kind}-${each.id}`} className="flex flex-wrap items-baseline gap-x-4">
            <span className="min-w-0 flex-1 break-words">
              {unreadableWords[each.kind]}, {each.id}
            </span>
            <button type="button" className="quiet" onClick={() => void exportRaw(each)}>
              Save as a file
            </button>
            <button type="button" className="quiet" onClick={() => void discard(each)}>
              Remove
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}

export function Files() {
  const input = useRef<HTMLInputElement>(null)
  const { incoming, problem, reading, take, close } = useIncoming()
  const [clearing, setClearing] = useState(false)

  return (
    <Section
      title="Files"
      lead="Everything lives in this browser. A file is the backup, and the way to another device."
    >
      <div className="flex flex-col gap-2">
        <button type="button" className="action min-h-13" onClick={() => void saveEverything()}>
          Export everything
        </button>
        <button
          type="button"
          className="press min-h-13"
          disabled={reading !== null}
          onClick={() => input.current?.click()}
        >
          {reading ? `Reading… ${reading.percent} %` : 'Bring in a file'}
        </button>
        {reading && (
          <button type="button" className="quiet self-start text-label" onClick={reading.stop}>
            Stop reading
          </button>
        )}
        <input
          ref={input}
          type="file"
          className="hidden"
          aria-label="A .harina.json file"
          accept=".json,application/json"
          onChange={(event) => {
            const [chosen] = event.target.files ?? []
            if (chosen) void take(chosen)
            event.target.value = ''
          }}
        />
        {problem && (
          <p role="alert" className="border-l-5 border-danger p-2 pl-3">
            {fileProblemWords(problem)}
          </p>
        )}
        <Unreadable />
        <button type="button" className="quiet self-start text-label" onClick={() => setClearing(true)}>
          Clear this workspace
        </button>
      </div>
      <Suspense>
        {incoming && <ImportPanel {...incoming} onClose={close} />}
        {clearing && <ClearPanel onClose={() => setClearing(false)} />}
      </Suspense>
    </Section>
  )
}
