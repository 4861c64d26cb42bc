/** The browser has nothing more urgent to do: what was drawn is to be seen. */
export const whenIdle = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => resolve(), { timeout: 2000 })
    else setTimeout(resolve, 300)
  })
