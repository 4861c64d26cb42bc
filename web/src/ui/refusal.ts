/** A press that leaves a field unread is no answer to what the field then says. */
let refusedAtMs = -Infinity

export const noteRefusal = (): void => {
  refusedAtMs = performance.now()
}

/** As long as a press takes. */
const A_PRESS_MS = 500

export const wasJustRefused = (): boolean => performance.now() - refusedAtMs < A_PRESS_MS
