import { copy } from '../copy'
/** What can be chosen, in the cook's words; the values are the server's. */

export const systems = [
  { value: 'us', label: copy.app.usCups },
  { value: 'metric', label: copy.app.metricCups },
  { value: 'au', label: copy.app.australianCups },
  { value: 'imperial', label: copy.app.imperialCups },
]

export const strainers = [
  { value: 'bag', label: copy.app.nutMilkBagSqueezed },
  { value: 'cloth', label: copy.app.doubledClothSqueezed },
  { value: 'gentle', label: copy.app.clothSqueezedGently },
  { value: 'passes', label: copy.app.clothThreeGentlePasses },
  { value: 'sieve', label: copy.app.fineSieve },
  { value: 'sieve-pushed', label: copy.app.fineSievePressedWithA },
  { value: 'sieve-cloth', label: copy.app.sieveThenCloth },
  { value: 'none', label: copy.app.notStrained },
  { value: 'juicer', label: copy.app.juicer },
]

export const heats = [
  { value: 'by base', label: copy.app.automatic },
  { value: 'none', label: copy.app.notHeated },
  { value: 'warm', label: copy.app.warmedTo80C },
  { value: 'under-boil', label: copy.app.justUnderTheBoil },
  { value: 'simmer', label: copy.app.boiledThenSimmered },
  { value: 'boil', label: copy.app.boiledHard },
]

export const kinds = [
  { value: 'guess', label: copy.app.automatic },
  { value: 'milk', label: copy.app.milk },
  { value: 'creamer', label: copy.app.creamer },
  { value: 'cream', label: copy.app.cream },
  { value: 'horchata', label: copy.app.horchata },
  { value: 'nog', label: copy.app.nog },
  { value: 'concentrate', label: copy.app.concentrate },
  { value: 'chocolate', label: copy.app.chocolate },
  { value: 'brewed', label: copy.app.coffeeOrTea },
  { value: 'cooler', label: copy.app.cooler },
]

export const blenders = [
  { value: 'regular', label: copy.app.regularBlender },
  { value: 'high-speed', label: copy.app.highSpeedBlender },
]
