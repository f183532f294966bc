import type { ReactNode, Ref } from 'react'
import { Late, late } from './late'

export type ComboboxProps<Item> = {
  label: string
  value: string
  onType: (typed: string) => void
  onPick: (item: Item) => void
  onEnter?: () => void
  items: Item[]
  textOf: (item: Item) => string
  show: (item: Item) => ReactNode
  placeholder?: string
  invalid?: boolean
  describedBy?: string
  inputClass?: string
  inputRef?: Ref<HTMLInputElement>
}

const useList = late(() => import('./Suggesting'))

/** Combobox is a text input that suggests while one types. What is typed stays unless a suggestion is picked. */
export function Combobox<Item>(p: ComboboxProps<Item>) {
  return <Late part={useList()} standIn={<Plain {...p} />} whole={({ Suggesting }) => <Suggesting {...p} />} />
}

/** Plain is the field alone, until there are suggestions to show. */
function Plain<Item>(p: ComboboxProps<Item>) {
  return (
    <div className="relative min-w-0 grow">
      <input
        ref={p.inputRef}
        aria-label={p.label}
        aria-invalid={p.invalid || undefined}
        aria-describedby={p.describedBy}
        placeholder={p.placeholder}
        spellCheck={false}
        autoComplete="off"
        value={p.value}
        onChange={(e) => p.onType(e.currentTarget.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || !p.onEnter) return
          e.preventDefault()
          p.onEnter()
        }}
        className={p.inputClass}
      />
    </div>
  )
}
