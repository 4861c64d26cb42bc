/** A browser's voice that is only heard by the test. */
export function playVoice(): () => readonly string[] {
  const said: string[] = []
  class Utterance {
    lang = ''
    constructor(readonly text: string) {}
  }
  Object.assign(globalThis, {
    SpeechSynthesisUtterance: Utterance,
    speechSynthesis: { cancel: () => undefined, speak: (what: Utterance) => said.push(what.text) },
  })
  return () => said
}
