import type { Kitchen, Worked } from '@harina/core'

export interface DrawerProps {
  readonly worked: Worked
  readonly kitchen: Kitchen
  readonly onClose: () => void
}
