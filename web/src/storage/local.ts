/** The browser's small store beside the database. Where a browser forbids it, even asking throws. */
export function readLocal(key: string): string | null {
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}

/** What cannot be kept is not: a preference is no work. */
export function writeLocal(key: string, value: string): void {
  try {
    localStorage.setItem(key, value)
  } catch {
    // A full or forbidden store costs a preference, nothing more.
  }
}
