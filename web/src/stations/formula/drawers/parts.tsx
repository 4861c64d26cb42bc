/** What several drawers are made of. */
import type { ReactNode } from 'react'

/** A part of a drawer, under a line of its own. */
export function Part({ title, lead, children }: { title: string; lead?: ReactNode; children: ReactNode }) {
  return (
    <section className="mb-5 border-t border-line pt-3">
      <h3 className="head text-[18px] leading-tight">{title}</h3>
      {lead && <p className="small mb-2 leading-snug">{lead}</p>}
      {children}
    </section>
  )
}

/** A figure with its name before it and its unit behind. */
export function Line({ name, children }: { name: ReactNode; children: ReactNode }) {
  return (
    <p className="flex items-baseline justify-between gap-4 border-b border-line py-1.5 text-[16px]">
      <span>{name}</span>
      <span className="figure shrink-0 text-right text-[19px] font-semibold whitespace-nowrap">{children}</span>
    </p>
  )
}

/** A caution stands before the figures it is about. */
export function Caution({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div role="note" className="mb-4 border-l-[5px] border-danger pl-3">
      <h3 className="head text-[17px] leading-tight">{title}</h3>
      <p className="text-[15px] leading-snug">{children}</p>
    </div>
  )
}
