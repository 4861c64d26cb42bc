/** From a sign to its causes, ranked by what this batch shows, and the remedy in its own grams. */
import {
  additionOf,
  evidenceOf,
  remedyFor,
  roundHalfUp,
  specOf,
  TROUBLE_STAGES,
  weighedCauses,
  type Trouble,
  type TroubleStage,
} from '@harina/core'
import { useMemo, useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { notify } from '#web/state/notify.ts'
import { useKitchen } from '#web/state/select.ts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { tables } from '#web/state/tables.ts'
import { useClock } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { useBench } from '../view.tsx'
import { evidenceWords, stageWords } from '#web/words/index.ts'
import { Choice } from '#web/ui/Choice.tsx'

function Found({ trouble, onBack }: { trouble: Trouble; onBack: () => void }) {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { mass } = useUnits()
  const kitchen = useKitchen()
  const causes = weighedCauses(
    trouble,
    useClock((nowMs) => (kitchen ? evidenceOf(plan, state, nowMs, kitchen) : [])),
  )
  const remedy = remedyFor(trouble, plan, state)
  const addG = remedy && Math.max(plan.scaleStepG, roundHalfUp(remedy.grams, plan.scaleStepG))
  const add = async () => {
    if (!remedy || addG === null) return
    const isIn = await recordTap(batch, additionOf(plan, state, remedy.what, addG))
    if (isIn) notify(`${mass(addG, plan.scaleStepG)} of ${remedy.what} is in the batch`)
  }
  const write = async () => {
    const isWritten = await recordTap(batch, {
      type: 'noted',
      text: `${trouble.sign}. ${causes[0]?.cause ?? ''}. Next time: ${trouble.next}`,
    })
    if (isWritten) notify('Written into this batch')
  }
  return (
    <div className="flex flex-col gap-4 leading-snug">
      <button type="button" className="quiet self-start" onClick={onBack}>
        Other signs
      </button>
      <h3 className="head text-xl">{trouble.sign}</h3>
      <ol className="list-decimal space-y-1 pl-6">
        {causes.map(({ cause, shownBy, against }) => (
          <li key={cause}>
            <span className={shownBy.length > 0 ? 'font-semibold' : ''}>{cause}</span>
            {shownBy.length > 0 && <span className="text-second">: {shownBy.map(evidenceWords).join('; ')}</span>}
            {against && <span className="text-second">: the bowl says the contrary</span>}
          </li>
        ))}
      </ol>
      <p>
        <span className="font-semibold">Try first.</span> {trouble.test}
      </p>
      <p>
        <span className="font-semibold">Now.</span> {trouble.now}
      </p>
      {remedy && addG !== null && (
        <button type="button" className="box min-h-12 self-start px-4 font-semibold" onClick={() => void add()}>
          Add {mass(addG, plan.scaleStepG)} of {remedy.what}
          {remedy.saltG >= 0.05 && `, with ${mass(remedy.saltG, 0.1)} of salt`}
        </button>
      )}
      <p>
        <span className="font-semibold">Next time.</span> {trouble.next}
      </p>
      {trouble.safety && <p className="border-l-5 border-danger pl-3">{trouble.safety}</p>}
      <button type="button" className="quiet self-start" onClick={() => void write()}>
        Write it into this batch
      </button>
    </div>
  )
}

export default function Troubles({ onClose }: { onClose: () => void }) {
  const { running } = useBench()
  const family = useKitchen()?.doughs.get(running.batch.plan.sheet.dough)?.family
  const [stage, setStage] = useState<TroubleStage>(running.step ? specOf(running.step).stage : 'serve')
  const [chosen, setChosen] = useState<Trouble | null>(null)
  const mine = useMemo(
    () => tables().troubles.filter((trouble) => !family || trouble.families.includes(family)),
    [family],
  )
  const stages = TROUBLE_STAGES.filter((each) => mine.some((trouble) => trouble.stage === each))
  return (
    <SidePanel title="Something is wrong" onClose={onClose}>
      {chosen ? (
        <Found trouble={chosen} onBack={() => setChosen(null)} />
      ) : (
        <>
          <label className="mb-3 flex items-center gap-2">
            <span className="small">while</span>
            <Choice
              label="When it shows"
              className="box"
              value={stage}
              options={stages.map((each) => [each, stageWords[each]] as const)}
              onChange={(chosen) => setStage(chosen as TroubleStage)}
            />
          </label>
          <ul aria-label="Signs">
            {mine
              .filter((trouble) => trouble.stage === stage)
              .map((trouble) => (
                <li key={trouble.id}>
                  <button
                    type="button"
                    className="min-h-12 w-full border-b border-line py-2 text-left text-md leading-snug hover:bg-ground"
                    onClick={() => setChosen(trouble)}
                  >
                    {trouble.sign}
                  </button>
                </li>
              ))}
          </ul>
        </>
      )}
    </SidePanel>
  )
}
