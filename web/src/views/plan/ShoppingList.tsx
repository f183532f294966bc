import { useState } from 'react'
import { Link } from 'wouter'
import { useKitchen, usePlan } from '../../api/hooks'
import type { ToBuy } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toMoney } from '../../ui/format'
import { OwnItems, useOwnItems } from './OwnItems'
import { packWords } from './ToBuy'

/** ShoppingList is the list by itself, to print, to copy, or to hand on from a phone. */
export function ShoppingList() {
  const plan = usePlan().data
  const currency = useKitchen().data?.currency ?? ''
  const own = (useOwnItems().data ?? []).filter((i) => !i.done)
  if (!plan) return null
  const wanted = plan.toBuy.filter((b) => b.buyG > 0)
  return (
    <main className="grid max-w-xl gap-3">
      <h1 className="text-title leading-tight">{copy.plan.shoppingList}</h1>
      <TakeAlong text={[asText(wanted), ...own.map((i) => i.text)].filter(Boolean).join('\n')} />
      {wanted.length === 0 && <p>{copy.plan.youHaveEnoughOfEverything}</p>}
      <ul aria-label={copy.plan.shoppingList}>
        {wanted.map((b) => (
          <li key={b.id} className="flex items-baseline gap-3 border-b border-line py-1.5">
            <span aria-hidden className="size-4 shrink-0 self-center rounded border-2 border-rim" />
            <b className="grow">{b.name}</b>
            <span>{packWords(b)}</span>
            <span className="w-20 text-right text-mute">{b.cost > 0 && toMoney(b.cost, currency)}</span>
          </li>
        ))}
      </ul>
      <OwnItems />
      {plan.bill.cost > 0 && (
        <p className="font-bold">
          {copy.plan.inAll(toMoney(plan.bill.cost, currency))}
          {plan.bill.unpriced > 0 && copy.plan.withoutPrice(plan.bill.unpriced)}
        </p>
      )}
    </main>
  )
}

const asText = (list: ToBuy[]) => list.map((b) => `${b.name}, ${packWords(b)}`).join('\n')

function TakeAlong({ text }: { text: string }) {
  const [copied, setCopied] = useState(false)
  const take = async () => setCopied(await copiedText(text))
  return (
    <div className="flex flex-wrap items-center gap-2 print:hidden">
      <Link href="/plan" className="min-h-11 px-2 py-2 font-bold text-rim underline">
        {copy.plan.backToThePlan}
      </Link>
      <Button primary onClick={() => window.print()}>
        {copy.plan.print}
      </Button>
      <Button onClick={take}>{copy.plan.copyTheList}</Button>
      {'share' in navigator && (
        <Button onClick={() => navigator.share({ title: copy.plan.shoppingList, text }).catch(() => undefined)}>
          {copy.plan.share}
        </Button>
      )}
      <span role="status">{copied && copy.plan.copied}</span>
    </div>
  )
}

/** copiedText puts text on the clipboard, also where the browser gives it to a selection only: without HTTPS, or without leave. */
async function copiedText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text)
    return true
  } catch {
    // there is none, or it was not allowed
  }
  const field = document.createElement('textarea')
  field.value = text
  document.body.append(field)
  field.select()
  const done = document.execCommand('copy')
  field.remove()
  return done
}
