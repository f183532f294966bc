import { useMemo } from 'react'
import type { Recipe } from '../../api/schema'

/** Size is what a recipe says of how much is made. */
export type Size = Pick<Recipe, 'sizeBy' | 'sizeValue' | 'sizeEach' | 'perDay' | 'servingML'>

/** useSize is the size of a recipe, the same object while only the rest of the recipe changes. */
export function useSize({ sizeBy, sizeValue, sizeEach, perDay, servingML }: Recipe): Size {
  return useMemo(
    () => ({ sizeBy, sizeValue, sizeEach, perDay, servingML }),
    [sizeBy, sizeValue, sizeEach, perDay, servingML],
  )
}
