/** Words for tables and columns. */
export const TABLES: Record<string, [string, string]> = {
  site: ['Site', 'where the nursery lies, its climate and its round days'],
  people: ['People', 'who signs in, without their passwords'],
  places: ['Places', 'field, tunnel, benches'],
  species: ['Species profiles', 'how each kind roots'],
  recipes: ['Recipes', 'as they are in force'],
  'house-rules': ['House rules', 'every figure of the rules'],
  prices: ['Prices', 'what work and stuff cost'],
  mixes: ['Mixes', 'what the media are mixed from'],
  containers: ['Containers', 'pods, bags and pots round a ball'],
  hormones: ['Hormones', 'packs with strength and lot'],
  pots: ['Pots', 'for severed plants'],
  mothers: ['Mothers', 'the stock plants'],
  limbs: ['Limbs', 'of the mothers, with their measures'],
  weather: ['Weather', 'measured days'],
  layers: ['Layers', 'one a row, with its life in brief'],
  records: ['Records', 'the whole journal, record by record'],
  'learned-times': ['Learned times', 'what was settled on from own records'],
  targets: ['Plants wanted', 'targets and how sure they are to be'],
  trials: ['Trials', 'questions and decisions'],
  'trial-arms': ['Arms of trials', 'which recipes are compared'],
  'trial-places': ['Places of trials', 'which branch was dealt which arm'],
  'planned-batches': ['Planned batches', 'what is to be set on which day'],
}

const UNITS: Record<string, string> = {
  mm: 'mm',
  ml: 'mL',
  c: '°C',
  g: 'g',
  ppm: 'ppm',
  cm2: 'cm²',
  ms: 'm/s',
  deg: '°',
}

/** A column as people read it: diameter_mm is “Diameter, mm”. */
export function columnWords(name: string): string {
  const words = name.split('_')
  const unit = UNITS[words[words.length - 1]!]
  const plain = (unit && words.length > 1 ? words.slice(0, -1) : words).join(' ')
  return plain.charAt(0).toUpperCase() + plain.slice(1) + (unit && words.length > 1 ? `, ${unit}` : '')
}

/** What a code is in words: ONE_TWO is “one two”. */
export const codeWords = (code: string): string => code.toLowerCase().replaceAll('_', ' ')

export const count = (n: number, one: string, many: string): string =>
  n === 1 ? `one ${one}` : `${n.toLocaleString('en-GB').replaceAll(',', ' ')} ${many}`
