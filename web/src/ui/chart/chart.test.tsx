/** A chart is drawn by either light, and is a table for whoever does not see it. */
import { cleanup, render, screen, waitFor, within } from '@testing-library/react'
import { act } from 'react'
import { Chart, type Inks } from './Chart.tsx'

const table = {
  caption: 'Batches of R-31',
  head: ['batch', 'wanted'],
  rows: [
    ['1', '+0.5'],
    ['2', '+1.0'],
  ],
}
const option = (inks: Inks) => ({
  xAxis: { type: 'category', data: ['1', '2'] },
  yAxis: { type: 'value' },
  series: [{ type: 'line', data: [0.5, 1], symbol: 'none', lineStyle: { color: inks.ink || '#123456', width: 3 } }],
})
const drawn = async () => {
  await waitFor(() => expect(document.querySelector('[data-drawn=true] svg path')).toBeTruthy(), { timeout: 8000 })
  return document.querySelector('[data-drawn=true]')!
}
const strokes = (place: Element) => [...place.querySelectorAll('path')].map((path) => path.getAttribute('stroke'))

afterEach(() => {
  cleanup()
  delete document.documentElement.dataset['theme']
  document.documentElement.removeAttribute('style')
})

it('stands as a table with a caption at once, and the picture is not read aloud', async () => {
  render(<Chart table={table} height={100} option={option} />)
  const read = screen.getByRole('table', { name: 'Batches of R-31' })
  expect(
    within(read)
      .getAllByRole('row')
      .map((row) => row.textContent),
  ).toEqual(['batchwanted', '1+0.5', '2+1.0'])
  expect((await drawn()).getAttribute('aria-hidden')).toBe('true')
})

it('is drawn anew in the inks of the lamp when the light changes', async () => {
  document.documentElement.style.setProperty('--ink', '#22282b')
  render(<Chart table={table} height={100} option={option} />)
  const place = await drawn()
  expect(strokes(place)).toContain('#22282b')
  await act(async () => {
    document.documentElement.style.setProperty('--ink', '#efe7d6')
    document.documentElement.dataset['theme'] = 'lamp'
  })
  await waitFor(() => expect(strokes(place)).toContain('#efe7d6'))
})

it('follows its figures', async () => {
  const { rerender } = render(<Chart table={table} height={100} option={option} />)
  const place = await drawn()
  const before = place.innerHTML
  const more = { ...table, rows: [...table.rows, ['3', '+4.0']] }
  rerender(
    <Chart
      table={more}
      height={100}
      option={(inks) => ({ ...option(inks), series: [{ type: 'line', data: [0.5, 1, 4] }] })}
    />,
  )
  await waitFor(() => expect(place.innerHTML).not.toBe(before))
  expect(screen.getByRole('table').textContent).toContain('+4.0')
})
