import { useId } from 'react'
import { classes } from './classes'

type Props = {
  label: string
  accept: string
  onFile: (file: File) => void
  disabled?: boolean
  /** The label is only read out, where a heading stands above it. */
  quiet?: boolean
}

/** FileField is a labelled choice of a file from this device. */
export function FileField({ label, accept, onFile, disabled, quiet }: Props) {
  const id = useId()
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={classes(quiet ? 'sr-only' : 'mb-1 block text-sm font-bold')}>
        {label}
      </label>
      <input
        id={id}
        type="file"
        accept={accept}
        disabled={disabled}
        className="min-h-11 w-full min-w-0 text-note"
        onChange={(e) => {
          const file = e.target.files?.[0]
          if (file) onFile(file)
          e.target.value = '' // so that the same file can be chosen again
        }}
      />
    </div>
  )
}
