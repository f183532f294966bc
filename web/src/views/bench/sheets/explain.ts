import type { WordsRead } from '../../../api/schema'
import { copy } from '../../../copy'

/** What the words of a line can be read as, as a cook says it. */
const parts: Record<string, string> = {
  '': copy.bench.notRead,
  amount: copy.bench.howMuch,
  'second-amount': copy.bench.sameAmountAgain,
  size: 'size',
  ingredient: copy.bench.whatItIs,
  form: copy.bench.whatKind,
  prepared: copy.bench.howItIsPrepared,
  neutral: copy.bench.changesNothing,
  note: copy.bench.aNote,
  instead: copy.bench.anotherChoice,
}

/** explain says of each word of a line what it was read as. */
export const explain = (words: WordsRead[]) => words.map((w) => `${w.words}: ${parts[w.as] ?? w.as}`).join('\n')
