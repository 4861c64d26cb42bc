/** A word at the foot of the sheet; the package behind it loads at the first one. */
interface Options {
  readonly description?: string
  readonly duration?: number
  readonly action?: { readonly label: string; readonly onClick: () => void }
}

export const notify = (title: string, options: Options = {}): void => {
  void import('sonner').then(({ toast }) => toast(title, options))
}

/** Trouble that stays until it is put away, told once however often it comes. */
export const notifyTrouble = (title: string, description: string, again?: () => void): void => {
  void import('sonner').then(({ toast }) =>
    toast.error(title, {
      id: title,
      description,
      duration: Infinity,
      ...(again ? { action: { label: 'Try again', onClick: again } } : {}),
    }),
  )
}
