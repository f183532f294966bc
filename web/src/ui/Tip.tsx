import type { ReactElement } from 'react'
import { Late, late } from './late'

const useWords = late(() => import('./TipWords'))

/** Tip tells in words what a picture stands for, once the mouse rests on it or the keyboard comes to it. */
export function Tip({ words, children }: { words: string; children: ReactElement }) {
  return (
    <Late
      part={useWords()}
      standIn={children}
      whole={({ TipWords }) => <TipWords words={words}>{children}</TipWords>}
    />
  )
}
