/**
 * Where a walk goes on: what is still to do, in the order in which the walk was begun, so that nothing jumps about
 * underfoot when a record changes what is due. What was skipped comes last.
 */
export function walkOrder(
  begun: readonly string[],
  toDo: readonly string[],
  skipped: ReadonlySet<string>,
): string[] {
  const open = new Set(toDo)
  const known = begun.filter((code) => open.has(code))
  const added = toDo.filter((code) => !begun.includes(code))
  const all = [...known, ...added]
  return [...all.filter((code) => !skipped.has(code)), ...all.filter((code) => skipped.has(code))]
}

/** The next to do after one that may be done by now; round to the first at the end; empty when nothing is left. */
export function nextAfter(
  code: string,
  begun: readonly string[],
  toDo: readonly string[],
  skipped: ReadonlySet<string>,
): string {
  const order = walkOrder(begun, toDo, skipped).filter((one) => one !== code)
  const place = (one: string) => {
    const at = begun.indexOf(one)
    return at < 0 ? begun.length : at
  }
  const here = begun.indexOf(code)
  return order.find((one) => place(one) > here && !skipped.has(one)) ?? order[0] ?? ''
}
