/** The page's words that are chosen by a code of the server's. */
export const copy = {
  swapWays: {
    'equal-sweetness': 'equal sweetness',
    'equal-weight': 'equal weight',
    'equal-fat': 'equal fat',
    'equal-volume': 'equal volume',
    'equal-use': 'equal use',
    'by-count': 'the same count',
    'for-its-parts': 'its parts',
    'as-a-blend': 'the sum of the spices',
  } as Record<string, string>,
}
