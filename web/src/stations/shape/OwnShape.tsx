/** A shape of the maker's own, by its dimensions: begun from the one on the board. */
import {
  blankG,
  formatNumber,
  ownShapeSchema,
  toldBy,
  plainTextFrom,
  resized,
  windowFor,
  type Blank,
  type Dough,
  type Family,
  type OwnShape,
  type Shape,
  type Window,
  type Worked,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { editDraft } from '../../state/editDraft.ts'
import { notify } from '../../state/notify.ts'
import { usersOfKept } from '../../state/users.ts'
import { put, say, sayRemoved } from '../../state/workspace.ts'
import { BlankDrawing } from '../../ui/BlankDrawing.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { tables } from '../../state/tables.ts'
import { useUnits } from '../../ui/units.ts'
import { inUse, spanOfMinutes } from '../../words/index.ts'

/** What can be measured of a blank, in words. */
const measures: Readonly<Record<string, string>> = {
  diameterMm: 'thickness of the rope',
  cutMm: 'length of the cut',
  thicknessMm: 'thickness',
  widthMm: 'width',
  lengthMm: 'length',
  outerMm: 'die, outside',
  innerMm: 'die, inside',
  openAreaMm2: 'open area of one outlet, mm²',
  holeMm: 'hole',
}

const numbersOf = (blank: Blank): readonly (readonly [string, number])[] =>
  Object.entries(blank).flatMap(([key, value]) =>
    typeof value === 'number' && key in measures ? [[key, value] as const] : [],
  )

interface LengthProps {
  readonly label: string
  readonly mm: number
  readonly onChange: (mm: number) => void
}

function Length({ label, mm, onChange }: LengthProps) {
  const { gapFigure, units } = useUnits()
  const area = label.endsWith('mm²')
  return (
    <label className="flex items-baseline gap-2 border-b border-line py-1">
      <span className="flex-1">{label}</span>
      <QuantityField
        label={label}
        shown={area ? String(Number(mm.toFixed(2))) : gapFigure(mm)}
        unit={area ? 'count' : 'mm'}
        min={0.1}
        max={area ? 2000 : 1500}
        widthCh={7}
        className="figure text-lg font-semibold"
        onChange={onChange}
      />
      {!area && <span className="small">{units.length}</span>}
    </label>
  )
}

function Windows({ window, onChange }: { window: Window; onChange: (window: Window) => void }) {
  const field = (key: keyof Window, label: string) => (
    <QuantityField
      label={label}
      shown={String(window[key])}
      unit="%"
      min={0}
      max={300}
      widthCh={4}
      className="figure text-lg font-semibold"
      onChange={(value) => onChange({ ...window, [key]: value })}
    />
  )
  const wrong = !(window.low <= window.best && window.best <= window.high)
  return (
    <div>
      <p>
        from {field('low', 'Lowest')} best {field('best', 'Best')} to {field('high', 'Highest')}
      </p>
      {wrong && (
        <p role="alert" className="border-l-5 border-danger pl-2">
          The best lies between the lowest and the highest.
        </p>
      )}
    </div>
  )
}

const plain = (figure: number): string => formatNumber(figure, figure % 1 === 0 ? 0 : 1)

/** Another one when a size is: what the steps name then is another length. */
const sizesKey = ({ blank, form, wallMm }: Shape): string => JSON.stringify([blank, form, wallMm])

const isOwn = (shape: Shape): boolean => !tables().shapeRows.some((row) => row.id === shape.id)

interface PartProps {
  readonly shape: Shape
  readonly onChange: (shape: Shape) => void
}

/** What it is cut from, and the finished piece: each size, drawn as it changes. */
function Sizes({ shape, family, onChange }: PartProps & { family: Family }) {
  const form = shape.form as Shape['form'] & { readonly lengthMm: number; readonly widthMm: number }
  const resized = (part: { lengthMm?: number; widthMm?: number }) =>
    onChange({ ...shape, form: { ...form, ...part } as Shape['form'] })
  return (
    <div className="grid gap-x-6 md:grid-cols-2">
      <div>
        <h3 className="head">What it is cut from</h3>
        {numbersOf(shape.blank).map(([key, value]) => (
          <Length
            key={key}
            label={shape.blank.type === 'disc' && key === 'diameterMm' ? 'width of the round' : measures[key]!}
            mm={value}
            onChange={(mm) => onChange({ ...shape, blank: { ...shape.blank, [key]: mm } as Blank })}
          />
        ))}
        <BlankDrawing blank={shape.blank} family={family} width={250} />
      </div>
      <div>
        <h3 className="head">The finished piece</h3>
        <Length label="finished length" mm={form.lengthMm} onChange={(lengthMm) => resized({ lengthMm })} />
        <Length label="finished width" mm={form.widthMm} onChange={(widthMm) => resized({ widthMm })} />
        <Length
          label="thickness of the dough"
          mm={shape.wallMm}
          onChange={(wallMm) => onChange({ ...shape, wallMm })}
        />
        <div className="mt-3">
          <ShapeEngraving shape={shape} width={250} height={130} withScale />
        </div>
      </div>
    </div>
  )
}

function Steps({ shape, onChange }: PartProps) {
  return (
    <label className="flex flex-col">
      <span className="small">Steps, a line each</span>
      <textarea
        className="box min-h-27.5"
        defaultValue={toldBy(shape, {}).steps.join('\n')}
        maxLength={6000}
        onChange={(event) => {
          const steps = event.target.value
            .split('\n')
            .map((line) => plainTextFrom(line.trim(), 400))
            .filter(Boolean)
          onChange({ ...shape, steps: steps.slice(0, 30) })
        }}
      />
    </label>
  )
}

/** One of the table's with another name, or one's own as it stands; with a window for the dough at hand. */
const begunFrom = (from: Shape, dough: Dough, newId: string | null): Shape => ({
  ...from,
  ...(newId === null ? {} : { id: newId, name: `Our ${from.name}`.slice(0, 120), otherNames: [from.name] }),
  doughs: [
    { dough: dough.id, window: windowFor(from, dough).window },
    ...from.doughs.filter((each) => each.dough !== dough.id),
  ],
})

export function OwnShapePanel({ worked, onClose }: { worked: Worked; onClose: () => void }) {
  const { shape: from, dough } = worked
  const own = isOwn(from)
  const [shape, setShape] = useState<Shape>(() => begunFrom(from, dough, own ? null : nanoid()))
  const window = shape.doughs[0]!.window
  const { mass } = useUnits()
  const checked = ownShapeSchema.safeParse(shape)
  const keep = async () => {
    if (!checked.success) return
    const kept = put('shape', checked.data)
    editDraft((now) => ({ ...now, shape: shape.id }))
    void say(`${shape.name} is kept`, kept)
    if (await kept.stored) onClose()
  }
  const remove = () => {
    const users = usersOfKept('shape', from.id).filter(({ kind }) => kind !== 'draft')
    if (users.length > 0) return notify(`${from.name} is in use`, { description: inUse(users) })
    const back = tables().shapeRows.find((row) => row.doughs.some((each) => each.dough === dough.id))
    if (back) editDraft((now) => ({ ...now, shape: back.id }))
    sayRemoved('shape', from as OwnShape)
    return onClose()
  }
  return (
    <SidePanel title={own ? 'Your own shape' : `Make ${from.name} your own`} onClose={onClose} wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault()
          void keep()
        }}
      >
        <label className="flex flex-col">
          <span className="small">Name</span>
          <input
            className="box"
            value={shape.name}
            maxLength={120}
            onChange={(event) => setShape({ ...shape, name: plainTextFrom(event.target.value, 120) })}
          />
        </label>
        <Sizes shape={shape} family={dough.family} onChange={(next) => setShape(resized(from, shape, next))} />
        <p>
          Each takes {mass(blankG(worked.batch.densityGPerCm3, shape.blank), 0.1)} of dough. It cooks{' '}
          {spanOfMinutes(...shape.cookFreshMin)} fresh
          {shape.cookDriedMin && `, ${spanOfMinutes(...shape.cookDriedMin)} dried`}; practised hands make about{' '}
          {plain(shape.piecesPerMin.practised)} {shape.paceOf} a minute.
          <span className="small block">
            Times and pace follow the sizes, and so do tools and steps that name them.
          </span>
        </p>
        <div>
          <h3 className="head">
            {dough.control.by === 'base' ? `Flour on 100 of ${dough.control.base}` : 'Water on 100 of flour'}, in{' '}
            {dough.name}
          </h3>
          <Windows
            window={window}
            onChange={(next) =>
              setShape({ ...shape, doughs: [{ dough: dough.id, window: next }, ...shape.doughs.slice(1)] })
            }
          />
        </div>
        <Steps key={sizesKey(shape)} shape={shape} onChange={setShape} />
        {!checked.success && (
          <p role="alert" className="border-l-5 border-danger pl-3">
            {shape.name.trim() === ''
              ? 'Give it a name.'
              : shape.steps.length < 2
                ? 'Write two steps at the least.'
                : 'One of the figures cannot be. Look for a size of nothing, or a form wider than two metres.'}
          </p>
        )}
        <div className="flex items-center gap-4">
          <button
            type="submit"
            className="action"
            disabled={!checked.success || !(window.low <= window.best && window.best <= window.high)}
          >
            Keep it
          </button>
          {own && (
            <button type="button" className="quiet" onClick={remove}>
              Remove it
            </button>
          )}
        </div>
      </form>
    </SidePanel>
  )
}
