/** A day is the maker's own: at every hour, across midnight and where the clocks are put forward. The zone is that of all unit tests. */
import { format, formatISO, parse } from 'date-fns'
import { dayOf, clockSlice, timeRead } from './clockSlice.ts'

const at = (local: string) => parse(local, 'yyyy-MM-dd HH:mm', 0).getTime()
const dayAt = (local: string) => format(dayOf(at(local)), 'yyyy-MM-dd HH:mm')

it('stands where a morning is still yesterday in Greenwich', () => {
  expect(new Date(at('2031-03-01 08:00')).toISOString().slice(0, 10)).toBe('2031-02-28')
})

it.each(['2031-03-01', '2031-07-01', '2031-09-28', '2031-04-06', '2031-12-31'])(
  '%s is itself from midnight to midnight',
  (day) => {
    for (const hour of ['00:00', '00:01', '03:30', '08:00', '12:59', '13:01', '23:59'])
      expect(dayAt(`${day} ${hour}`)).toBe(`${day} 00:00`)
  },
)

it('a day chosen today is today: nothing of it lies ahead, and none of its hours is another day', () => {
  for (const hour of ['00:05', '07:00', '18:00', '23:55']) {
    const todayMs = dayOf(at(`2031-09-28 ${hour}`))
    const since = formatISO(parse('2031-09-28', 'yyyy-MM-dd', todayMs))
    expect(Date.parse(since)).toBe(todayMs)
  }
})

it('the same day changes nothing that hangs on it; the next one does', () => {
  const before = { todayMs: dayOf(at('2031-03-01 09:00')) }
  expect(clockSlice.reducer(before, timeRead(at('2031-03-01 23:59')))).toBe(before)
  expect(clockSlice.reducer(before, timeRead(at('2031-03-02 00:00'))).todayMs).toBe(at('2031-03-02 00:00'))
})
