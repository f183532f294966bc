import { lazy, type ReactNode, type Ref, Suspense, useLayoutEffect, useRef } from 'react'

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

type Taking<Item> = ComboboxProps<Item> & { takesOver: () => boolean }

/** The suggestions are fetched when the first figures are on the page: until then the field is a plain one. */
const Suggesting = lazy(() => import('./Suggesting').then((m) => ({ default: m.Suggesting }))) as unknown as <Item>(
  p: Taking<Item>,
) => ReactNode

/** Combobox is a text input that suggests while one types. What is typed stays unless a suggestion is picked. */
export function Combobox<Item>(p: ComboboxProps<Item>) {
  const hadFocus = useRef(false)
  return (
    <Suspense fallback={<Plain {...p} onGone={(focused) => (hadFocus.current = focused)} />}>
      <Suggesting {...p} takesOver={() => hadFocus.current} />
    </Suspense>
  )
}

/** Plain is the field alone; as it goes it tells whether it had the keyboard. */
function Plain<Item>({ onGone, ...p }: ComboboxProps<Item> & { onGone: (focused: boolean) => void }) {
  const around = useRef<HTMLDivElement>(null)
  const gone = useRef(onGone)
  useLayoutEffect(() => {
    const box = around.current
    return () => gone.current(box?.contains(document.activeElement) ?? false)
  }, [])
  return (
    <div ref={around} className="relative min-w-0 grow">
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
