import type { ReactNode } from 'react'

/** Choices are a few answers to one question, each settled with one tap. */
export function Choices({ label, children }: { label: string; children: ReactNode }) {
  return (
    <fieldset aria-label={label} className="flex flex-wrap gap-1.5">
      {children}
    </fieldset>
  )
}

/** Choice is one of them. */
export function Choice({ onPick, children }: { onPick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      onClick={onPick}
      className="eased min-h-9 rounded-full border-2 border-rim bg-enamel px-3 text-note font-bold hover:bg-linen max-sm:min-h-11"
    >
      {children}
    </button>
  )
}
