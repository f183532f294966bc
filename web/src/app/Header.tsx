import { Keyboard, Settings2 } from 'lucide-react'
import { useState } from 'react'
import { Link, useLocation } from 'wouter'
import { IconButton } from '../ui/Button'
import { classes } from '../ui/classes'
import { Mark } from '../ui/Mark'
import { KitchenDialog } from './KitchenDialog'

const views = [
  { name: 'Bench', to: '/', owns: (at: string) => at === '/' || at.startsWith('/bench') },
  { name: 'Shelf', to: '/shelf', owns: (at: string) => at.startsWith('/shelf') },
  { name: 'Pantry', to: '/pantry', owns: (at: string) => at.startsWith('/pantry') },
]

/** Header has the mark, the views, and the kitchen's own ways. */
export function Header({ onShowKeys }: { onShowKeys: () => void }) {
  const [at] = useLocation()
  const [open, setOpen] = useState(false)
  return (
    <header className="print:hidden flex flex-wrap items-center gap-x-6 gap-y-1 py-2.5 max-sm:gap-x-2">
      <Link href="/" className="flex items-center gap-2.5 font-head text-[22px] font-bold max-sm:text-lg">
        <Mark />
        <span className="max-[430px]:sr-only">Plush Ladle</span>
      </Link>
      <nav aria-label="Views" className="flex gap-1">
        {views.map((v) => (
          <Link
            key={v.name}
            href={v.to}
            aria-current={v.owns(at) ? 'page' : undefined}
            className={classes(
              'flex min-h-9 items-center rounded-full px-4 font-bold max-sm:min-h-11 max-sm:px-3',
              v.owns(at) ? 'bg-rim text-on-rim' : 'text-mute hover:text-ink',
            )}
          >
            {v.name}
          </Link>
        ))}
      </nav>
      <div className="ml-auto flex">
        <IconButton label="Keys" onClick={onShowKeys} className="max-sm:hidden">
          <Keyboard size={20} aria-hidden />
        </IconButton>
        <button
          type="button"
          onClick={() => setOpen(true)}
          className="eased flex min-h-9 items-center gap-2 rounded-full px-3 font-bold text-mute hover:text-ink max-sm:min-h-11"
        >
          <Settings2 size={20} aria-hidden />
          <span className="max-sm:sr-only">Kitchen</span>
        </button>
      </div>
      {open && <KitchenDialog onClose={() => setOpen(false)} />}
    </header>
  )
}
