/** What can be chosen, in the cook's words; the values are the server's. */

export const systems = [
  { value: 'us', label: 'US cups' },
  { value: 'metric', label: 'Metric cups' },
  { value: 'au', label: 'Australian cups' },
  { value: 'imperial', label: 'Imperial cups' },
]

export const strainers = [
  { value: 'bag', label: 'Bag, squeezed firmly' },
  { value: 'cloth', label: 'Doubled cloth, squeezed' },
  { value: 'gentle', label: 'Cloth, gently' },
  { value: 'passes', label: 'Cloth, three gentle passes' },
  { value: 'sieve', label: 'Fine sieve' },
  { value: 'sieve-pushed', label: 'Fine sieve, pushed with a spoon' },
  { value: 'sieve-cloth', label: 'Sieve, then cloth' },
  { value: 'none', label: 'Not strained' },
  { value: 'juicer', label: 'Juicer' },
]

export const heats = [
  { value: 'by base', label: 'As it needs' },
  { value: 'none', label: 'Not heated' },
  { value: 'warm', label: 'Warmed to 80 °C' },
  { value: 'under-boil', label: 'Just under the boil' },
  { value: 'simmer', label: 'Brought to the boil, then simmered' },
  { value: 'boil', label: 'Boiled hard' },
]

export const kinds = [
  { value: 'guess', label: 'As it looks' },
  { value: 'milk', label: 'Milk' },
  { value: 'creamer', label: 'Creamer' },
  { value: 'cream', label: 'Cream' },
  { value: 'horchata', label: 'Horchata' },
  { value: 'nog', label: 'Nog' },
  { value: 'concentrate', label: 'Concentrate' },
  { value: 'chocolate', label: 'Chocolate' },
  { value: 'brewed', label: 'Coffee or tea' },
  { value: 'cooler', label: 'Cooler' },
]

export const blenders = [
  { value: 'regular', label: 'Regular' },
  { value: 'high-speed', label: 'High-speed' },
]
