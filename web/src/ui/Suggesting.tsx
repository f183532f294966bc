import { useCombobox } from 'downshift'
import type { KeyboardEvent } from 'react'
import { copy } from '../copy/more'
import type { ComboboxProps } from './Combobox'
import { classes } from './classes'

export function Suggesting<Item>(p: ComboboxProps<Item>) {
  const box = useCombobox<Item>({
    items: p.items,
    inputValue: p.value,
    selectedItem: null,
    itemToString: (item) => (item ? p.textOf(item) : ''),
    onSelectedItemChange: ({ selectedItem }) => selectedItem && p.onPick(selectedItem),
    stateReducer: (_, { type, changes }) =>
      type === useCombobox.stateChangeTypes.InputBlur ? { ...changes, selectedItem: null } : changes,
  })
  const said =
    p.items.length === 1 && p.items[0] !== undefined && p.textOf(p.items[0]).toLowerCase() === p.value.toLowerCase()
  const open = box.isOpen && p.items.length > 0 && !said
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key !== 'Enter' || (open && box.highlightedIndex >= 0)) return
    if (p.onEnter) e.preventDefault() // it is no submit of the form around it
    p.onEnter?.()
  }
  return (
    <div className="relative min-w-0 grow">
      <input
        {...box.getInputProps({
          ref: p.inputRef,
          'aria-label': p.label,
          'aria-labelledby': undefined,
          'aria-invalid': p.invalid || undefined,
          'aria-describedby': p.describedBy,
          placeholder: p.placeholder,
          spellCheck: false,
          autoComplete: 'off',
          onKeyDown,
          // Written here and not through downshift, whose change comes too late to keep the caret in place.
          onChange: (e) => p.onType(e.currentTarget.value),
        })}
        className={p.inputClass}
      />
      <ul
        {...box.getMenuProps({ 'aria-label': copy.ui.suggestions(p.label), 'aria-labelledby': undefined })}
        className={classes(
          'absolute top-full left-0 z-30 mt-1 min-w-64 overflow-hidden rounded-2xl border-2 border-rim bg-enamel p-1 shadow-lg',
          !open && 'hidden',
        )}
      >
        {open &&
          p.items.map((item, index) => (
            <li
              key={p.textOf(item)}
              {...box.getItemProps({ item, index })}
              className={classes(
                'flex min-h-10 items-center rounded-xl px-3',
                box.highlightedIndex === index && 'bg-linen',
              )}
            >
              {p.show(item)}
            </li>
          ))}
      </ul>
    </div>
  )
}
