/** A batch that is far from all others of its flour: left out until the maker says that it was so. */
import { formatPoints, type Taught } from '@harina/core'
import { format } from 'date-fns'
import { Link } from 'react-router'
import { recordTap, undoEnded } from '../state/bench.ts'
import { notify } from '../state/notify.ts'

async function say(batch: string, counts: boolean) {
  if (!(await recordTap({ id: batch }, { type: 'flour-counted', counts }))) return
  notify(counts ? 'The batch counts for its flour' : 'The batch is left out', {
    action: { label: 'Undo', onClick: () => void undoEnded(batch) },
  })
}

const standing = (counts: boolean | undefined): string => {
  if (counts === undefined) return 'far from the other batches, so it is left out. Was it really like that?'
  return counts ? 'counted, as you said.' : 'left out, as you said.'
}

export function UnlikeBatch({ taught: { batch, atMs, points, counts } }: { taught: Taught }) {
  return (
    <p className="small leading-snug">
      <Link to={`/log/${batch}`} className="quiet">
        {format(atMs, 'd MMM')}
      </Link>
      , {formatPoints(points)} points: {standing(counts)}{' '}
      {counts !== true && (
        <button type="button" className="quiet" onClick={() => void say(batch, true)}>
          Count it
        </button>
      )}{' '}
      {counts !== false && (
        <button type="button" className="quiet" onClick={() => void say(batch, false)}>
          Leave it out
        </button>
      )}
    </p>
  )
}
