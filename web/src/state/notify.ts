/** A word at the foot of the sheet; the package behind it loads at the first one. */
interface Options {
  /** Told again it takes the place of the first. */
  readonly id?: string
  readonly description?: string
  readonly duration?: number
  readonly action?: { readonly label: string; readonly onClick: () => void }
}

/** What can be undone is offered so long; a pointer or the focus on it holds it longer. */
const UNDO_MS = 15_000

export const notify = (title: string, { duration, ...options }: Options = {}): void => {
  const stays = duration ?? (options.action ? UNDO_MS : undefined)
  void import('sonner').then(({ toast }) => toast(title, { ...options, ...(stays ? { duration: stays } : {}) }))
}

/** Trouble that is over. */
export const dismissTrouble = (title: string): void => {
  void import('sonner').then(({ toast }) => toast.dismiss(title))
}

/** Trouble that stays until it is put away, told once however often it comes. */
export const notifyTrouble = (
  title: string,
  description: string,
  way?: { readonly label: string; readonly run: () => void },
): void => {
  void import('sonner').then(({ toast }) =>
    toast.error(title, {
      id: title,
      description,
      duration: Infinity,
      ...(way ? { action: { label: way.label, onClick: way.run } } : {}),
    }),
  )
}
