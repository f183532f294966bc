import { Check, Undo2 } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useScale, useScaleChange, useWeighing } from '../../api/hooks'
import type { Front, ItemAmount, ItemStep, PlanItem, WeighedNow } from '../../api/schema'
import { Button, IconButton } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText, Field } from '../../ui/Field'
import { toGrams } from '../../ui/format'
import { asMeasure } from '../../ui/number'
import { Tray } from '../../ui/Tray'
import { Over } from './Over'
import { Scale } from './Scale'
import { StandIn } from './StandIn'

type Props = { item: PlanItem; step: ItemStep; front: Front }

/** Amounts is what goes in at the step, weighed on the scale or typed by hand. */
export function Amounts({ item, step, front }: Props) {
  const scale = useScale().data
  const [chosen, setChosen] = useState<string>()
  const put = useScaleChange((key: string) => answer(api.POST('/api/scale/amount', { body: { key } })))
  const onScale = scale?.connected && scale.itemID === item.id
  const active = onScale ? scale.key : (chosen ?? step.amounts[front.amount]?.key)
  const choose = (a: ItemAmount) => (onScale ? put.mutate(a.key) : setChosen(a.key))
  return (
    <Tray label="What goes in" className="grid content-start gap-4">
      <Scale itemID={item.id} />
      {front.over && <Over itemID={item.id} over={front.over} />}
      <ul className="text-xl">
        {step.amounts.map((a) => (
          <AmountRow
            key={a.key}
            item={item}
            amount={a}
            active={a.key === active}
            onChoose={() => choose(a)}
            onDone={() => setChosen(undefined)}
          />
        ))}
      </ul>
      {scale?.standIn && (onScale || scale.note) && <StandIn toGoG={scale.toGoG} />}
    </Tray>
  )
}

type RowProps = { item: PlanItem; amount: ItemAmount; active: boolean; onChoose: () => void; onDone: () => void }

function AmountRow({ item, amount, active, onChoose, onDone }: RowProps) {
  const path = { path: { id: item.id } }
  const forget = useWeighing(() =>
    answer(api.DELETE('/api/plan/items/{id}/weighings', { params: { ...path, query: { key: amount.key } } })),
  )
  const { used } = amount
  return (
    <li className="border-t border-line py-1.5">
      <div className="flex items-center gap-2">
        <button
          type="button"
          aria-pressed={active}
          onClick={onChoose}
          className={classes('min-h-11 grow text-left leading-tight', active ? 'font-bold' : '')}
        >
          {amount.name}
          <span className="block text-base font-normal text-mute">
            {[amount.text, howMuch(amount)].filter(Boolean).join(' · ')}
          </span>
        </button>
        {used && (
          <>
            <b
              className={classes(
                'flex items-center gap-1 text-right',
                used.settled ? 'text-pandan' : 'text-hibiscus-deep',
              )}
            >
              {used.settled && <Check size={20} aria-hidden />}
              {toGrams(used.massG)}
            </b>
            <IconButton label={`Forget what was weighed of ${amount.name}`} onClick={() => forget.mutate(undefined)}>
              <Undo2 size={20} aria-hidden />
            </IconButton>
          </>
        )}
      </div>
      {active && amount.fine && (
        <p className="text-base text-mute">Finer than the scale reads; a spoon tells better.</p>
      )}
      {active && <Typed item={item} amount={amount} onDone={onDone} />}
    </li>
  )
}

function howMuch(a: ItemAmount): string {
  if (a.extra) return 'a little more, if it needs it'
  return a.open ? 'as much as it takes' : toGrams(a.massG)
}

/** Typed takes down what was weighed by hand. */
function Typed({ item, amount, onDone }: { item: PlanItem; amount: ItemAmount; onDone: () => void }) {
  const [typed, setTyped] = useState('')
  const weigh = useWeighing((body: WeighedNow) =>
    answer(api.POST('/api/plan/items/{id}/weighings', { params: { path: { id: item.id } }, body })),
  )
  const { used } = amount
  const take = (massG: number, taken = false) =>
    weigh.mutate(
      { key: amount.key, massG, taken },
      {
        onSuccess: () => {
          setTyped('')
          onDone()
        },
      },
    )
  const submit = (e: FormEvent) => {
    e.preventDefault()
    const massG = asMeasure(typed, 'g')
    take(Number.isNaN(massG) ? 0 : massG)
  }
  const under = used?.verdict === 'under' && !used.settled
  return (
    <form onSubmit={submit} className="flex flex-wrap items-end gap-2 pt-1 text-base">
      <Field
        className="w-36"
        label={`Weighed: ${amount.name}`}
        unit="g"
        inputMode="decimal"
        autoComplete="off"
        value={typed}
        error={weigh.error instanceof Refused ? weigh.error.message : undefined}
        onChange={(e) => setTyped(e.target.value)}
      />
      <Button type="submit">Take down</Button>
      {amount.text && !amount.open && !used && (
        <Button onClick={() => take(amount.massG)}>
          <span>As written{amount.fine && ', by the spoon'}</span>
        </Button>
      )}
      {under && (
        <>
          <Button onClick={() => take(used.massG, true)}>Leave it</Button>
          <p className="w-full font-bold text-hibiscus-deep">{toGrams(-used.offByG)} to go.</p>
        </>
      )}
      <ErrorText id="weigh-error">
        {weigh.error && !(weigh.error instanceof Refused) ? 'It could not be kept.' : undefined}
      </ErrorText>
    </form>
  )
}
