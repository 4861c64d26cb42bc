export const choiceClass = (className: string): string =>
  `choice inline-flex max-w-full min-w-0 cursor-pointer items-center gap-1.5 text-left ${className}`

/** What is chosen, and that there is more. */
export function ChoiceFace({ children }: { children: string }) {
  return (
    <>
      <span className="min-w-0 truncate">{children}</span>
      <span aria-hidden="true" className="ml-auto shrink-0 text-sm text-second" data-screen-only>
        ▾
      </span>
    </>
  )
}
