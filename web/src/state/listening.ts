/** What follows from actions outside the store is listened for here; the session says what that is. */
import { createListenerMiddleware } from '@reduxjs/toolkit'

export const listening = createListenerMiddleware()
