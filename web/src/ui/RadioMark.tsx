/** The round mark of a choice; filled inside a Headless UI `Radio` that is checked and carries the class `group`. */
export const RadioMark = () => (
  <span
    aria-hidden="true"
    className="flex size-5 shrink-0 items-center justify-center rounded-full border-2 border-ink after:size-2.5 after:rounded-full group-data-checked:after:bg-ink"
  />
)
