/** One editor for everything Gear keeps in lists: a name, a sentence with figures to type over, and whatever is a part's own. */
import { formatNumber, gearParts, ROOM_FOR, type Figure, type Gear, type GearPart, type PartOf } from '@harina/core'
import { nanoid } from 'nanoid'
import { Fragment, type ReactNode } from 'react'
import { addPart, changePart, removePart } from '../../state/gear.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useUnits } from '../../ui/units.ts'
import { gearWords, partWords, type Worded } from '../../words/index.ts'
import { Section } from './Section.tsx'

type Part = PartOf<GearPart>
type Edit<P> = (part: P) => P

/** A figure as it stands, in the maker's units, and the unit behind it. */
function shown({ unit, decimals, share }: Figure, stored: number | null, words: Worded): readonly [string, string] {
  if (stored === null) return ['', '']
  switch (unit) {
    case 'g':
      return [words.massFigure(stored), words.units.mass]
    case 'mm':
      return [words.lengthFigure(stored), words.units.length]
    case '°C':
      return [words.temperatureFigure(stored), words.units.temperature]
    default: {
      const value = share ? 100 * stored : stored
      const isWhole = Math.abs(value - Math.round(value)) < 0.05
      return [formatNumber(value, decimals ?? Number(!isWhole)), unit === '%' ? '%' : '']
    }
  }
}

export interface PartFigureProps {
  readonly label: string
  readonly figure: Figure
  readonly value: number | null
  readonly large?: boolean
  readonly onChange: (value: number) => void
}

/** One figure of a part, with its unit behind it. */
export function PartFigure({ label, figure, value, large = false, onChange }: PartFigureProps) {
  const [text, unit] = shown(figure, value, useUnits())
  const times = figure.share ? 100 : 1
  return (
    <>
      <QuantityField
        label={label}
        shown={text}
        unit={figure.unit}
        min={times * figure.low}
        max={times * figure.high}
        widthCh={Math.max(4, text.length + 1)}
        className={`${large ? 'text-2xl' : 'text-lg'} font-semibold text-ink`}
        onChange={(typed) => onChange(figure.whole ? Math.round(typed) : typed / times)}
      />
      {unit && ` ${unit}`}
    </>
  )
}

/** A sentence with what stands in its braces. */
const filledIn = (sentence: string, slot: (name: string) => ReactNode): ReactNode =>
  sentence.split(/[{}]/).map((words, n) => <Fragment key={n}>{n % 2 === 1 ? slot(words) : words}</Fragment>)

export interface PartListProps<P extends GearPart> {
  readonly part: P
  readonly gear: Gear
  readonly large?: boolean
  /** What a typed figure changes beside itself. */
  readonly follows?: (now: PartOf<P>, before: PartOf<P>) => PartOf<P>
  /** What stands in the sentence that is no figure, by its name there. */
  readonly slots?: (part: PartOf<P>, change: (edit: Edit<PartOf<P>>) => void) => Readonly<Record<string, ReactNode>>
  readonly under?: (part: PartOf<P>, change: (edit: Edit<PartOf<P>>) => void) => ReactNode
  /** Instead of the button that adds a fresh one. */
  readonly adding?: ReactNode
  readonly children?: ReactNode
}

export function PartList<P extends GearPart>(props: PartListProps<P>) {
  const { part, gear, large = false, follows = (now) => now, slots, under, adding, children } = props
  const { list, atLeast, fresh } = gearParts[part]
  const figures: Readonly<Record<string, Figure>> = gearParts[part].figures
  const words = partWords[part]
  const names: Readonly<Record<string, string | undefined>> = words.figures
  const parts = gear[list] as readonly Part[] as readonly PartOf<P>[]
  const add = () => fresh && void addPart(part, { ...fresh, id: nanoid() } as unknown as PartOf<P>)
  return (
    <Section title={words.title} lead={words.lead}>
      {parts.length === 0 && <p className="py-2">{words.empty}</p>}
      <ul>
        {parts.map((each) => {
          const change = (edit: Edit<PartOf<P>>) =>
            void changePart(part, each.id, (before) => follows(edit(before), before))
          const own = slots?.(each, change) ?? {}
          const slot = (name: string) => {
            const figure = figures[name]
            if (!figure) return own[name]
            return (
              <PartFigure
                label={gearWords.figureOf(each.name, names[name] ?? name)}
                figure={figure}
                value={(each as Readonly<Record<string, unknown>>)[name] as number | null}
                large={large}
                onChange={(value) => change((now) => ({ ...now, [name]: value }))}
              />
            )
          }
          return (
            <li key={each.id} className="border-b border-line py-2">
              <div className="flex items-baseline gap-3">
                <TextField
                  className="head min-w-0 flex-1 text-lg"
                  label={gearWords.nameOfThe(words.one)}
                  value={each.name}
                  max={120}
                  required
                  onChange={(name) => change((now) => ({ ...now, name }))}
                />
                {parts.length > atLeast && (
                  <button
                    type="button"
                    className="quiet text-sm"
                    aria-label={gearWords.remove(each.name)}
                    onClick={() => removePart(part, each)}
                  >
                    Remove
                  </button>
                )}
              </div>
              <p className={`small mt-1 ${large ? '' : 'leading-relaxed'}`}>{filledIn(words.sentence, slot)}</p>
              {under?.(each, change)}
            </li>
          )
        })}
      </ul>
      {parts.length < ROOM_FOR &&
        (adding ?? (
          <button type="button" className="quiet mt-2" onClick={add}>
            {words.add}
          </button>
        ))}
      {words.foot && parts.length > 0 && <p className="small mt-1">{words.foot}</p>}
      {children}
    </Section>
  )
}
