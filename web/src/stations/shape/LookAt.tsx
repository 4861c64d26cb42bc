/** A shape looked at, and not taken: the sheet stays as it is until it is. */
import { computeSheet, startSheet, type Kitchen, type Shape } from '@harina/core'
import { useMemo, type CSSProperties } from 'react'
import { useNavigate } from 'react-router'
import { draftOpened, sheetEdited } from '../../state/draftSlice.ts'
import { selectSheet } from '../../state/select.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { familyInk } from '../../ui/family.tsx'
import { ChosenShape } from './ChosenShape.tsx'

/** As the dough of the draft would make it; where there is none, or it cannot, the first dough that it is made of. */
function useLookedAt(shape: Shape, kitchen: Kitchen) {
  const draft = useApp(selectSheet)
  return useMemo(() => {
    const own = kitchen.doughs.get(shape.doughs[0]?.dough ?? '')
    const begun = own && startSheet(own, shape, kitchen)
    const asDraft = draft && { ...draft, shape: shape.id, alsoShapes: [], filling: null }
    const tried = [asDraft, begun].flatMap((sheet) => {
      const worked = sheet && computeSheet(sheet, kitchen)
      return worked?.ok ? [worked.value] : []
    })
    return { worked: tried[0] ?? null, draft: draft ?? null, begun: begun ?? null }
  }, [draft, shape, kitchen])
}

export function LookAt({ shape, kitchen, onBack }: { shape: Shape; kitchen: Kitchen; onBack: () => void }) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { worked, draft, begun } = useLookedAt(shape, kitchen)
  const onSheet = draft && kitchen.shapes.get(draft.shape)
  const take = () => {
    if (draft) dispatch(sheetEdited({ sheet: { ...draft, shape: shape.id } }))
    else if (begun) dispatch(draftOpened({ id: 'draft', formula: null, sheet: begun }))
    void navigate('/shape')
  }
  const isTaken = onSheet?.id === shape.id
  return (
    <div style={{ '--family': familyInk[worked?.dough.family ?? 'semolina'] } as CSSProperties}>
      <div className="sticky -top-2 z-10 mb-2 flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line bg-sheet py-2">
        <button type="button" className="quiet min-h-11" onClick={onBack}>
          Back
        </button>
        <p className="min-w-0 flex-1 text-label text-second">
          {isTaken
            ? 'This is the shape of the draft.'
            : onSheet
              ? `Only looking: the draft is for ${onSheet.name}.`
              : 'Only looking: no draft is begun.'}
        </p>
        {!isTaken && (
          <button type="button" className="action" onClick={take}>
            {draft ? `Take it: ${shape.name}` : `Begin a draft: ${shape.name}`}
          </button>
        )}
      </div>
      {worked && <ChosenShape worked={worked} kitchen={kitchen} looking />}
    </div>
  )
}
