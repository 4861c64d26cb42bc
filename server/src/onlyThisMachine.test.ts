import express from 'express'
import type { Request } from 'express'
import { onlyThisMachine } from './onlyThisMachine.ts'

/** What becomes of a request from an address. */
function from(remoteAddress: string | undefined): number {
  let status = 0
  const answer = Object.create(express.response) as express.Response
  answer.status = (code) => {
    status = code
    return answer
  }
  answer.type = () => answer
  answer.send = () => answer
  void onlyThisMachine({ socket: { remoteAddress } } as Request, answer, () => (status = 200))
  return status
}

it('lets this machine at the instruments, by whichever of its own names', () => {
  expect(['127.0.0.1', '::1', '::ffff:127.0.0.1', '127.8.9.1'].map(from)).toEqual([200, 200, 200, 200])
})

it('and nobody else, not even one who cannot be told', () => {
  expect(['192.168.1.20', '::ffff:10.0.0.4', 'fe80::1', '', undefined].map(from)).toEqual([403, 403, 403, 403, 403])
})
