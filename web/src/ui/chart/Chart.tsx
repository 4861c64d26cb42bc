/** Figures over figures, by day and by lamplight; read aloud, and printed where it cannot be drawn, as the table it is. */
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import type { Drawing, Option } from './draw.ts'

/** The inks of the theme, as they stand. */
export interface Inks {
  readonly ink: string
  readonly second: string
  readonly line: string
  readonly sheet: string
  readonly danger: string
  readonly semolina: string
  /** Of the dough at hand; the ink where there is none. */
  readonly family: string
}

const NAMES = ['ink', 'second', 'line', 'sheet', 'danger', 'semolina'] as const

function inksNow(place: Element): Inks {
  const style = getComputedStyle(document.documentElement)
  const ink = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const named = Object.fromEntries(NAMES.map((name) => [name, ink(name)])) as Record<(typeof NAMES)[number], string>
  // A family's ink is set near by, and names another.
  const family = getComputedStyle(place).getPropertyValue('--family').trim()
  return { ...named, family: family.replace(/^var\(--(\w+)\)$/, (_, name: string) => ink(name)) || named.ink }
}

export interface ChartTable {
  readonly caption: string
  readonly head: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

interface Props {
  readonly table: ChartTable
  readonly height: number
  readonly option: (inks: Inks) => Option
}

export function Chart({ table, height, option }: Props) {
  const place = useRef<HTMLDivElement>(null)
  const [drawing, setDrawing] = useState<Drawing | null>(null)
  const redraw = useEffectEvent(
    (on: Drawing) => place.current && on.set({ animation: false, ...option(inksNow(place.current)) }),
  )

  useEffect(() => {
    const element = place.current
    if (!element) return
    let made: Drawing | null = null
    let gone = false
    const sized = new ResizeObserver(() => made?.resize(element.clientWidth))
    // Without the package the table stays, and nothing is lost but the picture.
    import('./draw.ts').then(
      ({ drawInto }) => {
        if (gone) return
        made = drawInto(element, { width: element.clientWidth || 320, height })
        sized.observe(element)
        setDrawing(made)
      },
      () => undefined,
    )
    return () => {
      gone = true
      sized.disconnect()
      made?.dispose()
    }
  }, [height])

  useEffect(() => {
    if (!drawing) return
    redraw(drawing)
    const themed = new MutationObserver(() => redraw(drawing))
    themed.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
    return () => themed.disconnect()
  }, [drawing, table])

  return (
    <div className="relative">
      {/* A table takes no width but its own: what hides it stands round it. */}
      <div className="sr-only">
        <table>
          <caption>{table.caption}</caption>
          <thead>
            <tr>
              {table.head.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map((row, index) => (
              <tr key={index}>
                {row.map((cell, column) => (
                  <td key={column}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div ref={place} aria-hidden="true" style={{ height }} data-drawn={drawing !== null} />
    </div>
  )
}
