/** Presses: what drives the die, how much it takes at a time, and when it must rest. */
import type { Gear, KeptPress, PressKind, Window } from '@harina/core'
import { nanoid } from 'nanoid'
import { addPart } from '../../state/gear.ts'
import { tables } from '../../state/tables.ts'
import { Choice } from '../../ui/Choice.tsx'
import { PartFigure, PartList } from './PartList.tsx'

const fromKind = ({ note: _note, ...kind }: PressKind): KeptPress => ({ ...kind, id: nanoid() })

/** The best crumb lies within its window, however that is typed. */
const withBest = ({ crumb, dough, ...press }: KeptPress): KeptPress => ({
  ...press,
  crumb: crumb && bestWithin(crumb),
  dough: dough && bestWithin(dough),
})
const bestWithin = ({ low, best, high }: Window): Window => ({ low, best: Math.min(Math.max(best, low), high), high })

/** Where a press begins that takes it so after all. */
const BEGINS = { crumb: { low: 30, best: 33, high: 37 }, dough: { low: 38, best: 42, high: 46 } }

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
        const { runMin, restMin } = press
        const takes = (as: 'crumb' | 'dough', words: string) => {
          const window = press[as]
          const set = (to: Window | null) => change((now) => ({ ...now, [as]: to }))
          return window ? (
            <>
              {words} of{' '}
              {figure(`driest ${words}`, window.low, [0.1, window.high], (low) => ({ [as]: { ...window, low } }), 1)} to{' '}
              {figure(`wettest ${words}`, window.high, [window.low, 120], (high) => ({ [as]: { ...window, high } }), 1)}{' '}
              %{' '}
              <button
                type="button"
                className="quiet"
                aria-label={`${press.name}: not ${words}`}
                onClick={() => set(null)}
              >
                not {words}
              </button>
            </>
          ) : (
            <button type="button" className="quiet" onClick={() => set(BEGINS[as])}>
              {words} too
            </button>
          )
        }
        return {
          crumb: takes('crumb', 'crumb'),
          dough: takes('dough', 'kneaded dough'),
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
