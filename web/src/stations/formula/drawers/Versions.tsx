/** What this formula has been: each kept change in figures, and the way back. */
import { diffSheets, sameValue, type Formula, type Kitchen, type Sheet } from '@harina/core'
import { format } from 'date-fns'
import { draftOpened } from '#web/state/draftSlice.ts'
import { useApp, useAppDispatch } from '#web/state/store.ts'
import { selectFormulas } from '#web/state/select.ts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { changeWords } from '#web/words/index.ts'

function Changes({ from, to, kitchen }: { from: Sheet; to: Sheet; kitchen: Kitchen }) {
  const words = useUnits()
  const changes = diffSheets(from, to, kitchen)
  if (changes.length === 0) return <p className="small">No difference.</p>
  return (
    <ul className="list-disc pl-5 leading-snug">
      {changes.map((change, index) => (
        <li key={index}>{changeWords(change, words)}</li>
      ))}
    </ul>
  )
}

interface Step {
  readonly at: string
  readonly title: string
  readonly sheet: Sheet
  readonly before: Sheet | null
}

/** Newest first: the sheet on paper, the book as it stands, and every version before it. */
function stepsOf(formula: Formula, onPaper: Sheet): readonly Step[] {
  const kept = [...formula.versions, { at: formula.updatedAt, sheet: formula.sheet }]
  const steps = kept.map(({ at, sheet }, index): Step => ({
    at: format(new Date(at), 'd MMM yyyy, HH:mm'),
    title: index === kept.length - 1 ? 'In the book' : index === 0 ? 'The first' : `Version ${index + 1}`,
    sheet,
    before: kept[index - 1]?.sheet ?? null,
  }))
  const changed = !sameValue(onPaper, formula.sheet)
  return [
    ...(changed ? [{ at: 'not kept yet', title: 'On paper now', sheet: onPaper, before: formula.sheet }] : []),
    ...steps.reverse(),
  ]
}

export default function Versions({ worked, kitchen, onClose }: DrawerProps) {
  const dispatch = useAppDispatch()
  const id = useApp((state) => state.draft.present?.formula ?? null)
  const formula = useApp(selectFormulas).find((each) => each.id === id)
  const open = (sheet: Sheet) => {
    dispatch(draftOpened({ id: 'draft', formula: id, sheet }))
    onClose()
  }
  return (
    <SidePanel title="Versions" onClose={onClose}>
      {!formula && (
        <p className="leading-snug">
          Each time a changed formula is kept in the book, what it was before stands here, with what changed. Keep this
          one in the book first.
        </p>
      )}
      {formula && (
        <ol>
          {stepsOf(formula, worked.sheet).map((step, index) => (
            <li key={index} className="mb-4 border-t border-line pt-2">
              <div className="flex items-baseline gap-3">
                <h3 className="head flex-1 text-lg">{step.title}</h3>
                <span className="small">{step.at}</span>
              </div>
              {step.before ? (
                <Changes from={step.before} to={step.sheet} kitchen={kitchen} />
              ) : (
                <p className="small">Where it began.</p>
              )}
              {step.sheet !== worked.sheet && JSON.stringify(step.sheet) !== JSON.stringify(worked.sheet) && (
                <button
                  type="button"
                  className="quiet mt-1"
                  aria-label={`Make this the draft: ${step.title}, ${step.at}`}
                  onClick={() => open(step.sheet)}
                >
                  Make this the draft
                </button>
              )}
            </li>
          ))}
        </ol>
      )}
      <p className="small leading-snug">
        A batch keeps the version it ran with, whatever happens here; the log shows it.
      </p>
    </SidePanel>
  )
}
