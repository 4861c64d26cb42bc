import { act, cleanup, render, screen } from '@testing-library/react'
import { useAnswer } from './useAnswer.ts'

afterEach(cleanup)

/** A worker played by hand: each question waits until it is answered or refused. */
class Played {
  readonly asked: { question: string; signal: AbortSignal; answer: (to: string) => void; refuse: () => void }[] = []
  readonly ask = (question: string, signal: AbortSignal) =>
    new Promise<string>((answer, reject) =>
      this.asked.push({ question, signal, answer, refuse: () => reject(new Error('no')) }),
    )
}
function Asking({
  question,
  played,
  ...options
}: {
  question: string | null
  played: Played
  quietMs?: number
  givesUp?: boolean
}) {
  const { answer, last, failed } = useAnswer(question, played.ask, options)
  return <output>{JSON.stringify([answer, last?.answer ?? null, failed])}</output>
}
const shown = (): unknown => JSON.parse(screen.getByRole('status').textContent)
const settle = (run: () => void) => act(async () => run())

it('asks once, and while the next is worked out the last stands, told apart from it', async () => {
  const played = new Played()
  const { rerender } = render(<Asking question="a" played={played} />)
  rerender(<Asking question="a" played={played} />)
  expect(played.asked.map(({ question }) => question)).toEqual(['a'])
  await settle(() => played.asked[0]!.answer('A'))
  expect(shown()).toEqual(['A', 'A', false])
  rerender(<Asking question="b" played={played} />)
  expect(shown()).toEqual([null, 'A', false])
})

it('one at a time, the latest next: what came between is never asked, and a slow answer is not thrown away', async () => {
  const played = new Played()
  const { rerender } = render(<Asking question="a" played={played} />)
  for (const question of ['b', 'c', 'd']) rerender(<Asking question={question} played={played} />)
  expect(played.asked).toHaveLength(1)
  await settle(() => played.asked[0]!.answer('A'))
  expect(shown()).toEqual([null, 'A', false])
  expect(played.asked.map(({ question }) => question)).toEqual(['a', 'd'])
  await settle(() => played.asked[1]!.answer('D'))
  expect(shown()).toEqual(['D', 'D', false])
})

it('a failure is of its question alone; the next is asked all the same', async () => {
  const played = new Played()
  const { rerender } = render(<Asking question="a" played={played} />)
  await settle(() => played.asked[0]!.refuse())
  expect(shown()).toEqual([null, null, true])
  rerender(<Asking question="b" played={played} />)
  expect(shown()).toEqual([null, null, false])
  await settle(() => played.asked[1]!.answer('B'))
  expect(shown()).toEqual(['B', 'B', false])
})

it('gives up what nobody wants any more: for a newer question where that is wished, and when the view goes', async () => {
  const played = new Played()
  const { rerender, unmount } = render(<Asking question="a" played={played} givesUp />)
  rerender(<Asking question="b" played={played} givesUp />)
  expect(played.asked.map(({ question, signal }) => [question, signal.aborted])).toEqual([
    ['a', true],
    ['b', false],
  ])
  await settle(() => played.asked[0]!.answer('A'))
  expect(shown()).toEqual([null, null, false])
  unmount()
  expect(played.asked[1]!.signal.aborted).toBe(true)
})

it('waits for a moment of quiet, and asks nothing of nothing', async () => {
  jest.useFakeTimers()
  const played = new Played()
  const { rerender } = render(<Asking question="a" played={played} quietMs={200} />)
  jest.advanceTimersByTime(150)
  rerender(<Asking question="ab" played={played} quietMs={200} />)
  jest.advanceTimersByTime(150)
  expect(played.asked).toEqual([])
  await act(async () => jest.advanceTimersByTime(60))
  expect(played.asked.map(({ question }) => question)).toEqual(['ab'])
  rerender(<Asking question={null} played={played} quietMs={200} />)
  await act(async () => jest.advanceTimersByTime(500))
  expect(played.asked).toHaveLength(1)
  jest.useRealTimers()
})
