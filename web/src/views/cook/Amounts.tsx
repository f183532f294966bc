import { Check, Undo2 } from 'lucide-react'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import { useScale, useScaleChange, useWeighing } from '../../api/cooking'
import type { Front, ItemAmount, ItemStep, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { IconButton } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { toGrams } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { Over } from './Over'
import { Scale } from './Scale'
import { StandIn } from './StandIn'
import { WeighByHand } from './WeighByHand'

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
    <Tray label={copy.cook.ingredients} className="grid content-start gap-4">
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
            <IconButton label={copy.cook.deleteTheWeightOf(amount.name)} onClick={() => forget.mutate(undefined)}>
              <Undo2 size={20} aria-hidden />
            </IconButton>
          </>
        )}
      </div>
      {active && amount.fine && <p className="text-base text-mute">{copy.cook.tooSmallForThisScale}</p>}
      {active && <WeighByHand item={item} amount={amount} onDone={onDone} />}
    </li>
  )
}

function howMuch(a: ItemAmount): string {
  if (a.extra) return copy.cook.aLittleMoreIfNeeded
  return a.open ? copy.cook.asMuchAsItTakes : toGrams(a.massG)
}
