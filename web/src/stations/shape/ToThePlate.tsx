/** From the board to the plate: airing, cooking, keeping, and what goes with it. */
import { formatNumber, saucesFor, type Shape, type Worked } from '@harina/core'
import { tables } from '../../state/tables.ts'
import { Titled } from './Titled.tsx'
import { traitWords } from '../../words/index.ts'

/** No tenth where there is none. */
const plain = (value: number): string => formatNumber(value, Number.isInteger(value) ? 0 : 1)

const span = ([from, to]: Shape['cookFreshMin'], unit: string): string =>
  from === to ? `${plain(from)} ${unit}` : `${plain(from)} to ${plain(to)} ${unit}`

function Facts({ rows }: { rows: readonly (readonly [string, string])[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4">
      {rows.map(([name, words]) => (
        <div key={name} className="contents">
          <dt className="text-second">{name}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  )
}

const many = (count: number, unit: string): string => (count === 0 ? 'not' : `${plain(count)} ${unit}`)

function keepRows({ keep, fillingG }: Shape): readonly (readonly [string, string])[] {
  return [
    ['on the board', keep.roomH === 0 ? 'straight into the pot' : `${plain(keep.roomH)} h at the most`],
    ['in the fridge', many(keep.fridgeDays, keep.fridgeDays === 1 ? 'day' : 'days')],
    ['frozen', many(keep.freezerMonths, keep.freezerMonths === 1 ? 'month' : 'months')],
    [
      'dried',
      keep.driedMonths === null
        ? 'do not dry it in room air'
        : `${formatNumber(keep.driedMonths, 0)} months in a closed jar`,
    ],
    ...(fillingG ? ([['filled', 'as long as the filling keeps, and never longer than the bare piece']] as const) : []),
  ]
}

export function ToThePlate({ shape, worked }: { shape: Shape; worked: Worked }) {
  const matches = saucesFor(shape, tables().sauces)
  const listed = matches.filter((match) => match.listed)
  const also = matches.filter((match) => !match.listed && match.because.length > 1)
  const [airFrom, airTo] = shape.airBeforeCookMin
  return (
    <div className="grid gap-x-8 gap-y-4 text-base leading-snug md:grid-cols-[1fr_1.25fr]">
      <div className="flex flex-col gap-4">
        <Titled title="Cook">
          <Facts
            rows={[
              ['air first', airTo === 0 ? 'not needed' : span([airFrom, airTo], 'min')],
              [
                'fresh',
                shape.cookFreshMin[1] === 0
                  ? 'steamed or baked, not boiled'
                  : span(shape.cookFreshMin, 'min from the return of the boil'),
              ],
              ...(shape.cookDriedMin ? ([['dried', span(shape.cookDriedMin, 'min')]] as const) : []),
              ['frozen', 'a minute or two more; do not thaw'],
              ['done', shape.doneSign],
              [
                'pot',
                `${formatNumber(worked.dough.pot.litresPer100G * 10, 0)} L a kilo, ${worked.dough.pot.saltGPerL === 0 ? 'no salt' : `${formatNumber(worked.dough.pot.saltGPerL, 0)} g salt a litre`}`,
              ],
            ]}
          />
        </Titled>
        <Titled title="Keep">
          <Facts rows={keepRows(shape)} />
          <p className="small mt-1">The stricter limit of dough, filling, house and local food rules wins.</p>
        </Titled>
      </div>
      <Titled title="Goes with">
        <ul>
          {listed.map(({ sauce, because }) => (
            <li key={sauce.id} className="border-b border-line py-1">
              <span className="font-semibold">{sauce.name}</span>{' '}
              <span className="text-second">
                {because.length > 0 ? because.map((trait) => traitWords[trait]).join(', ') : 'by custom'}
              </span>
            </li>
          ))}
        </ul>
        {also.length > 0 && (
          <p className="mt-2">
            Its form would also carry {also.map(({ sauce }) => sauce.name.toLowerCase()).join(', ')}.
          </p>
        )}
      </Titled>
    </div>
  )
}
