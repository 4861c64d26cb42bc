/** The browser's own voice, where it has one. */

export const canSpeak = (): boolean => 'speechSynthesis' in globalThis && 'SpeechSynthesisUtterance' in globalThis

/** Says it now: what was being said before is old news at a bench. */
export function speak(words: string): void {
  if (!canSpeak()) return
  speechSynthesis.cancel()
  const said = new SpeechSynthesisUtterance(words)
  said.lang = 'en'
  speechSynthesis.speak(said)
}
