/** The ring: three struck notes made on the spot, so no file is fetched and none is missing offline. */
let context: AudioContext | null = null

function audio(): AudioContext | null {
  if (!('AudioContext' in globalThis)) return null
  context ??= new AudioContext()
  return context
}

/** True once the browser lets sound through; before the first touch it may not. */
export const soundIsHeld = (): boolean => audio()?.state !== 'running'

/** Must be called from a touch or a key. */
export async function freeSound(): Promise<void> {
  await audio()?.resume()
}

function strike(at: AudioContext, hertz: number, start: number): void {
  const tone = at.createOscillator()
  const level = at.createGain()
  tone.frequency.value = hertz
  tone.type = 'triangle'
  level.gain.setValueAtTime(0.0001, start)
  level.gain.exponentialRampToValueAtTime(0.5, start + 0.01)
  level.gain.exponentialRampToValueAtTime(0.0001, start + 0.9)
  tone.connect(level).connect(at.destination)
  tone.start(start)
  tone.stop(start + 1)
}

export function ring(): void {
  const at = audio()
  if (!at || at.state !== 'running') return
  ;[784, 988, 784].forEach((hertz, index) => strike(at, hertz, at.currentTime + index * 0.28))
}
