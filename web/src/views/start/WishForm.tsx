import { type ReactNode, useState } from 'react'
import { Wish as limits } from '../../api/limits'
import type { Wish, WishChoice, WishChoices } from '../../api/schema'
import { copy } from '../../copy/more'
import { Allergens } from '../../ui/Allergens'
import { Button } from '../../ui/Button'
import { toGrams } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { Tray } from '../../ui/Tray'

type Props = { wish: Wish; choices: WishChoices; onChange: (part: Partial<Wish>) => void }

/** How many bases are shown before the rest is asked for. */
const fewBases = 8

/** WishForm asks what is known of a drink; nothing has to be answered. */
export function WishForm({ wish, choices, onChange }: Props) {
  const [all, setAll] = useState(false)
  const bases = choices.bases.filter((b, n) => all || n < fewBases || wish.bases.includes(b.code))
  const once = (now: string, picked: string) => (now === picked ? '' : picked)
  return (
    <Tray label={copy.start.yourDrink} className="grid gap-4">
      <Question
        title={copy.start.drink}
        choices={choices.kinds}
        chosen={wish.kind}
        onToggle={(kind) => onChange({ kind: kind as Wish['kind'], flavour: '' })}
      />
      <Question
        title={copy.start.madeFrom}
        aside={copy.start.inYourPantryFirst}
        choices={bases}
        chosen={wish.bases}
        onToggle={(id) => onChange({ bases: basesWith(wish.bases, id) })}
      >
        {!all && choices.bases.length > fewBases && (
          <Button size="small" onClick={() => setAll(true)}>
            {copy.start.more}
          </Button>
        )}
      </Question>
      <Question
        title={copy.start.flavour}
        choices={choices.flavours}
        chosen={wish.flavour}
        onToggle={(code) => onChange({ flavour: once(wish.flavour, code) })}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <Question
          title={copy.start.sweetness}
          choices={copy.start.sweetnesses.map((name, n) => ({ code: String(n), name }))}
          chosen={String(wish.sweetness)}
          onToggle={(n) => onChange({ sweetness: Number(n) })}
        />
        <Question
          title={copy.start.sweetenedWith}
          choices={choices.sweeteners}
          chosen={wish.sweetener}
          onToggle={(sweetener) => onChange({ sweetener })}
        />
        <Question
          title={copy.start.richness}
          choices={Object.entries(copy.start.richnesses).map(([code, name]) => ({ code, name }))}
          chosen={wish.richness}
          onToggle={(richness) => onChange({ richness: richness as Wish['richness'] })}
        />
        <Question
          title={copy.start.strainer}
          choices={copy.start.strained.map((name, n) => ({ code: String(n === 1), name }))}
          chosen={String(wish.whole)}
          onToggle={(whole) => onChange({ whole: whole === 'true' })}
        />
      </div>
      <HowMuch wish={wish} onChange={onChange} />
      <ForWhom wish={wish} drinkers={choices.drinkers} onChange={onChange} />
    </Tray>
  )
}

/** basesWith are one base, or two: a third takes the place of the second. */
const basesWith = (now: string[], id: string) =>
  now.includes(id) ? now.filter((b) => b !== id) : [...now.slice(0, 1), id]

type Answer = Pick<WishChoice, 'code' | 'name'> & Partial<WishChoice>

type QuestionProps = {
  title: string
  aside?: string
  choices: Answer[]
  chosen: string | string[]
  onToggle: (code: string) => void
  children?: ReactNode
}

function Question({ title, aside, choices, chosen, onToggle, children }: QuestionProps) {
  const named = choices.map((c) => ({
    value: c.code,
    label: c.stockG ? `${c.name} · ${toGrams(c.stockG)}` : c.name,
  }))
  return (
    <div className="grid content-start gap-1.5">
      <h2 className="!font-text text-note text-rim">
        {title} {aside && <span className="font-normal text-mute">· {aside}</span>}
      </h2>
      <div className="flex flex-wrap gap-1.5">
        <ToggleGroup label={title} choices={named} chosen={chosen} onToggle={onToggle} />
        {children}
      </div>
    </div>
  )
}

type PartProps = { wish: Wish; onChange: (part: Partial<Wish>) => void }

function HowMuch({ wish, onChange }: PartProps) {
  return (
    <div className="flex flex-wrap gap-3">
      <NumberField
        className="w-28"
        label={copy.start.people}
        value={wish.people}
        limit={limits.people}
        onNumber={(people) => onChange({ people })}
      />
      <NumberField
        className="w-28"
        label={copy.start.days}
        value={wish.days}
        limit={limits.days}
        onNumber={(days) => onChange({ days })}
      />
      <NumberField
        className="w-44"
        label={copy.start.servingsADay}
        value={wish.servingsDay}
        limit={limits.servingsDay}
        onNumber={(servingsDay) => onChange({ servingsDay })}
      />
      <NumberField
        className="w-44"
        label={copy.start.readyWithin}
        unit="h"
        value={wish.withinH || undefined}
        limit={limits.withinH}
        onNumber={(withinH) => onChange({ withinH })}
        onEmpty={() => onChange({ withinH: 0 })}
      />
    </div>
  )
}

function ForWhom({ wish, drinkers, onChange }: PartProps & { drinkers: string[] }) {
  const toggled = (name: string) =>
    wish.suits.includes(name) ? wish.suits.filter((s) => s !== name) : [...wish.suits, name]
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {drinkers.length > 0 && (
        <Question
          title={copy.start.suits}
          choices={drinkers.map((name) => ({ code: name, name }))}
          chosen={wish.suits}
          onToggle={(name) => onChange({ suits: toggled(name) })}
        />
      )}
      <Allergens label={copy.start.without} codes={wish.without} onChange={(without) => onChange({ without })} />
    </div>
  )
}
