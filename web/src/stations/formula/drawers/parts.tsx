/** What several drawers are made of. */
import type { ComponentProps, ReactNode } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'

/** A part of a drawer, under a line of its own. */
export function DrawerSection({ title, lead, children }: { title: string; lead?: ReactNode; children: ReactNode }) {
  return (
    <section className="mb-5 border-t border-line pt-3">
      <h3 className="head text-lg leading-tight">{title}</h3>
      {lead && <p className="small mb-2 leading-snug">{lead}</p>}
      {children}
    </section>
  )
}

/** A figure with its name before it and its unit behind. */
export function Line({ name, children }: { name: ReactNode; children: ReactNode }) {
  return (
    <p className="flex items-baseline justify-between gap-4 border-b border-line py-1.5 text-base">
      <span>{name}</span>
      <span className="figure shrink-0 text-right text-lg font-semibold whitespace-nowrap">{children}</span>
    </p>
  )
}

interface FigureLineProps extends Omit<ComponentProps<typeof QuantityField>, 'label'> {
  readonly name: ReactNode
  /** For those who hear it; the name where that says enough. */
  readonly label?: string
  /** What stands behind the figure. */
  readonly after?: ReactNode
}

/** A line whose figure can be typed over. */
export function FigureLine({ name, label = String(name), after, ...field }: FigureLineProps) {
  return (
    <Line name={name}>
      <QuantityField label={label} {...field} /> {after}
    </Line>
  )
}

/** A caution stands before the figures it is about. */
export function Caution({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div role="note" className="mb-4 border-l-5 border-danger pl-3">
      <h3 className="head text-md leading-tight">{title}</h3>
      <p className="text-label leading-snug">{children}</p>
    </div>
  )
}
