import type { Shape } from '@harina/core'
import { Lines, Titled } from './Titled.tsx'
import { surfaceFlourWords } from '../../words/index.ts'

export const How = ({ shape }: { shape: Shape }) => (
  <div className="grid gap-x-8 gap-y-2 leading-snug md:grid-cols-[1.7fr_1fr]">
    <Titled title="How">
      <ol className="list-decimal space-y-1 pl-5 text-md">
        {shape.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </Titled>
    <Titled title="Look for">
      <Lines items={shape.checks} />
    </Titled>
  </div>
)

export function ToolsAndTroubles({ shape }: { shape: Shape }) {
  const { learner, practised, quick } = shape.piecesPerMin
  return (
    <div className="grid gap-x-8 gap-y-4 text-base leading-snug md:grid-cols-[1.2fr_1fr]">
      <Titled title="With">
        <ul>
          {shape.tools.map(({ tool, instead }) => (
            <li key={tool}>
              {tool} <span className="text-second">or {instead.charAt(0).toLowerCase() + instead.slice(1)}</span>
            </li>
          ))}
        </ul>
        <p className="mt-2">
          <span className="font-semibold">Under it, {surfaceFlourWords[shape.surfaceFlour]}.</span> {shape.board}
        </p>
        <p className="mt-2">
          {practised} {shape.paceOf} a minute in practised hands; {learner} while learning, {quick} at full speed.
        </p>
      </Titled>
      <Titled title="What goes wrong">
        <table className="w-full text-left">
          <thead className="sr-only">
            <tr>
              <th>Sign</th>
              <th>Cause and remedy</th>
            </tr>
          </thead>
          <tbody>
            {shape.mistakes.map(({ sign, cause, remedy }) => (
              <tr key={sign} className="border-b border-line align-top">
                <th scope="row" className="w-[42%] py-1 pr-3 font-semibold">
                  {sign}
                </th>
                <td className="py-1">
                  {cause}: <span className="text-second">{remedy}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Titled>
      <Titled title="Off its window">
        <p>
          Too stiff, it {shape.tooStiff}. Too soft, it {shape.tooSoft}.
        </p>
      </Titled>
    </div>
  )
}
