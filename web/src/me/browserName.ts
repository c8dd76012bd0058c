/** What a person calls a browser, from the long line that it calls itself. */
const ENGINES: [RegExp, string][] = [
  [/Firefox\/\d+/, 'Firefox'],
  [/Edg\/\d+/, 'Edge'],
  [/(Chrome|Chromium|CriOS)\/\d+/, 'Chromium'],
  [/Version\/[\d.]+.*Safari/, 'Safari'],
]
const MACHINES: [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'macOS'],
  [/Linux/, 'Linux'],
]

/** Empty where it says nothing that is known. */
export function browserName(said: string): string {
  const of = (names: [RegExp, string][]) => names.find(([pattern]) => pattern.test(said))?.[1]
  const parts = [of(ENGINES), of(MACHINES)].filter((one) => one !== undefined)
  return parts.length ? parts.join(', ') : said.slice(0, 40)
}
