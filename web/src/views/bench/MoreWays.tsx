import { Popover } from 'radix-ui'
import { type ReactNode, useState } from 'react'
import { Recipe as limits } from '../../api/limits'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { NumberField } from '../../ui/NumberField'
import { ActButton, Typing } from '../../ui/Typing'
import { type MoreProps, sized } from './SizeBar'

type Props = MoreProps & { trigger: ReactNode; opened: boolean }

/** MoreWays are the rarer ways to set a size: base on hand, bottles to fill, days it is to last. */
export function MoreWays({ size, edits, reckoning: r, onSize, onWriteAtSize, trigger, opened }: Props) {
  return (
    <Popover.Root defaultOpen={opened}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label={copy.bench.moreWaysToSetThe}
          className="z-40 grid w-72 gap-4 rounded-tray border-tray border-rim bg-enamel p-4 text-ink shadow-lg"
        >
          <NumberField
            label={copy.bench.baseOnHand}
            unit="g"
            limit={sized}
            hint={copy.bench.usesAllOfItAnd}
            value={size.sizeBy === 'base' ? size.sizeValue : undefined}
            onNumber={(v) => onSize('base', v)}
          />
          <NumberField
            label={copy.bench.servingSize}
            unit="mL"
            hint={copy.bench.emptyForUsualSize}
            value={size.servingML || undefined}
            limit={limits.servingML}
            onNumber={(v) => edits.setRecipe({ servingML: v }, 'servingML')}
            onEmpty={() => edits.setRecipe({ servingML: 0 }, 'servingML')}
          />
          <Together
            labels={[copy.bench.bottlesToFill, copy.bench.ofSize]}
            units={['bottles', 'mL']}
            values={size.sizeBy === 'bottles' ? [size.sizeValue, size.sizeEach] : [2, 400]}
            set={size.sizeBy === 'bottles'}
            onSet={([count, each]) => edits.setRecipe({ sizeBy: 'bottles', sizeValue: count, sizeEach: each })}
          />
          <Together
            labels={[copy.bench.days, copy.bench.cupsADay, copy.bench.aCupIs]}
            units={['days', 'cups', 'mL']}
            values={
              size.sizeBy === 'days'
                ? [size.sizeValue, size.perDay, size.sizeEach || r?.servingML || 30]
                : [3, 2, r?.servingML ?? 30]
            }
            set={size.sizeBy === 'days'}
            onSet={([count, perDay, each]) =>
              edits.setRecipe({ sizeBy: 'days', sizeValue: count, perDay, sizeEach: each })
            }
          />
          <Button disabled={size.sizeBy === ''} onClick={onWriteAtSize}>
            {copy.bench.saveAmountsAtThisSize}
          </Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

type TogetherProps = {
  labels: string[]
  units: string[]
  values: number[]
  set: boolean
  onSet: (values: number[]) => void
}

/** Together are numbers that size the batch only all at once. */
function Together({ labels, units, values, set, onSet }: TogetherProps) {
  const [now, setNow] = useState(values)
  return (
    <Typing>
      <div className="grid gap-2">
        <div className="flex gap-2">
          {labels.map((label, n) => (
            <NumberField
              key={label}
              label={label}
              unit={units[n] === 'mL' ? 'mL' : undefined}
              limit={sized}
              value={now[n]}
              onNumber={(v) => {
                const next = now.map((old, m) => (m === n ? v : old))
                setNow(next)
                if (set) onSet(next)
              }}
            />
          ))}
        </div>
        <ActButton aria-pressed={set} primary={set} onClick={() => onSet(now)}>
          {copy.bench.setSizeBy(copy.bench.sizeUnits[units[0] ?? ''] ?? '')}
        </ActButton>
      </div>
    </Typing>
  )
}
