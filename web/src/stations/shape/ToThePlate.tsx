/** From the board to the plate: airing, cooking, keeping, and what goes with it. */
import {
  airing,
  benchC,
  cookMinAs,
  fillingOf,
  formatNumber,
  frozenMore,
  isFilled,
  keepingOf,
  saucesFor,
  type Keeping,
  type Shape,
  type Worked,
} from '@harina/core'
import { useKitchen } from '../../state/select.ts'
import { tables } from '../../state/tables.ts'
import { Titled } from './Titled.tsx'
import {
  aboutMinutes,
  hoursWords,
  driedWords,
  monthsWords,
  spanOfMinutes,
  traitWords,
  wetWords,
} from '../../words/index.ts'

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

/** Of this dough as this shape: what is in it decides, the table only where nothing was said. */
function keepRows(keeping: Keeping): readonly (readonly [string, string])[] {
  const { roomMin, fridgeH, freezerMonths, driedMonths } = keeping
  const wet = wetWords(keeping)
  return [
    ['on the board', roomMin === 0 ? 'straight into the pot' : `${hoursWords(roomMin / 60)} at the most`],
    ['in the fridge', fridgeH === 0 ? 'not' : `${hoursWords(fridgeH)} at the most`],
    ['frozen', freezerMonths === 0 ? 'not' : monthsWords(freezerMonths)],
    [
      'dried',
      driedMonths !== null
        ? `in a closed jar ${driedWords(keeping)}`
        : wet
          ? `never in room air: ${wet}`
          : 'not this shape',
    ],
  ]
}

export function ToThePlate({ shape, worked }: { shape: Shape; worked: Worked }) {
  const matches = saucesFor(shape, tables().sauces)
  const listed = matches.filter((match) => match.listed)
  const also = matches.filter((match) => !match.listed && match.because.length > 1)
  const kitchen = useKitchen()
  const keeping = kitchen ? keepingOf(worked, shape, kitchen) : worked.keeping
  const minutes = kitchen ? cookMinAs(worked, shape, kitchen) : shape.cookFreshMin
  const filling = isFilled(worked.sheet, shape) ? fillingOf(worked.sheet, shape) : null
  const [airFrom, airTo] = airing(shape.airBeforeCookMin, keeping, kitchen ? benchC(kitchen) : 20)
  return (
    <div className="grid gap-x-8 gap-y-4 text-base leading-snug md:grid-cols-[1fr_1.25fr]">
      <div className="flex flex-col gap-4">
        <Titled title="Cook">
          <Facts
            rows={[
              [
                'air first',
                airTo === 0
                  ? 'not needed'
                  : airFrom === 0
                    ? `up to ${plain(airTo)} min`
                    : span([airFrom, airTo], 'min'),
              ],
              [
                'fresh',
                shape.cookFreshMin[1] === 0
                  ? 'steamed or baked, not boiled'
                  : `${aboutMinutes(minutes)}${shape.heat ? '' : ' from the return of the boil'}`,
              ],
              ...(shape.cookDriedMin && keeping.driedMonths !== null
                ? ([['dried', spanOfMinutes(...shape.cookDriedMin)]] as const)
                : []),
              ['frozen', `${aboutMinutes(frozenMore(filling))} more; do not thaw`],
              ['done', shape.doneSign],
              [
                'pot',
                `${formatNumber(worked.dough.pot.litresPer100G * 10, 0)} L a kilo, ${worked.practice.potSaltGPerL === 0 ? 'no salt' : `${formatNumber(worked.practice.potSaltGPerL, 0)} g salt a litre`}`,
              ],
            ]}
          />
        </Titled>
        <Titled title="Keep">
          <Facts rows={keepRows(keeping)} />
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
