import { formatPercent, type Dough, type Formula, type Kitchen, type Sheet } from '@harina/core'
import { formatDistanceToNowStrict } from 'date-fns'
import { useLiveQuery } from 'dexie-react-hooks'
import { draftOpened } from '../../state/draftSlice.ts'
import { useAppDispatch } from '../../state/store.ts'
import { exportFormula } from '../../storage/files.ts'
import { repository } from '../../storage/index.ts'
import { FamilyMark, familyName } from '../../ui/family.tsx'
import { SidePanel } from '../../ui/SidePanel.tsx'

/** A plain sheet for a dough: its first flour, water at the best of the hand window, and six portions. */
export function plainSheet(dough: Dough, kitchen: Kitchen): Sheet {
  const flour =
    dough.id === 'sw-hand'
      ? [['durum-semolina-remilled', 100]]
      : [
          ['durum-semolina-remilled', 50],
          ['soft-00', 50],
        ]
  const shape = [...kitchen.shapes.values()].find((candidate) =>
    candidate.doughs.some((entry) => entry.dough === dough.id),
  )
  const place = kitchen.gear.places[0]
  return {
    name: dough.name,
    dough: dough.id,
    shape: shape?.id ?? 'one-dent-shells',
    rows: [
      ...flour.map(([ingredient, percent], index) => ({
        key: `flour-${index + 1}`,
        ingredient: String(ingredient),
        amount: { by: 'percent' as const, percent: Number(percent) },
        flour: true as const,
      })),
      {
        key: 'water',
        ingredient: 'water-warm',
        amount: { by: 'hydration', percent: dough.windows.hand?.best ?? 50, basis: 'basis14' },
      },
      { key: 'salt', ingredient: 'salt-fine', amount: { by: 'percent', percent: 1 } },
    ],
    target: { by: 'portions', count: 6, gramsEach: 110 },
    lossPercent: 1.5,
    flourState: place ? { by: 'place', place: place.id } : { by: 'typed', moisture: 0.14 },
    useLearned: true,
    note: '',
  }
}

function waterOf(sheet: Sheet): string {
  const water = sheet.rows.find((row) => row.amount.by === 'hydration')?.amount
  return water?.by === 'hydration' ? `${formatPercent(water.percent)} %` : ''
}

function Entry({
  formula,
  kitchen,
  lastMade,
  onOpen,
}: {
  formula: Formula
  kitchen: Kitchen
  lastMade: string | undefined
  onOpen: () => void
}) {
  const { sheet } = formula
  const family = kitchen.doughs.get(sheet.dough)?.family ?? 'semolina'
  return (
    <li className="border-b border-line py-3">
      <div className="flex items-baseline gap-3">
        <span className="self-center">
          <FamilyMark family={family} size={20} />
        </span>
        <button type="button" className="head flex-1 py-1 text-left text-xl hover:underline" onClick={onOpen}>
          {sheet.name}
        </button>
        <span className="figure text-xl font-semibold">{waterOf(sheet)}</span>
      </div>
      <p className="small">
        {familyName[family]} · {kitchen.shapes.get(sheet.shape)?.name ?? sheet.shape} ·{' '}
        {lastMade ? `made ${formatDistanceToNowStrict(lastMade, { addSuffix: true })}` : 'not made yet'}
      </p>
      {sheet.note && <p className="mt-1 leading-snug">{sheet.note}</p>}
      <button type="button" className="quiet mt-2 text-[14px]" onClick={() => void exportFormula(formula)}>
        Export this formula
      </button>
    </li>
  )
}

export default function FormulaBook({ kitchen, onClose }: { kitchen: Kitchen; onClose: () => void }) {
  const dispatch = useAppDispatch()
  const formulas = useLiveQuery(() => repository.formulas())
  const closed = useLiveQuery(() => repository.closedBatches())
  const lastMade = (id: string) =>
    closed
      ?.filter((batch) => batch.plan.formula === id)
      .map((batch) => batch.plan.at)
      .sort()
      .at(-1)
  const open = (sheet: Sheet, formula: string | null) => {
    dispatch(draftOpened({ id: 'draft', formula, sheet }))
    onClose()
  }
  return (
    <SidePanel title="Formula book" onClose={onClose}>
      {formulas?.length === 0 && <p>Your formulas would stand here. Start one below; it is kept as you change it.</p>}
      <ul>
        {formulas?.map((formula) => (
          <Entry
            key={formula.id}
            formula={formula}
            kitchen={kitchen}
            lastMade={lastMade(formula.id)}
            onOpen={() => open(formula.sheet, formula.id)}
          />
        ))}
      </ul>
      <h3 className="head mt-6 mb-2 text-lg">Start a plain sheet</h3>
      {[...kitchen.doughs.values()].map((dough) => (
        <button
          key={dough.id}
          type="button"
          className="press mb-2 w-full text-left"
          onClick={() => open(plainSheet(dough, kitchen), null)}
        >
          {dough.name}
        </button>
      ))}
    </SidePanel>
  )
}
