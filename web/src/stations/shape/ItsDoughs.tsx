/** The other way round: which doughs this shape is made of, and which of the book would do today. */
import {
  computeSheet,
  doughsFor,
  formatNumber,
  startSheet,
  type Formula,
  type Kitchen,
  type Window,
  type Worked,
} from '@harina/core'
import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { draftOpened } from '../../state/draftSlice.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { selectFormulas } from '../../state/select.ts'
import { FamilyMark, familyInk } from '../../ui/family.tsx'
import { Titled } from './Titled.tsx'
import { matchWords } from '../../words/index.ts'

const [WIDE, HIGH] = [150, 26]

/** A window on a scale of its own kind: hydration runs 20 to 110, flour on a base 15 to 150. */
function WindowBar({ window, ink, onBase }: { window: Window; ink: string; onBase: boolean }) {
  const [from, to] = onBase ? [0, 150] : [20, 115]
  const x = (value: number) => ((Math.min(to, Math.max(from, value)) - from) / (to - from)) * WIDE
  return (
    <svg width={WIDE} height={HIGH} aria-hidden="true">
      <path d={`M0 ${HIGH - 6}H${WIDE}`} stroke="var(--second)" />
      {Array.from({ length: Math.floor((to - from) / 10) + 1 }, (_, k) => (
        <path key={k} d={`M${x(from + k * 10)} ${HIGH - 6}v4`} stroke="var(--second)" />
      ))}
      <rect x={x(window.low)} y="6" width={Math.max(3, x(window.high) - x(window.low))} height="10" fill={ink} />
      <path d={`M${x(window.best)} 3v16`} stroke="var(--ink)" strokeWidth="2" />
    </svg>
  )
}

function InTheBook({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const dispatch = useAppDispatch()
  const formulas = useApp(selectFormulas)
  const { shape } = worked
  const found = useMemo(
    () =>
      formulas
        .filter((formula) => !formula.archived)
        .flatMap((formula: Formula) => {
          const tried = computeSheet({ ...formula.sheet, shape: shape.id }, kitchen)
          return tried.ok && tried.value.match.listed
            ? [{ formula, match: tried.value.match, control: tried.value.control }]
            : []
        })
        .sort((a, b) => Math.abs(a.match.outsideBy) - Math.abs(b.match.outsideBy)),
    [formulas, shape.id, kitchen],
  )
  if (found.length === 0) return <p>No formula in the book is of a dough this shape is made of.</p>
  return (
    <ul>
      {found.map(({ formula, match, control }) => (
        <li key={formula.id} className="flex items-baseline gap-3 border-b border-line py-1">
          <span className="min-w-0 flex-1">
            <span className="font-semibold">{formula.sheet.name}</span>{' '}
            <span className="text-second">{matchWords(match, control.by === 'base')}</span>
          </span>
          <button
            type="button"
            className="quiet"
            aria-label={`Take ${formula.sheet.name} as ${shape.name}`}
            onClick={() =>
              dispatch(draftOpened({ id: 'draft', formula: formula.id, sheet: { ...formula.sheet, shape: shape.id } }))
            }
          >
            Take
          </button>
        </li>
      ))}
    </ul>
  )
}

export function ItsDoughs({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { shape } = worked
  const doughs = doughsFor(shape, kitchen.doughs)
  return (
    <div className="grid gap-x-8 gap-y-4 text-base leading-snug xl:grid-cols-2">
      <Titled title="Doughs it is made of">
        <ul>
          {doughs.map(({ dough, window }) => (
            <li key={dough.id} className="flex flex-wrap items-center gap-x-3 border-b border-line py-1">
              <span style={{ color: familyInk[dough.family] }}>
                <FamilyMark family={dough.family} />
              </span>
              <span className="min-w-37.5 flex-1 font-semibold">{dough.name}</span>
              <WindowBar window={window} ink={familyInk[dough.family]} onBase={dough.control.by === 'base'} />
              <span className="figure text-md">
                {formatNumber(window.low, 0)} to {formatNumber(window.high, 0)}
                <span className="small"> {dough.control.by === 'base' ? `on ${dough.control.base}` : 'on flour'}</span>
              </span>
              <button
                type="button"
                className="quiet"
                aria-label={`Begin a sheet of ${dough.name} for ${shape.name}`}
                onClick={() => {
                  dispatch(draftOpened({ id: 'draft', formula: null, sheet: startSheet(dough, shape, kitchen) }))
                  void navigate('/formula')
                }}
              >
                Begin
              </button>
            </li>
          ))}
        </ul>
        <p className="small mt-1">The mark in each window is where it likes to be, on flour of 14 % moisture.</p>
      </Titled>
      <Titled title="In the book">
        <InTheBook worked={worked} kitchen={kitchen} />
      </Titled>
    </div>
  )
}
