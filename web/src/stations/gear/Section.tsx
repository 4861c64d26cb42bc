import type { ReactNode } from 'react'

export function Section({ title, lead, children }: { title: string; lead?: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="head border-b-2 border-ink pb-1 text-2xl">{title}</h2>
      {lead && <p className="small mt-1">{lead}</p>}
      <div className="mt-2">{children}</div>
    </section>
  )
}
