/** How this maker works: schools, units, and how much a person eats. */
import {
  COURSES,
  cupRegions,
  CUP_ML,
  EGG_SIZES,
  EGGS,
  type EggSize,
  formatNumber,
  portionGuide,
  portionKey,
  type Course,
  type CupRegion,
  type DoughState,
  type Family,
  type Gear,
  type Kitchen,
  type Units,
} from '@harina/core'
import { changeGear, setGear } from '../../state/gear.ts'
import { FamilyMark, familyName } from '../../ui/family.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { OneOf } from '../../ui/OneOf.tsx'

/** The maker's schools: what a new formula starts by, and what every formula without its own way follows. */
export function Ways({ kitchen }: { kitchen: Kitchen }) {
  const { gear, schools } = kitchen
  const choose = (school: string, position: string) => {
    void changeGear(({ schools: { [school]: _before, ...rest }, ...now }) => ({
      ...now,
      schools: position === '' ? rest : { ...rest, [school]: position },
    }))
  }
  return (
    <Section
      title="Schools I follow"
      lead="New formulas start by these. A formula in the book keeps its ingredients, and follows the rest at once. The Schools drawer shows reasons, and what each would change."
    >
      <ul>
        {schools.map((school) => {
          const position = school.positions.find((each) => each.id === gear.schools[school.id])
          return (
            <li key={school.id} className="border-b border-line">
              <label className="grid items-baseline gap-x-3 sm:grid-cols-[11rem_minmax(0,1fr)]">
                <span className="text-base">{school.topic}</span>
                <Choice
                  label={school.question}
                  className="field min-h-8.5 w-full cursor-pointer truncate border-b-transparent pr-7"
                  value={position?.id ?? ''}
                  none={'as the dough’s table says'}
                  options={school.positions.map((each) => [each.id, `${each.name}: ${each.stance}`] as const)}
                  onChange={(chosen) => choose(school.id, chosen)}
                />
              </label>
            </li>
          )
        })}
      </ul>
    </Section>
  )
}

const cupWords: Readonly<Record<CupRegion, string>> = {
  us: 'United States',
  metric: 'metric',
  imperial: 'imperial',
  japan: 'Japan, Korea',
  china: 'China, Taiwan',
}

const eggWords: Readonly<Record<EggSize, string>> = {
  any: 'of any size',
  'eu-s': 'Europe, small',
  'eu-m': 'Europe, medium',
  'eu-l': 'Europe, large',
  'eu-xl': 'Europe, extra large',
  'us-m': 'North America, medium',
  'us-l': 'North America, large',
  'us-xl': 'North America, extra large',
  'au-m': 'Australia, medium',
  'au-l': 'Australia, large',
  'au-xl': 'Australia, extra large',
  'jp-ms': 'Japan, MS',
  'jp-m': 'Japan, M',
  'jp-l': 'Japan, L',
}

/** How large a thing is that makers count in. */
function WhatItIs<T extends string>({
  name,
  value,
  options,
  onChange,
}: {
  name: string
  value: T
  options: readonly (readonly [T, string])[]
  onChange: (chosen: T) => void
}) {
  return (
    <label className="grid items-center gap-x-3 sm:grid-cols-[6.5rem_minmax(0,1fr)]">
      <span className="text-base">{name}</span>
      <Choice
        label={name}
        className="box min-h-10"
        value={value}
        options={options}
        onChange={(chosen) => onChange(chosen as T)}
      />
    </label>
  )
}

export function UnitsUsed({ gear }: { gear: Gear }) {
  const set = (part: Partial<Units>) => void changeGear((now) => ({ ...now, units: { ...now.units, ...part } }))
  const { mass, temperature, length, volume, cup, egg } = gear.units
  const same = <T extends string>(values: readonly T[]) => values.map((value): readonly [T, string] => [value, value])
  return (
    <Section title="Units" lead="What is shown, and what a bare figure means. Others can be typed: 2 lb, 70 °F.">
      <OneOf
        name="Mass"
        options={same<Units['mass']>(['g', 'kg', 'oz', 'lb'])}
        value={mass}
        onChange={(next) => set({ mass: next })}
      />
      <OneOf
        name="Temperature"
        options={same<Units['temperature']>(['°C', '°F'])}
        value={temperature}
        onChange={(next) => set({ temperature: next })}
      />
      <OneOf
        name="Length"
        options={[
          ['mm', 'mm'],
          ['in', 'inches'],
        ]}
        value={length}
        onChange={(next) => set({ length: next })}
      />
      <OneOf
        name="Volume"
        options={[
          ['ml', 'ml'],
          ['cup', 'cups'],
        ]}
        value={volume}
        onChange={(next) => set({ volume: next })}
      />
      <WhatItIs
        name="A cup is"
        value={cup}
        options={cupRegions.map((region) => [region, `${cupWords[region]}, ${formatNumber(CUP_ML[region], 0)} ml`])}
        onChange={(chosen) => set({ cup: chosen })}
      />
      <WhatItIs
        name="An egg is"
        value={egg}
        options={EGG_SIZES.map((size) => [size, `${eggWords[size]}, ${formatNumber(EGGS[size].wholeG, 0)} g`])}
        onChange={(chosen) => set({ egg: chosen })}
      />
    </Section>
  )
}

function GuideCell({
  gear,
  family,
  course,
  state,
  grams,
}: {
  gear: Gear
  family: Family
  course: Course
  state: DoughState
  grams: number
}) {
  const { massFigure } = useUnits()
  const key = portionKey(family, course, state)
  return (
    <QuantityField
      label={`${familyName[family]}, ${course}, ${state}, grams a person`}
      shown={massFigure(grams)}
      unit="g"
      min={1}
      max={2000}
      widthCh={4.6}
      className={`text-md ${key in gear.portions ? 'font-semibold' : ''}`}
      onChange={(next) => void changeGear((now) => ({ ...now, portions: { ...now.portions, [key]: next } }))}
    />
  )
}

/** How much a person eats: the guide that portions start from, each figure the maker's to put right. */
export function Portions({ gear }: { gear: Gear }) {
  const { units } = useUnits()
  return (
    <Section
      title="How much a person eats"
      lead={`Dough in ${units.mass}: fresh, dried below it; filled without filling. Yours in bold.`}
    >
      <table className="w-full text-right">
        <thead className="small">
          <tr>
            <th className="text-left font-normal">
              <span className="sr-only">Family</span>
            </th>
            {COURSES.map((course) => (
              <th key={course} scope="col" className="font-normal">
                {course}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="figure">
          {portionGuide(gear.portions).map(({ family, courses }) => (
            <tr key={family} className="border-b border-line align-top">
              <th scope="row" className="py-1 text-left font-normal">
                <span className="inline-flex items-center gap-2 text-label">
                  <FamilyMark family={family} /> {familyName[family]}
                </span>
              </th>
              {courses.map(({ course, freshG, driedG }) => (
                <td key={course} className="py-1">
                  <GuideCell gear={gear} family={family} course={course} state="fresh" grams={freshG} />
                  {driedG !== null && (
                    <span className="block text-second">
                      <GuideCell gear={gear} family={family} course={course} state="dried" grams={driedG} />
                    </span>
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {Object.keys(gear.portions).length > 0 && (
        <button type="button" className="quiet mt-2" onClick={() => void setGear({ portions: {} })}>
          Back to the guide
        </button>
      )}
    </Section>
  )
}
