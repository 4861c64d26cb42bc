import {
  COURSES,
  canDry,
  formatNumber,
  lockedLine,
  portionG,
  retarget,
  scaledTarget,
  mixesOf,
  STATES,
  type Course,
  type DoughState,
  type Kitchen,
  type Target,
  type Worked,
} from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { rowName } from './Ledger.tsx'
import { useSheet } from './useSheet.ts'
import { Choice } from '../../ui/Choice.tsx'
import { Segments } from '../../ui/Segments.tsx'

interface Props {
  readonly worked: Worked
  readonly kitchen: Kitchen
}

const big = 'text-4xl font-semibold'

function waysOf({ control, rows }: Worked): readonly { by: Target['by']; name: string }[] {
  const plainWater = rows.some((row) => row.part === 'water' && row.water >= 0.9999)
  return [
    { by: 'portions', name: 'portions' },
    { by: 'pieces', name: 'pieces' },
    { by: 'dough', name: 'dough' },
    { by: 'flour', name: 'flour in the sack' },
    ...(control.by === 'base' ? [{ by: 'base', name: `${control.base.split(' ').at(-1)} in hand` } as const] : []),
    ...(control.by === 'hydration' && plainWater ? [{ by: 'water', name: 'water in the jug' } as const] : []),
  ]
}

/** Portions from the guide: who eats, at which course, fresh or dried. */
function Guide({ worked, kitchen }: Props) {
  const { edit } = useSheet()
  const { mass } = useUnits()
  const { target } = worked.sheet
  const { family } = worked.dough
  if (target.by !== 'portions') return null
  const options = COURSES.flatMap((course) =>
    STATES.filter((state) => state === 'fresh' || canDry(family)).map((state) => ({
      course,
      state,
      grams: portionG(kitchen.gear.portions, family, course, state),
    })),
  )
  const now = options.find((option) => option.grams === target.gramsEach)
  const choose = (value: string) => {
    const [course, state] = value.split('/') as [Course, DoughState]
    edit((sheet) => ({
      ...sheet,
      target: { ...target, gramsEach: portionG(kitchen.gear.portions, family, course, state) },
    }))
  }
  return (
    <Choice
      label="How much a person eats"
      className="field small"
      value={now ? `${now.course}/${now.state}` : ''}
      none={now ? undefined : 'as typed'}
      options={options.map(
        ({ course, state, grams }) => [`${course}/${state}`, `${course}, ${state}: ${mass(grams)}`] as const,
      )}
      onChange={choose}
    />
  )
}

function TargetFields({ worked, kitchen }: Props) {
  const { edit, done } = useSheet()
  const { massFigure, units } = useUnits()
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
            shown={massFigure(target.gramsEach)}
            unit="g"
            min={1}
            max={5000}
            className={big}
            widthCh={5}
            onChange={(gramsEach) => set({ ...target, gramsEach }, 'each')}
            onDone={done}
          />{' '}
          {units.mass}
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
          <span className="px-1">pieces of {massFigure(worked.cut.pieceG, 0.01)}</span>
          {units.mass}
        </span>
      )
    default: {
      const row = worked.rows.find((candidate) => candidate.key === lockedLine(worked))
      const what = target.by === 'row' ? `of ${row ? rowName(row, kitchen) : 'it'}` : target.by
      const named = target.by === 'base' && worked.control.by === 'base' ? worked.control.base : what
      return (
        <span className="whitespace-nowrap">
          <QuantityField
            label={`Grams, ${named}`}
            shown={massFigure(target.grams, kitchen.gear.scaleStepG)}
            unit="g"
            min={1}
            max={1_000_000}
            className={big}
            widthCh={6.5}
            onChange={(grams) => set({ ...target, grams }, 'grams')}
            onDone={done}
          />{' '}
          {units.mass} {named}
        </span>
      )
    }
  }
}

/** Twice as much, or half, of whatever the sheet is solved for. */
function Times({ worked }: { worked: Worked }) {
  const { edit } = useSheet()
  const times = (by: number) => edit((sheet) => ({ ...sheet, target: scaledTarget(sheet.target, by) }))
  const { target } = worked.sheet
  // Half of a piece is none.
  const canHalve = target.by !== 'pieces' || target.count > 1
  return (
    <span className="flex gap-1 whitespace-nowrap">
      {[[0.5, '×½', 'half as much'] as const, [2, '×2', 'twice as much'] as const].map(([by, sign, name]) => (
        <button
          key={sign}
          type="button"
          className="quiet min-h-8 px-1"
          aria-label={`${sign}, ${name}`}
          disabled={by < 1 && !canHalve}
          onClick={() => times(by)}
        >
          {sign}
        </button>
      ))}
    </span>
  )
}

/** What one mix has to fit into; a larger dough is made in equal mixes. */
function Vessel({ worked, kitchen }: Props) {
  const { edit } = useSheet()
  const { mass } = useUnits()
  const split = mixesOf(worked, kitchen)
  if (kitchen.gear.vessels.length === 0) return null
  return (
    <span className="small whitespace-nowrap">
      in{' '}
      <Choice
        label="Mixed in"
        className="field max-w-38 cursor-pointer text-ink [field-sizing:content]"
        value={worked.sheet.vessel ?? ''}
        none={'one go'}
        options={kitchen.gear.vessels.map(
          (vessel) => [vessel.id, `${vessel.name}, ${mass(vessel.maxDoughG)}`] as const,
        )}
        onChange={(chosen) => edit((sheet) => ({ ...sheet, vessel: chosen || null }))}
      />
      {split && split.mixes > 1 && (
        <strong className="text-ink">
          {' '}
          {split.mixes} mixes of {mass(split.doughG)}
        </strong>
      )}
    </span>
  )
}

/** What the sheet is scaled from, and what it is mixed in. */
export function HowMuch({ worked, kitchen }: Props) {
  const { edit } = useSheet()
  const { target } = worked.sheet
  return (
    <div>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="small" aria-hidden="true">
          Solve for
        </span>
        <Segments
          label="Solve for"
          className="flex-wrap gap-x-4 gap-y-1"
          each="min-h-8 items-center border-b-3 border-transparent text-second hover:text-ink data-checked:border-family data-checked:font-semibold data-checked:text-ink"
          options={waysOf(worked).map(({ by, name }) => [by, name] as const)}
          value={target.by}
          onChange={(by) => edit(() => retarget(worked, by))}
        />
      </div>
      <div className="mt-1 flex flex-wrap items-baseline gap-x-3">
        <TargetFields worked={worked} kitchen={kitchen} />
        <Times worked={worked} />
        <Guide worked={worked} kitchen={kitchen} />
        <Vessel worked={worked} kitchen={kitchen} />
      </div>
    </div>
  )
}
