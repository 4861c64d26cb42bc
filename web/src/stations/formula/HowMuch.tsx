import { formatGrams, formatNumber, lockedLine, retarget, type Kitchen, type Target, type Worked } from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useSheet } from './useSheet.ts'

const ways: readonly { by: Target['by']; name: string }[] = [
  { by: 'portions', name: 'portions' },
  { by: 'pieces', name: 'pieces' },
  { by: 'dough', name: 'dough' },
  { by: 'flour', name: 'flour in the sack' },
  { by: 'water', name: 'water in the jug' },
]

const big = 'text-[28px] font-semibold'

function Target({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { edit, done } = useSheet()
  const { target } = worked.sheet
  const set = (next: Target, gesture: string) => edit((sheet) => ({ ...sheet, target: next }), gesture)
  switch (target.by) {
    case 'portions':
      return (
        <span className="whitespace-nowrap">
          <QuantityField
            label="Portions"
            shown={formatNumber(target.count, target.count % 1 === 0 ? 0 : 1)}
            unit="count"
            min={0.5}
            max={10_000}
            className={big}
            widthCh={4.5}
            onChange={(count) => set({ ...target, count }, 'count')}
            onDone={done}
          />
          <span className="px-1">portions of</span>
          <QuantityField
            label="Grams a portion"
            shown={formatGrams(target.gramsEach, 1)}
            unit="g"
            min={1}
            max={5000}
            className={big}
            widthCh={5}
            onChange={(gramsEach) => set({ ...target, gramsEach }, 'each')}
            onDone={done}
          />{' '}
          g
        </span>
      )
    case 'pieces':
      return (
        <span className="whitespace-nowrap">
          <QuantityField
            label="Pieces"
            shown={formatNumber(target.count, 0)}
            unit="count"
            min={1}
            max={1_000_000}
            className={big}
            widthCh={6}
            onChange={(count) => set({ by: 'pieces', count: Math.round(count) }, 'count')}
            onDone={done}
          />
          <span className="px-1">pieces of {formatNumber(worked.rope.pieceG, 2)} g</span>
        </span>
      )
    default: {
      const what = { flour: 'flour', dough: 'dough', water: 'water', row: `of ${rowName(worked, kitchen)}` }[target.by]
      return (
        <span className="whitespace-nowrap">
          <QuantityField
            label={`Grams, ${what}`}
            shown={formatGrams(target.grams, kitchen.gear.scaleStepG)}
            unit="g"
            min={1}
            max={1_000_000}
            className={big}
            widthCh={6.5}
            onChange={(grams) => set({ ...target, grams }, 'grams')}
            onDone={done}
          />{' '}
          g {what}
        </span>
      )
    }
  }
}

function rowName(worked: Worked, kitchen: Kitchen): string {
  const row = worked.rows.find((candidate) => candidate.key === lockedLine(worked))
  return kitchen.lots.find((lot) => lot.id === row?.lot)?.name ?? row?.ingredient.name ?? 'flour'
}

/** What the sheet is scaled from, and how much of the dough is lost on the way. */
export function HowMuch({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { edit, done } = useSheet()
  const { target, lossPercent } = worked.sheet
  return (
    <div>
      <div role="group" aria-label="Solve for" className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="small">Solve for</span>
        {ways.map(({ by, name }) => (
          <button
            key={by}
            type="button"
            aria-pressed={target.by === by}
            className={`min-h-[34px] border-b-[3px] ${target.by === by ? 'border-semolina font-semibold' : 'border-transparent text-second hover:text-ink'}`}
            onClick={() => edit(() => retarget(worked, by))}
          >
            {name}
          </button>
        ))}
      </div>
      <div className="mt-1 flex flex-wrap items-baseline gap-x-6">
        <Target worked={worked} kitchen={kitchen} />
        <span className="small whitespace-nowrap">
          lost on the board{' '}
          <QuantityField
            label="Loss, percent of the dough"
            shown={formatNumber(lossPercent, 1)}
            unit="%"
            min={0}
            max={50}
            widthCh={4.5}
            onChange={(loss) => edit((sheet) => ({ ...sheet, lossPercent: loss }), 'loss')}
            onDone={done}
          />{' '}
          %
        </span>
      </div>
    </div>
  )
}
