type Asked = (...given: never[]) => unknown
type Room = Readonly<Record<string, unknown>>

export interface Waking {
  isOpen(): boolean
  open(): PromiseLike<unknown>
}

/**
 * A browser that runs out of disk closes the store under the page, and a store that could not be opened once stays closed. So
 * it is opened anew, where it is not open, before it is asked for anything.
 */
export function wakeful<R extends Room>(store: Waking, room: R): R {
  // Asked at once where it is open: a live query follows only what is asked within its own turn.
  const awake =
    (asked: Asked): Asked =>
    (...given) =>
      store.isOpen() ? asked(...given) : store.open().then(() => asked(...given))
  const isRoom = (held: unknown): held is Room => Object.getPrototypeOf(held ?? 0) === Object.prototype
  return Object.fromEntries(
    Object.entries(room).map(([name, held]) => [
      name,
      typeof held === 'function'
        ? awake(held as Asked)
        : isRoom(held) && name !== 'tables'
          ? wakeful(store, held)
          : held,
    ]),
  ) as R
}
