/** A press: outlets, flow, when to feed, how long it runs, and when the barrel rests. */
import { formatNumber, pressFor, pressOnPaper, type Kitchen, type ShapeShare, type Worked } from '@harina/core'
import { Link } from 'react-router'
import { useUnits } from '#web/ui/units.ts'
import { Figure } from './PieceFigures.tsx'
import { Choice } from '#web/ui/Choice.tsx'
import { useMachines } from './useMachines.ts'
import { counted, pressWords } from '#web/words/index.ts'
import { Term } from '#web/ui/Term.tsx'

export function ThroughPress({ part, worked, kitchen }: { part: ShapeShare; worked: Worked; kitchen: Kitchen }) {
  const { presses } = kitchen.gear
  const change = useMachines(worked)
  const { mass, massFigure, units } = useUnits()
  const press = pressFor(worked.sheet, kitchen)
  if (part.shape.blank.type !== 'die') return null
  const plan = press && pressOnPaper(worked, part, press, kitchen)
  return (
    <section aria-label="Through the press">
      <h2 className="head mb-1 flex flex-wrap items-baseline gap-x-3 text-lg">
        Through the press
        {presses.length > 1 ? (
          <Choice
            label="Press"
            className="field small"
            value={press?.id ?? ''}
            options={presses.map((each) => [each.id, each.name] as const)}
            onChange={(chosen) => change({ press: chosen })}
          />
        ) : (
          <span className="small font-normal">{press?.name}</span>
        )}
      </h2>
      {plan && press ? (
        <>
          <div className="grid grid-cols-2 gap-x-6 gap-y-3 md:grid-cols-5">
            <Figure label="outlets" figure={formatNumber(plan.outlets, 0)} note="as its die has room for" />
            <Figure
              label="cuts a minute"
              figure={formatNumber(plan.piecesPerMin / plan.outlets, 0)}
              note={`${counted(plan.piecesPerMin, 'piece')} a minute`}
            />
            <Figure
              label={plan.takes?.as === 'dough' ? 'feed, in balls' : 'feed'}
              figure={massFigure(press.lumpG, 1)}
              unit={units.mass}
              note={`every ${formatNumber(plan.lumpEveryS, plan.lumpEveryS < 10 ? 1 : 0)} s`}
            />
            <Figure
              label="run"
              figure={formatNumber(plan.runMin, plan.runMin < 10 ? 1 : 0)}
              unit="min"
              note={`${massFigure(plan.massFlowGPerMin, 1)} ${units.mass} a minute`}
            />
            <Figure
              label="with rests"
              figure={formatNumber(plan.wholeMin, 0)}
              unit="min"
              note={
                plan.rests === 0
                  ? 'no rest needed'
                  : `${formatNumber(plan.rests, 0)} ${plan.rests === 1 ? 'rest' : 'rests'} of ${formatNumber(press.restMin, 0)} min, so the barrel cools`
              }
            />
          </div>
          <p className="mt-2 leading-snug" role={plan.takes?.judged.grade === 'out' ? 'alert' : undefined}>
            {pressWords(plan, press)} The first {mass(plan.firstDiscardG, 1)} go back in with the rest. Never reach into
            a running feed: use its pusher, and pull the plug before clearing a <Term of="die">die</Term>.
          </p>
        </>
      ) : (
        <p>
          Describe your press in{' '}
          <Link to="/gear/machines" className="underline">
            Gear
          </Link>
          , and its run stands here.
        </p>
      )}
    </section>
  )
}
