import { OPEN_FIND } from './keys.ts'

export function FindButton() {
  return (
    <button
      type="button"
      className="small hidden min-h-11 items-center gap-2 hover:text-ink md:flex"
      onClick={() => dispatchEvent(new Event(OPEN_FIND))}
    >
      Find <span className="key">Ctrl K</span>
    </button>
  )
}
