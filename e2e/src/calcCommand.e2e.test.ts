/** The calculation port as a command: text in, JSON out, and an exit status a script can trust. */
import { spawnSync } from 'node:child_process'

const calc = (input: string) => {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'calc'], { input, encoding: 'utf8' })
  expect(stderr).not.toMatch(/^\s+at /m)
  return { status, answer: JSON.parse(stdout) as unknown }
}

it('six portions from the shipped table, and a bad request beside a good one', () => {
  const batch = {
    kind: 'batch',
    rows: [
      { id: 'durum-semolina-remilled', percent: 100, flour: true },
      { id: 'water-warm', percent: 48 },
    ],
    target: { by: 'portions', count: 6, gramsEach: 110 },
  }
  const { status, answer } = calc(JSON.stringify([batch, { kind: 'rope', doughG: -1 }]))
  expect(status).toBe(1)
  expect(answer).toMatchObject([
    { ok: true, kind: 'batch', result: { doughG: 660, hydration: { nominal: 48 } } },
    { ok: false, kind: 'rope', error: { code: 'too-small', path: 'doughG' } },
  ])
})

it('good requests end with 0, nothing asked gives nothing, nonsense is told', () => {
  expect(calc('{"kind":"boiling-point","altitudeM":0}')).toMatchObject({ status: 0, answer: { ok: true } })
  expect(calc('[]')).toEqual({ status: 0, answer: [] })
  expect(calc('flour')).toMatchObject({ status: 1, answer: { ok: false, kind: null, error: { code: 'not-json' } } })
})
