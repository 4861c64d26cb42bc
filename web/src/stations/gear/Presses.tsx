/** Presses: what drives the die, how much it takes at a time, and when it must rest. */
import type { Gear, KeptPress, PressKind } from '@harina/core'
import { nanoid } from 'nanoid'
import { addPart } from '../../state/gear.ts'
import { tables } from '../../state/tables.ts'
import { Choice } from '../../ui/Choice.tsx'
import { PartFigure, PartList } from './PartList.tsx'

const fromKind = ({ note: _note, ...kind }: PressKind): KeptPress => ({ ...kind, id: nanoid() })

/** The best crumb lies within its window, however that is typed. */
const withBest = ({ crumb, ...press }: KeptPress): KeptPress => ({
  ...press,
  crumb: { ...crumb, best: Math.min(Math.max(crumb.best, crumb.low), crumb.high) },
})

const RESTS = { runMin: 20, restMin: 10 }

export function Presses({ gear }: { gear: Gear }) {
  const kinds = tables().presses
  return (
    <PartList
      part="press"
      gear={gear}
      follows={withBest}
      slots={(press, change) => {
        const figure = (
          label: string,
          value: number,
          [low, high]: readonly [number, number],
          set: (to: number) => Partial<KeptPress>,
          decimals = 0,
        ) => (
          <PartFigure
            label={`${press.name}, ${label}`}
            figure={{ unit: 'count', low, high, decimals }}
            value={value}
            onChange={(to) => change((now) => ({ ...now, ...set(to) }))}
          />
        )
        const { crumb, runMin, restMin } = press
        return {
          crumb: (
            <>
              {figure('driest crumb', crumb.low, [0.1, crumb.high], (low) => ({ crumb: { ...crumb, low } }), 1)} to{' '}
              {figure('wettest crumb', crumb.high, [crumb.low, 120], (high) => ({ crumb: { ...crumb, high } }), 1)}
            </>
          ),
          heat:
            runMin === null ? (
              <button type="button" className="quiet" onClick={() => change((now) => ({ ...now, ...RESTS }))}>
                It needs rests
              </button>
            ) : (
              <>
                Runs {figure('run', runMin, [1, 600], (to) => ({ runMin: to }))} min, then rests{' '}
                {figure('rest', restMin, [0, 240], (to) => ({ restMin: to }))} min.{' '}
                <button
                  type="button"
                  className="quiet"
                  onClick={() => change((now) => ({ ...now, runMin: null, restMin: 0 }))}
                >
                  It stays cool
                </button>
              </>
            ),
        }
      }}
      adding={
        <label className="small mt-2 block">
          Add{' '}
          <Choice
            label="Add a press"
            className="field text-ink"
            value=""
            none={'a press…'}
            options={kinds.map(({ id, name }) => [id, name] as const)}
            onChange={(chosen) => {
              const kind = kinds.find(({ id }) => id === chosen)
              if (kind) void addPart('press', fromKind(kind))
            }}
          />
        </label>
      }
    />
  )
}
