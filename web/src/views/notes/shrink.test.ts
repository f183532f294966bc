import { expect, test } from 'vitest'
import { fitted } from './shrink'

test.each([
  [3200, 1600, 1600, 800],
  [900, 3600, 400, 1600],
  [640, 480, 640, 480],
])('%s × %s is sent as %s × %s', (w, h, width, height) => expect(fitted(w, h)).toEqual({ width, height }))
