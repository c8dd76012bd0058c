/** Whoever stands in the field is not kept waiting for what the device knows already. */
const PATIENCE_MS = 1500

/**
 * The answer, or what is kept where it does not come soon: then the answer is told later.
 *
 * @param kept what the device knows; null if it knows nothing
 * @param later is told the answer that came too late to be waited for
 */
export async function soon<T>(answer: Promise<T>, kept: T | null, later: (answer: T) => void): Promise<T> {
  if (kept === null) return answer
  let isLate = false
  const waited = new Promise<null>((done) =>
    setTimeout(() => {
      isLate = true
      done(null)
    }, PATIENCE_MS),
  )
  answer.then(
    (come) => isLate && later(come),
    // whoever asks next is told
    () => undefined,
  )
  return (await Promise.race([answer, waited])) ?? kept
}
