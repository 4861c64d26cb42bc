/** Families against methods: where the windows lie on one rule, where they overlap, and where this dough stands. */
import { doughsAt, formatNumber, methodMap, tableReading, type Kitchen, type MapRow } from '@harina/core'
import { useMemo, useState, type CSSProperties } from 'react'
import { FamilyMark, familyInk, familyName } from '../../ui/family.tsx'
import { useWorked } from '../../state/worked.ts'
import { methodWords } from '../../words/index.ts'
import { PrintButton } from '../../ui/PrintButton.tsx'
import { Term } from '#web/ui/Term.tsx'

const WIDE = 760
const ROW = 30

interface Scale {
  readonly title: string
  readonly from: number
  readonly to: number
  readonly rows: readonly MapRow[]
}

/** Water on flour has one rule; every base has a rule of its own. */
function scalesOf(rows: readonly MapRow[]): readonly Scale[] {
  const onFlour = rows.filter((row) => row.on === 'flour' || row.on === 'batter')
  const bases = [...new Set(rows.filter((row) => !onFlour.includes(row)).map((row) => row.on))]
  return [
    { title: 'Water on 100 of flour', from: 20, to: 150, rows: onFlour },
    ...bases.map((base) => {
      const own = rows.filter((row) => row.on === base)
      return {
        title: `Flour on 100 of ${base}`,
        from: 0,
        to: Math.ceil(Math.max(...own.map((row) => row.high)) / 20) * 20,
        rows: own,
      }
    }),
  ]
}

interface RowProps {
  readonly row: MapRow
  readonly scale: Scale
  readonly reading: number | null
  readonly chosen: boolean
  readonly onChoose: () => void
}

function MapLine({ row, scale, reading, chosen, onChoose }: RowProps) {
  const x = (value: number) => ((value - scale.from) / (scale.to - scale.from)) * WIDE
  const here = reading === null ? [] : doughsAt(row, reading)
  return (
    <button
      type="button"
      aria-expanded={chosen}
      data-printed
      onClick={onChoose}
      className="grid w-full items-center md:grid-cols-[230px_minmax(0,1fr)] border-b border-line text-left hover:bg-ground"
    >
      <span className="flex items-center gap-2 pt-1 pr-2 leading-tight md:pt-0">
        <span style={{ color: familyInk[row.family] }}>
          <FamilyMark family={row.family} />
        </span>
        <span>
          {familyName[row.family]}, <span className="text-second">{methodWords[row.method]}</span>{' '}
          <span className="figure small whitespace-nowrap">
            {formatNumber(row.low, 0)} to {formatNumber(row.high, 0)}
          </span>
          {here.length > 0 && <span className="sr-only">, this dough stands in it</span>}
        </span>
      </span>
      <svg viewBox={`0 0 ${WIDE} ${ROW}`} preserveAspectRatio="none" height={ROW} className="w-full" aria-hidden="true">
        <rect
          x={x(row.low)}
          y="4"
          width={x(row.high) - x(row.low)}
          height={ROW - 8}
          fill="none"
          stroke={familyInk[row.family]}
          strokeWidth={here.length > 0 ? 2.5 : 1}
        />
        {row.doughs.map(({ dough, window }) => (
          <rect
            key={dough.id}
            x={x(window.low)}
            y="5"
            width={x(window.high) - x(window.low)}
            height={ROW - 10}
            fill={familyInk[row.family]}
            opacity="0.26"
          />
        ))}
        {row.doughs.map(({ dough, window }) => (
          <path key={dough.id} d={`M${x(window.best)} 6v${ROW - 12}`} stroke="var(--ink)" strokeWidth="2" />
        ))}
      </svg>
    </button>
  )
}

function Ruler({ scale, reading }: { scale: Scale; reading: number | null }) {
  const x = (value: number) => ((value - scale.from) / (scale.to - scale.from)) * 100
  const step = scale.to - scale.from > 60 ? 10 : 5
  const ticks = Array.from({ length: Math.floor((scale.to - scale.from) / step) + 1 }, (_, k) => scale.from + k * step)
  return (
    <div className="relative h-6.5 md:ml-57.5" aria-hidden="true">
      {ticks.map((tick) => (
        <span key={tick} className="figure small absolute -translate-x-1/2" style={{ left: `${x(tick)}%` }}>
          {tick}
        </span>
      ))}
      {reading !== null && reading >= scale.from && reading <= scale.to && (
        <span
          className="figure absolute bottom-[-4px] -translate-x-1/2 bg-ink px-1 text-label font-semibold text-sheet"
          style={{ left: `${x(reading)}%` }}
        >
          {formatNumber(reading, 1)}
        </span>
      )}
    </div>
  )
}

export default function MethodMap({ kitchen }: { kitchen: Kitchen }) {
  const worked = useWorked()
  const [open, setOpen] = useState<MapRow | null>(null)
  const scales = useMemo(() => scalesOf(methodMap([...kitchen.doughs.values()])), [kitchen.doughs])
  const readingOn = (scale: Scale): number | null => {
    if (!worked?.ok) return null
    const { control } = worked.value
    const onFlour = scale.title.startsWith('Water')
    if (control.by === 'base') return scale.title.endsWith(control.base) ? control.flourOnBase : null
    return onFlour ? tableReading(worked.value) : null
  }
  return (
    <div className="max-w-260">
      <div className="flex items-baseline gap-4">
        <h1 className="head flex-1 text-3xl">Doughs and methods</h1>
        <PrintButton />
      </div>
      <p className="mb-2 leading-snug">
        Each bar is what a family allows for one way of making, on{' '}
        <Term of="at standard 14 % flour moisture">flour of 14 % moisture</Term>: fuller in colour where the{' '}
        <Term of="window">windows</Term> of its doughs overlap, with a stroke where each likes to be. Where bars stand
        under each other, one dough can be made either way. Press one to see its doughs.
        {worked?.ok &&
          ` The stroke through all is ${worked.value.sheet.name}, as wet as it is with the flour of the tables.`}
      </p>
      {scales.map((scale) => {
        const reading = readingOn(scale)
        return (
          <section key={scale.title} className="mb-4" aria-label={scale.title}>
            <h2 className="head text-lg">{scale.title}</h2>
            <Ruler scale={scale} reading={reading} />
            <div className="relative">
              {reading !== null && (
                <span
                  className="pointer-events-none absolute top-0 bottom-0 left-[calc(100%*var(--at))] w-0.5 bg-ink max-md:opacity-40 md:left-[calc(230px+(100%-230px)*var(--at))]"
                  style={{ '--at': (reading - scale.from) / (scale.to - scale.from) } as CSSProperties}
                  aria-hidden="true"
                />
              )}
              {scale.rows.map((row) => (
                <div key={`${row.family} ${row.method}`}>
                  <MapLine
                    row={row}
                    scale={scale}
                    reading={reading}
                    chosen={open === row}
                    onChoose={() => setOpen(open === row ? null : row)}
                  />
                  {open === row && (
                    <ul className="grid md:ml-57.5 gap-x-6 py-1 md:grid-cols-2">
                      {row.doughs.map(({ dough, window }) => (
                        <li key={dough.id} className="flex gap-3">
                          <span className="flex-1">{dough.name}</span>
                          <span className="figure">
                            {formatNumber(window.low, 0)} – {formatNumber(window.high, 0)}
                          </span>
                        </li>
                      ))}
                    </ul>
                  )}
                </div>
              ))}
            </div>
          </section>
        )
      })}
    </div>
  )
}
