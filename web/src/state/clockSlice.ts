/** The maker's day. What hangs on it is worked out once a day, and anew when the day turns. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { startOfDay } from 'date-fns'

/** When this day began here, by the clock of this device. */
export const dayOf = (nowMs: number): number => startOfDay(nowMs).getTime()

export const clockSlice = createSlice({
  name: 'clock',
  initialState: () => ({ todayMs: dayOf(Date.now()) }),
  reducers: {
    /** The same day changes nothing. */
    timeRead: (clock, { payload: nowMs }: PayloadAction<number>) => {
      clock.todayMs = dayOf(nowMs)
    },
  },
})

export const { timeRead } = clockSlice.actions
