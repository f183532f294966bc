import { copy } from '../../copy/more'
import { ErrorText } from '../../ui/Field'
import type { useFields } from '../../ui/form'
import type { Typed } from './typed'

type Props = {
  form: ReturnType<typeof useFields<Typed>>
  label: string
  name: 'handsQuiet' | 'noiseQuiet'
  from: 'handsFrom' | 'noiseFrom'
  to: 'handsTo' | 'noiseTo'
}

/** QuietHours are the hours from one time to another, over midnight where the first is later. */
export function QuietHours({ form, label, name, from, to }: Props) {
  const end = (field: Props['from'] | Props['to'], words: string) => (
    <label className="flex items-center gap-2 text-sm">
      {words}
      <input
        type="time"
        className="min-h-11 rounded-full border-2 border-rim bg-enamel px-3"
        aria-describedby={`${name}-error`}
        {...form.field(field)}
        maxLength={undefined}
        {...{ error: undefined, unit: undefined }}
      />
    </label>
  )
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">{label}</legend>
      <div className="flex flex-wrap gap-3">
        {end(from, copy.settings.from)}
        {end(to, copy.settings.until)}
      </div>
      <p className="mt-1 text-sm text-mute">{copy.settings.hoursHint}</p>
      <ErrorText id={`${name}-error`}>{form.errorOf(name)}</ErrorText>
    </fieldset>
  )
}
