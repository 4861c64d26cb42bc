/** From an empty sheet to a dough: the family, the dough, the shape and for how many. */
import { Radio, RadioGroup } from '@headlessui/react'
import { FAMILIES, shapesFor, startSheet, type Family, type Kitchen } from '@harina/core'
import { useMemo, useState } from 'react'
import { draftOpened } from '../../state/draftSlice.ts'
import { useAppDispatch } from '../../state/store.ts'
import { FamilyMark, familyInk, familyName } from '../../ui/family.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { Choice } from '../../ui/Choice.tsx'

function Families({ chosen, onChoose }: { chosen: Family; onChoose: (family: Family) => void }) {
  return (
    <div className="mb-4">
      <p className="small mb-1" aria-hidden="true">
        Family
      </p>
      <RadioGroup value={chosen} onChange={onChoose} aria-label="Family" className="grid grid-cols-2 gap-2">
        {FAMILIES.map((family) => (
          <Radio
            key={family}
            value={family}
            className="flex min-h-13 cursor-pointer items-center gap-3 border border-second px-3 data-checked:border-2 data-checked:border-ink data-checked:font-semibold"
            style={{ borderLeftWidth: 6, borderLeftColor: familyInk[family] }}
          >
            <FamilyMark family={family} size={20} /> {familyName[family]}
          </Radio>
        ))}
      </RadioGroup>
    </div>
  )
}

interface NamedProps {
  readonly label: string
  readonly value: string
  readonly options: readonly { readonly id: string; readonly name: string }[]
  readonly onChange: (id: string) => void
}

function NamedChoice({ label, value, options, onChange }: NamedProps) {
  return (
    <label className="mb-4 block">
      <span className="small mb-1 block">{label}</span>
      <Choice
        label={label}
        className="box min-h-12 w-full text-md"
        value={value}
        options={options.map((option) => [option.id, option.name] as const)}
        onChange={onChange}
      />
    </label>
  )
}

/** Each choice starts from the one before it: another family, its first dough; another dough, its first shape. */
function useChoices(kitchen: Kitchen, begin: string | undefined) {
  const asked = kitchen.doughs.get(begin ?? '')
  const [family, setFamily] = useState<Family>(asked?.family ?? 'semolina')
  const [doughId, setDough] = useState(asked?.id ?? '')
  const [shapeId, setShape] = useState('')
  const doughs = useMemo(
    () => [...kitchen.doughs.values()].filter((dough) => dough.family === family),
    [kitchen.doughs, family],
  )
  const dough = doughs.find((each) => each.id === doughId) ?? doughs[0]
  const shapes = useMemo(() => (dough ? shapesFor(dough, [...kitchen.shapes.values()]) : []), [dough, kitchen.shapes])
  const shape = shapes.find((each) => each.id === shapeId) ?? shapes[0]
  return { family, setFamily, doughs, dough, setDough, shapes, shape, setShape }
}

interface Props {
  readonly kitchen: Kitchen
  /** The dough it begins with, where one was asked for. */
  readonly begin?: string | undefined
  readonly onRead: () => void
  readonly onClose: () => void
}

export default function NewFormula({ kitchen, begin: asked, onRead, onClose }: Props) {
  const dispatch = useAppDispatch()
  const { family, setFamily, doughs, dough, setDough, shapes, shape, setShape } = useChoices(kitchen, asked)
  const [count, setCount] = useState(4)
  const begin = () => {
    if (!dough || !shape) return
    const sheet = startSheet(dough, shape, kitchen)
    const target = sheet.target.by === 'portions' ? { ...sheet.target, count } : sheet.target
    dispatch(draftOpened({ id: 'draft', formula: null, sheet: { ...sheet, target } }))
    onClose()
  }
  return (
    <SidePanel title="A new formula" onClose={onClose}>
      <p className="mb-5 flex flex-wrap items-baseline gap-3">
        <button type="button" className="box min-h-11 font-semibold" onClick={onRead}>
          Read a recipe
        </button>
        <span className="small">of cups, ounces and words, pasted or dropped; or begin here:</span>
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          begin()
        }}
      >
        <Families chosen={family} onChoose={setFamily} />
        <NamedChoice label="Dough" value={dough?.id ?? ''} options={doughs} onChange={setDough} />
        <NamedChoice label="Shape" value={shape?.id ?? ''} options={shapes} onChange={setShape} />
        <p className="mb-4 text-md">
          for{' '}
          <QuantityField
            label="Portions to begin with"
            shown={String(count)}
            unit="count"
            min={0.5}
            max={10_000}
            className="text-4xl font-semibold"
            widthCh={5}
            onChange={setCount}
          />{' '}
          portions
        </p>
        <button type="submit" className="action">
          Start this draft
        </button>
        <p className="small mt-4 leading-snug">
          It starts with the flour the dough’s windows are written for and everything at its best, by the schools you
          follow. Every figure can be changed, and rows added, on the sheet.
        </p>
        {dough?.note && <p className="mt-3 border-l-2 border-second pl-3 leading-snug">{dough.note}</p>}
      </form>
    </SidePanel>
  )
}
