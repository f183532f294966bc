/**
 * withChanged is what a value becomes with what the kitchen told of it: the fields of an object and the places of a
 * list that changed, null for a field that is gone, and else the new value. What did not change stays the same object.
 */
export function withChanged(was: unknown, change: unknown): unknown {
  if (typeof change !== 'object' || change === null || Array.isArray(change)) return change
  if (typeof was !== 'object' || was === null) return change
  const changes = Object.entries(change)
  if (Array.isArray(was)) {
    const list = was.slice()
    for (const [place, to] of changes) list[Number(place)] = withChanged(was[Number(place)], to)
    return list
  }
  const now: Record<string, unknown> = { ...was }
  for (const [field, to] of changes) {
    if (to === null) delete now[field]
    else now[field] = withChanged(now[field], to)
  }
  return now
}
