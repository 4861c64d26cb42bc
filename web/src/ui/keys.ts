/** A field being typed in keeps its own keys. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA)$/.test(target.tagName) || target.closest('[role=listbox]') !== null)

/** Asks the shell to open Find. */
export const OPEN_FIND = 'harina:find'
/** Asks the shell to open Help. */
export const OPEN_HELP = 'harina:help'
