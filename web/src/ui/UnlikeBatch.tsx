/** A batch that is far from all others of its flour: left out until the maker says that it was so. */
import { formatPoints, type Taught } from '@harina/core'
import { format } from 'date-fns'
import { Link } from 'react-router'
import { recordTap, undoEnded } from '../state/bench.ts'
import { notify } from '../state/notify.ts'

async function say(batch: string, counts: boolean) {
  if (!(await recordTap({ id: batch }, { type: 'flour-counted', counts }))) return
  notify(counts ? 'It counts for its flour' : 'It is left out', {
    action: { label: 'Undo', onClick: () => void undoEnded(batch) },
  })
}

export function UnlikeBatch({ taught: { batch, atMs, points, counts } }: { taught: Taught }) {
  return (
    <p className="small leading-snug">
      <Link to={`/log/${batch}`} className="quiet">
        {format(atMs, 'd MMM')}
      </Link>
      , {formatPoints(points)}:{' '}
      {counts === undefined
        ? 'far from the others and left out. Was it so?'
        : counts
          ? 'counts, as you said.'
          : 'left out, as you said.'}{' '}
      {counts !== true && (
        <button type="button" className="quiet" onClick={() => void say(batch, true)}>
          It was so, count it
        </button>
      )}{' '}
      {counts !== false && (
        <button type="button" className="quiet" onClick={() => void say(batch, false)}>
          {counts === undefined ? 'Something was off' : 'Leave it out'}
        </button>
      )}
    </p>
  )
}
