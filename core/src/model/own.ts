/** What a record holds under a name of a maker's or a file's choosing: its own, never what every object answers to. */
export const own = <T>(held: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(held, name) ? held[name] : undefined
