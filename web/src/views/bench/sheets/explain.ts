import type { WordsRead } from '../../../api/schema'

/** What the words of a line can be read as, as a cook says it. */
const parts: Record<string, string> = {
  '': 'not read',
  amount: 'how much',
  'second-amount': 'the same amount again',
  size: 'size',
  ingredient: 'what it is',
  form: 'what kind',
  prepared: 'how it is prepared',
  neutral: 'changes nothing',
  note: 'a note',
  instead: 'another choice',
}

/** explain says of each word of a line what it was read as. */
export const explain = (words: WordsRead[]) => words.map((w) => `${w.words}: ${parts[w.as] ?? w.as}`).join('\n')
