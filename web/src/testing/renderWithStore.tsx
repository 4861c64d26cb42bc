import { render } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { store } from '../state/store.ts'

/** A part of the client alone, over a store that has heard nothing yet. */
export const renderWithStore = (part: ReactNode) =>
  render(part, { wrapper: ({ children }) => <Provider store={store}>{children}</Provider> })
