import type { ReactNode } from 'react'

export function Titled({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="head mb-1 text-lg">{title}</h2>
      {children}
    </section>
  )
}

export const Lines = ({ items }: { items: readonly string[] }) => (
  <ul>
    {items.map((item) => (
      <li key={item}>{item}</li>
    ))}
  </ul>
)
