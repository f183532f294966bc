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
  { value: 'sieve', label: 'Fine sieve' },
  { value: 'none', label: 'Not strained' },
  { value: 'juicer', label: 'Juicer' },
]
