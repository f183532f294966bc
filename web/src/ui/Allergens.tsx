import { X } from 'lucide-react'
import { useId, useState } from 'react'
import { query } from '../api/client'
import type { AllergenChoice } from '../api/schema'
import { copy } from '../copy/more'
import { Combobox } from './Combobox'
import { ErrorText } from './Field'

type Props = { label: string; codes: string[]; error?: string; groups?: boolean; onChange: (codes: string[]) => void }

const useAllergens = (typed: string) =>
  query.useQuery('get', '/api/allergens', { params: { query: { typed } } }, { staleTime: Number.POSITIVE_INFINITY })

/** useAllergenChoices are all that can be chosen. */
export const useAllergenChoices = (): AllergenChoice[] => useAllergens('').data ?? []

/** useAllergenNames are the names of codes, for showing them. */
export function useAllergenNames(): (code: string) => string {
  const all = useAllergenChoices()
  return (code) => all.find((a) => a.code === code)?.name ?? code
}

/** Allergens are chosen from a list that is found by the words people use; a word that means none of them is not taken. */
export function Allergens({ label, codes, error, groups = true, onChange }: Props) {
  const [typed, setTyped] = useState('')
  const found = useAllergens(typed).data ?? []
  const nameOf = useAllergenNames()
  const id = useId()
  const items = found.filter((a) => !codes.includes(a.code) && (groups || !a.group))
  const pick = (a: AllergenChoice) => {
    onChange([...codes, a.code])
    setTyped('')
  }
  const none = typed.trim() !== '' && found.length === 0
  return (
    <div>
      <p className="mb-1 text-sm font-bold">{label}</p>
      <div className="flex min-h-11 flex-wrap items-center gap-1.5 rounded-3xl border-2 border-rim bg-enamel px-3 py-1">
        {codes.map((code) => (
          <button
            key={code}
            type="button"
            aria-label={copy.ui.remove(nameOf(code))}
            onClick={() => onChange(codes.filter((c) => c !== code))}
            className="flex min-h-8 items-center gap-1 rounded-full bg-hibiscus-pale px-3 text-note font-bold text-hibiscus-deep"
          >
            {nameOf(code)} <X size={14} aria-hidden />
          </button>
        ))}
        <Combobox<AllergenChoice>
          label={label}
          value={typed}
          onType={setTyped}
          onPick={pick}
          onEnter={() => items[0] && pick(items[0])}
          items={typed.trim() === '' ? [] : items}
          textOf={(a) => a.name}
          show={(a) => a.name}
          invalid={none || error !== undefined}
          describedBy={`${id}-error`}
          inputClass="min-h-8 w-full min-w-28 bg-transparent outline-none"
          placeholder={codes.length === 0 ? copy.ui.allergenPlaceholder : ''}
        />
      </div>
      <ErrorText id={`${id}-error`}>{none ? copy.ui.notOnTheListTry : error}</ErrorText>
    </div>
  )
}
