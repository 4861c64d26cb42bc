import type { RequestHandler } from 'express'
import { isThisMachine } from './listen.ts'

/** Readings and acts of the instruments are this machine's own affair, unless its maker opens them. */
export const onlyThisMachine: RequestHandler = ({ socket }, answer, next) => {
  const from = (socket.remoteAddress ?? '').replace(/^::ffff:/, '')
  if (isThisMachine(from)) return next()
  return answer.status(403).type('text').send('The instruments answer only the machine that plays them.')
}
