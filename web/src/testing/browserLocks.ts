interface Waiting {
  readonly run: () => void
  readonly fail: (why: Error) => void
  readonly signal: AbortSignal | undefined
}

/** Locks of a browser with another tab in it: the test says when that one lets go or takes over. */
export function browserLocks(heldElsewhere: boolean) {
  let taken = heldElsewhere
  const line: Waiting[] = []
  let mine: Waiting | null = null
  const locks = {
    request(_: string, options: LockOptions, callback: (lock: Lock | null) => unknown) {
      if (options.ifAvailable) return Promise.resolve(callback(taken ? null : ({} as Lock)))
      return new Promise((_resolve, reject) => {
        const waiting: Waiting = { run: () => void callback({} as Lock), fail: reject, signal: options.signal }
        options.signal?.addEventListener('abort', () => reject(new Error('aborted')))
        if (options.steal || !taken) {
          taken = true
          mine = waiting
          waiting.run()
        } else line.push(waiting)
      })
    },
  } as unknown as LockManager
  return {
    locks,
    otherLetsGo() {
      const next = line.find(({ signal }) => !signal?.aborted)
      if (next) {
        mine = next
        next.run()
      }
    },
    otherTakesOver: () => mine?.fail(new Error('stolen')),
    inLine: () => line.filter(({ signal }) => !signal?.aborted).length,
  }
}
