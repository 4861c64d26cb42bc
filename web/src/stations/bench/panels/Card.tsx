import { WallCard } from '#web/ui/WallCard.tsx'
import { useBench } from '../view.tsx'

export default function Card({ onClose }: { onClose: () => void }) {
  const { batch, state } = useBench().running
  return <WallCard plan={batch.plan} state={state} begunAt={batch.plan.at} onClose={onClose} />
}
