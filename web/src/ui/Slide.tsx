import { Slider } from 'radix-ui'

type Props = {
  label: string
  value: number
  least: number
  most: number
  step: number
  /** What the place it stands at means, read out as it moves. */
  words: string
  /** The pigment of its full end. */
  pigment: string
  onChange: (value: number) => void
}

/** Slide is a slider from faint to full of one pigment; the arrow keys move it by a step. */
export function Slide({ label, value, least, most, step, words, pigment, onChange }: Props) {
  return (
    <Slider.Root
      min={least}
      max={most}
      step={step}
      value={[value]}
      onValueChange={([v]) => v !== undefined && onChange(v)}
      className="relative flex h-9 touch-none items-center select-none max-sm:h-11"
    >
      <Slider.Track
        className="relative h-3.5 w-full rounded-full"
        style={{
          background: `linear-gradient(to right, color-mix(in srgb, ${pigment} 12%, var(--color-milk)), ${pigment})`,
        }}
      />
      <Slider.Thumb
        aria-label={label}
        aria-valuetext={words}
        className="block size-6 rounded-full border-[3px] border-rim bg-enamel"
      />
    </Slider.Root>
  )
}
