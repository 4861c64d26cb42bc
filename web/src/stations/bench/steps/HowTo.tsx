import { benchPieces, toldAsMade, type Shape } from '@harina/core'
import { useBench } from '../view.tsx'

/** How the table shapes it, and what a good one looks like. */
export function HowTo({ shape: listed }: { shape: Shape }) {
  const { batch, state } = useBench().running
  const shape = toldAsMade(listed, benchPieces(batch.plan, state).blank)
  return (
    <div className="grid gap-6 border-t border-line pt-3 md:grid-cols-[1.6fr_1fr]">
      <ol className="list-decimal space-y-1 pl-6 text-lg">
        {shape.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <div>
        <h2 className="head text-lg">Look for</h2>
        <ul className="text-md">
          {shape.checks.map((check) => (
            <li key={check}>{check}</li>
          ))}
        </ul>
      </div>
    </div>
  )
}
