import { Slider } from 'radix-ui'
import { Bands, bandsClass, markerClass, type Scale, scaleClass, steps } from './DialRow'

type Props = Scale & { name: string; words: string; onTurn: (to: number) => void; onLetGo: () => void }

/** DialMarker is the scale with its marker, to drag or to move with the arrow keys. */
export function DialMarker({ name, words, onTurn, onLetGo, ...scale }: Props) {
  return (
    <Slider.Root
      min={0}
      max={steps}
      step={5}
      value={[scale.at]}
      disabled={!scale.settable}
      onValueChange={([to]) => to !== undefined && onTurn(to)}
      onValueCommit={onLetGo}
      className={scaleClass}
    >
      <Slider.Track className={bandsClass}>
        <Bands d={scale.d} />
      </Slider.Track>
      <Slider.Thumb aria-label={name} aria-valuetext={words} className={markerClass(scale)} />
    </Slider.Root>
  )
}
