/** The draft as a card, before anything of it is begun. */
import { initialState, planBatch } from '@harina/core'
import { useMemo, useState } from 'react'
import { WallCard } from '#web/ui/WallCard.tsx'
import type { DrawerProps } from '../drawerProps.ts'

export default function Card({ worked, kitchen, onClose }: DrawerProps) {
  const [now] = useState(() => new Date().toISOString())
  const plan = useMemo(() => planBatch(worked, kitchen, now, null), [worked, kitchen, now])
  return <WallCard plan={plan} state={initialState} begunAt={null} onClose={onClose} />
}
