/** A recipe in, its rows in grams out: what was read, how sure it is, what in it cannot be, and the dough it may become. */
import { plainTextFrom, type Ingredient, type Kitchen } from '@harina/core'
import { nearDoughs, sheetOf, toldKey, type Decoded, type Near, type Region } from '@harina/core/recipe'
import { useMemo, useState } from 'react'
import { draftOpened } from '../../state/draftSlice.ts'
import { changeGear } from '../../state/gear.ts'
import { notify } from '../../state/notify.ts'
import { useAppDispatch } from '../../state/store.ts'
import { familyInk } from '../../ui/family.tsx'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { useUnits } from '../../ui/units.ts'
import { contradictionWords, methodTold, offWords } from '../../words/index.ts'
import { usableIngredients } from './IngredientField.tsx'
import { NotUnderstood } from './NotUnderstood.tsx'
import { ReadBand } from './ReadBand.tsx'
import { ReadRows } from './ReadRows.tsx'
import { RecipeSource } from './RecipeSource.tsx'
import { useReading } from './useReading.ts'

interface Props {
  readonly kitchen: Kitchen
  /** What was dropped on the sheet. */
  readonly begin?: string | undefined
  readonly onClose: () => void
}

function Doubts({ decoded }: { decoded: Decoded }) {
  const { mass } = useUnits()
  if (decoded.contradictions.length === 0) return null
  return (
    <ul aria-label="What cannot be" className="flex flex-col gap-2">
      {decoded.contradictions.map((each) => {
        const { title, text } = contradictionWords(each, (grams) => mass(grams))
        return (
          <li key={each.code} className="border-l-5 border-danger pl-3">
            <span className="font-semibold">{title}.</span> <span className="leading-snug">{text}</span>
          </li>
        )
      })}
    </ul>
  )
}

/** The doughs it may be: the nearest first, one is chosen. */
function Nearest({ near, chosen, onChoose }: { near: readonly Near[]; chosen: Near; onChoose: (id: string) => void }) {
  return (
    <div role="group" aria-label="Which dough it is" className="flex flex-col gap-1">
      {near.map((each) => {
        const { dough, shape, offPoints } = each
        return (
          <button
            key={dough.id}
            type="button"
            aria-pressed={each === chosen}
            className="border-l-5 py-1 pl-3 text-left leading-tight hover:underline aria-pressed:bg-ground aria-pressed:font-semibold"
            style={{ borderLeftColor: familyInk[dough.family] }}
            onClick={() => onChoose(dough.id)}
          >
            {dough.name}, {shape.name} <span className="small font-normal">{offWords(offPoints)}</span>
          </button>
        )
      })}
    </div>
  )
}

interface SettledProps {
  readonly text: string
  readonly kitchen: Kitchen
  readonly onForget: (name: string) => void
}

/** Names in the text that were settled before, and a way back. */
function Settled({ text, kitchen, onForget }: SettledProps) {
  const plain = toldKey(text)
  const settled = kitchen.gear.readAs.filter(({ name }) => plain.includes(toldKey(name)))
  if (settled.length === 0) return null
  return (
    <p className="small flex flex-wrap gap-x-3 leading-snug">
      {settled.map(({ name, is }) => (
        <span key={name}>
          “{name}” is {is === null ? 'not of the dough' : (kitchen.ingredients.get(is)?.name ?? 'gone')}{' '}
          <button type="button" className="quiet" aria-label={`Forget what ${name} is`} onClick={() => onForget(name)}>
            forget
          </button>
        </span>
      ))}
    </p>
  )
}

export default function ReadRecipe({ kitchen, begin = '', onClose }: Props) {
  const dispatch = useAppDispatch()
  const { length } = useUnits()
  const [text, setText] = useState(begin)
  const [region, setRegion] = useState<Region | ''>('')
  const [doughId, setDoughId] = useState<string | null>(null)
  const { reading, busy, failed } = useReading(text, region, kitchen)
  const usable = useMemo(() => usableIngredients(kitchen), [kitchen])
  const near = useMemo(() => (reading ? nearDoughs(reading.decoded, reading.text, kitchen) : []), [reading, kitchen])
  const chosen = near.find(({ dough }) => dough.id === doughId) ?? near[0]
  const decoded = reading?.decoded
  const settle = (name: string, is: Ingredient | null) =>
    void changeGear((gear) => ({
      ...gear,
      readAs: [
        ...gear.readAs.filter((each) => toldKey(each.name) !== toldKey(name)),
        { name: plainTextFrom(name, 120), is: is?.id ?? null },
      ],
    }))
  const forget = (name: string) =>
    void changeGear((gear) => ({ ...gear, readAs: gear.readAs.filter((each) => toldKey(each.name) !== toldKey(name)) }))
  const make = () => {
    if (!decoded || !chosen || !reading) return
    const sheet = sheetOf(decoded, chosen, kitchen, reading.text)
    if (!sheet) return
    dispatch(draftOpened({ id: 'draft', formula: null, sheet }))
    notify('Read into a draft', {
      description: sheet.note.endsWith('…')
        ? 'The beginning of its text stands in the note.'
        : 'Its text stands in the note.',
    })
    onClose()
  }
  // A row that nobody knows stands with the others.
  const unread = decoded?.unread.filter(({ text: words }) => decoded.rows.every(({ read }) => read !== words)) ?? []
  const method = decoded ? methodTold(decoded, length) : ''
  return (
    <SidePanel title="Read a recipe" wide="whole" onClose={onClose}>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)] lg:grid-rows-[auto_1fr]">
        <RecipeSource text={text} onText={setText} region={region} onRegion={setRegion} seems={decoded?.region} />
        <div className="flex min-w-0 flex-col gap-4 lg:row-span-2" aria-busy={busy}>
          {failed && (
            <p role="alert" className="border-l-5 border-danger pl-3">
              It could not be read: load the page again. Your text is not kept, so copy it first.
            </p>
          )}
          {!decoded && !failed && (
            <p className="max-w-prose leading-snug text-second">
              {busy ? 'Reading…' : 'What is read stands here, row by row, with the words it came from.'}
            </p>
          )}
          {decoded && (
            <>
              <Doubts decoded={decoded} />
              <ReadRows decoded={decoded} usable={usable} onSettle={settle} />
              {decoded.rows.length === 0 && <p role="status">No amounts were found in it.</p>}
              <NotUnderstood unread={unread} usable={usable} onSettle={settle} />
              <Settled text={text} kitchen={kitchen} onForget={forget} />
              {method && <p className="leading-snug">It also says: {method}.</p>}
              {chosen && (
                <>
                  <ReadBand decoded={decoded} near={chosen} />
                  <Nearest near={near} chosen={chosen} onChoose={setDoughId} />
                </>
              )}
              {!chosen && decoded.rows.length > 0 && (
                <p role="status">
                  For a draft it takes flour and something that wets it, each by an amount: put them into the text.
                </p>
              )}
            </>
          )}
        </div>
        {chosen && (
          <div className="lg:col-start-1 lg:row-start-2">
            <button type="button" className="action" disabled={busy} onClick={make}>
              Make it a draft
            </button>
            <p className="small mt-2 leading-snug">
              {chosen.dough.name}, {chosen.shape.name}. Its text stays as the note; what is unsure says so until it is
              typed.
            </p>
          </div>
        )}
      </div>
    </SidePanel>
  )
}
