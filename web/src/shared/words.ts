import type { Schemas } from './api/client'
import {
  CONDITIONS as CONDITION_CODES,
  METHODS as METHOD_CODES,
  RUNGS as RUNG_CODES,
  SIGNS as SIGN_CODES,
} from './api/codes'
import { i18n } from './i18n'

const { t } = i18n.global

/**
 * Words for codes on buttons and in lists, in the order in which they are offered; sentences of verdicts come from the
 * server. The codes are the server's: one that has no word here does not compile.
 */
function all<Code extends string>(words: Record<Code, string>): [string, string][] {
  return Object.entries<string>(words)
}

/** In the order in which the server has them. */
function inOrder<Code extends string>(
  codes: readonly Code[],
  words: Record<Code, string>,
): [string, string][] {
  return codes.map((code) => [code, words[code]])
}

export type Stage = Schemas['LayerCard']['stage']

export const STAGE_WORDS: Record<string, string> = {
  NONE: 'None',
  CALLUS: 'Callus',
  INITIALS: 'First tips',
  ROOTED: 'Rooted',
  FILLED: 'Filled',
  MATURE: 'Mature',
} satisfies Record<Stage, string>

/** How far a ball is, in the middle of a sentence. */
export const STAGE_STATES: Record<string, string> = {
  NONE: 'no roots yet',
  CALLUS: 'callus',
  INITIALS: 'first tips',
  ROOTED: 'rooted',
  FILLED: 'filled',
  MATURE: 'mature',
} satisfies Record<Stage, string>

export const STAGE_HINTS: Record<string, string> = {
  NONE: 'nothing to see at the upper cut',
  CALLUS: 'swelling or bumps',
  INITIALS: 'the first white points',
  ROOTED: 'roots through the medium in places',
  FILLED: 'roots at the wrap all round',
  MATURE: 'tan, branched, starting to circle',
} satisfies Record<Stage, string>

export const CONDITIONS = inOrder(CONDITION_CODES, {
  DRY: 'Dry',
  WET: 'Too wet',
  BRIDGED: 'Healing over',
  WRAP_OPEN: 'Wrap open',
  ROT: 'Rot',
  MEDIUM_LOST: 'Medium lost',
  SLIPPED: 'Slipped',
  CONSTRICTED: 'Tie bites',
  PESTS: 'Pests',
  ALGAE: 'Algae',
  TOP_WILTED: 'Top wilted',
  TOP_DEAD: 'Top dead',
  DETACHED: 'Broken off',
})

export const WORKS = all<Schemas['Tended']['work']>({
  REWET: 'Soaked the ball',
  REWRAP: 'Wrapped it again',
  RELIEVE: 'Watered and shaded the mother',
  CUT_BRIDGE: 'Cut the bridge of bark',
  CLEAN_OUT: 'Opened and cleaned it out',
  RESCORE: 'Scarred the empty sectors again',
  VENT: 'Let it drain',
  TREAT_PESTS: 'Treated pests',
  COVER: 'Changed the cover',
  LOOSEN_TIE: 'Loosened the tie',
  UPSIZE: 'Gave it a larger container',
  SOAK: t('works.SOAK'),
  NEXT_SEASON: t('works.NEXT_SEASON'),
  PROP: 'Propped the limb',
  REST_TIP: t('works.REST_TIP'),
  CHANGE_WATER: t('works.CHANGE_WATER'),
  TIDY_STUB: 'Tidied the stub on the mother',
  PROTECT: 'Protected it from frost',
  CARRY_OVER: 'Decided: carry it over',
  HOLD_SPRING: 'Decided: hold till spring',
  HOLD_DORMANT: 'Decided: hold till leaf fall',
  HOLD_FRUIT: 'Decided: hold for the fruit',
})

export const COVERS = all<Schemas['Recipe']['cover']>({
  FOIL: 'Foil',
  WHITE: 'White',
  BLACK: 'Black',
  CLEAR: 'None (clear)',
})

export const WOODS = all<Schemas['LimbView']['wood']>({
  SOFT: 'Soft, this year’s',
  ONE_TWO: 'One or two years',
  THREE_FOUR: 'Three or four years',
  OLDER: 'Older',
})

export const MEDIA = all<Schemas['Recipe']['medium']>({
  MOSS: 'moss',
  COIR: 'coir',
  PEAT: 'peat',
  COIR_PERLITE: 'coir and perlite',
  COIR_HUSK: 'coir and rice husk',
  COIR_SAND: 'coir and sand',
  MANURE_EARTH: 'manure and earth',
  HUSK_FIBRE: 'coconut husk',
  POTTING_MIX: 'potting mix',
  HEAVY_SOIL: 'heavy soil',
})

export const METHODS = inOrder(METHOD_CODES, {
  AIR: 'Air layer',
  SOFT_TIP: 'Soft tip',
  FOIL_START: 'Foil start',
  POT_STOOL: 'Pot stool',
  GROUND: 'Ground layer',
  SUCKER: 'Sucker',
  JAR: 'Jar (an experiment)',
  CUTTING: 'Cutting (to compare)',
})

export const WOUNDS = all<Schemas['Recipe']['wound']>({
  RING_SCRAPED: 'Ring, scraped clean',
  RING_UNSCRAPED: 'Ring, not scraped',
  RING_AND_TOURNIQUET: 'Ring and a wire above it',
  TOURNIQUET: 'Wire only',
  BARK_SCRAPED: 'Bark roughened',
  LEAF_STRIPPED: 'A leaf pulled off',
  UNWOUNDED: 'No wound',
})

export const WRAPS = all<Schemas['Recipe']['wrap']>({
  SEALED_FILM: 'Sealed film',
  TIED_FILM: 'Tied film',
  SLIT_BAG: 'Slit bag',
  VENTED_BAG: 'Vented bag',
  FOIL_ONLY: 'Foil only',
  HINGED_POD: 'Hinged pod',
  SPLIT_POT: 'Split pot',
  IN_GROUND: 'None: in the ground',
  IN_TENT: 'None: under a tent',
})

export const DIFFICULTIES = all<Schemas['SpeciesProfile']['difficulty']>({
  EASY: 'Easy',
  MODERATE: 'Moderate',
  DIFFICULT: 'Difficult',
})

export const HABITS = all<Schemas['SpeciesProfile']['habit']>({
  DECIDUOUS: 'Deciduous',
  SEMI_EVERGREEN: 'Half evergreen',
  EVERGREEN: 'Evergreen',
})

export const OWN_ROOTS = all<Schemas['SpeciesProfile']['ownRoots']>({
  GOOD: 'Good',
  FAIR: 'Fair',
  POOR: 'Poor',
})

export const ROOT_RUNS = all<Schemas['MotherView']['rootRun']>({
  GROUND: 'in the ground',
  POT: 'in a pot',
})

export const VIGOURS = all<Schemas['MotherView']['vigour']>({
  STRONG: 'strong',
  NORMAL: 'of normal vigour',
  WEAK: 'weak',
})

export const RIGHTS = all<Schemas['MotherView']['rights']>({
  FREE: 'None',
  PERMITTED: 'Protected, permission on record',
  PROTECTED: 'Protected, no permission',
})

export const POSITIONS = all<NonNullable<Schemas['Setting']['position']>>({
  BELOW_NODE: 'Below a node',
  BETWEEN_NODES: 'Between nodes',
  NODE_IN_RING: 'Node in the ring',
  AT_FORK: 'Below a fork',
})

export const CAUSES = all<Schemas['Lost']['cause']>({
  TOO_LATE: 'Set too late',
  BRIDGED: 'Bridged',
  DRIED: 'Dried out',
  ROTTED: 'Rotted',
  ANIMALS: 'Animals',
  BROKE: 'Broke',
  SLIPPED: 'Slipped',
  TOP_DIED: 'The top died',
  NO_ROOTS: 'No roots',
  WILTED_AFTER: 'Wilted after severance',
  COLLAR_ROT: 'Collar rot',
  OVERWATERED: 'Overwatered',
  WINTER: 'Winter',
  LABEL_LOST: 'Label lost',
  HORMONE_BURN: t('causes.HORMONE_BURN'),
  OTHER: t('causes.OTHER'),
})

export const LADDERS = all<Schemas['OnLadder']['ladder']>({
  IN_LEAF: 'The ladder',
  LONG_SHADE: 'Long shade',
  DORMANT: 'Dormant till bud break',
  MOSS_TRAY: 'Moss tray',
  GROUND: t('ladders.GROUND'),
  MONTH: t('ladders.MONTH'),
})

export const RUNGS = inOrder(RUNG_CODES, {
  TENT: 'Tent',
  SHADE: 'Shade',
  HALF: 'Half shade',
  LIGHT: 'Light shade',
  OPEN: 'Open',
})

export const SHELTERS = all<Schemas['InShelter']['shelter']>({
  MIST_TENT: 'Closed tent or mist',
  TUNNEL_SHADE: 'Shaded tunnel',
  OPEN_SHADE: 'Open shade',
  OPEN_SUN: 'Open sun',
})

export const SIGNS = inOrder(SIGN_CODES, {
  TURGID: 'Stands well',
  DROOP: 'Droops',
  CURL: 'Curls',
  LEAF_DROP: 'Drops leaves',
  MOULD: 'Mould',
  PESTS: 'Pests',
  NEW_GROWTH: 'New growth',
  ROOTS_AT_EDGE: 'Roots at the edge',
})

/** What may be next to do, by the code that the list is narrowed with. */
export const JOBS: [string, string][] = [
  ['LOOK', 'Look'],
  ['TOP_UP', 'Top up'],
  ['REWET', 'Soak'],
  ['REWRAP', 'Wrap again'],
  ['RERING', 'Ring again'],
  ['CUT_BRIDGE', 'Cut the bridge'],
  ['CLEAN_OUT', 'Clean out'],
  ['RESCORE', 'Re-score'],
  ['RELIEVE', 'Relieve'],
  ['RESCUE', 'Rescue'],
  ['PROTECT', 'Protect'],
  ['NEXT_SEASON', t('jobs.NEXT_SEASON')],
  ['SOAK', t('jobs.SOAK')],
  ['GAMBLE', 'Sever on few roots'],
  ['SEVER', 'Sever, as planned'],
  ['SEVER_NOW', 'Sever'],
  ['SEVER_SOON', 'Sever soon'],
  ['SEVER_TO_COVER', 'Sever to cover'],
  ['SEVER_DORMANT', 'Sever dormant'],
  ['COVER', 'Cover'],
  ['COVER_NOW', 'Foil on today'],
  ['PROP', 'Prop the limb'],
  ['VENT', 'Let it drain'],
  ['TREAT_PESTS', 'Treat pests'],
  ['LOOSEN_TIE', 'Loosen the tie'],
  ['UPSIZE', 'Larger container'],
  ['POT_UP', 'Pot up'],
  ['POT_ON', 'Move on from moss'],
  ['STEP_UP', 'Move up'],
  ['STEP_BACK', 'Move back'],
  ['OPEN_AND_LOOK', 'Open and look'],
  ['RELEASE', 'Release'],
  ['HOLD_UNDER_COVER', 'Hold under cover'],
  ['TIDY_STUB', 'Tidy the stub'],
  ['LOST', 'Check a dead top'],
  ['ABANDON', 'Give up'],
]

export const PHASES: Record<string, string> = {
  ON_MOTHER: 'On the mother',
  SEVERED: 'Severed',
  POTTED: 'Hardening off',
  RELEASED: 'Released',
  LOST: 'Lost',
  WITHDRAWN: 'Taken back',
} satisfies Record<Schemas['LayerCard']['phase'], string>

export const KINDS: Record<string, string> = {
  SET: 'Set',
  LOOKED: 'Look',
  WRAP_SEEN: t('kinds.WRAP_SEEN'),
  TOPPED_UP: 'Topped up',
  RERUNG: 'New ring',
  STOOD_IN_WATER: 'Limb cut whole, into water',
  TENDED: 'Work done',
  CHOSEN: 'Thought over',
  CUT_PLANNED: 'Cut planned',
  SEVERED: 'Severed',
  POTTED: 'Potted up',
  MOVED: 'Moved',
  OBSERVED: 'Seen',
  RELEASED: 'Released',
  LOST: 'Lost',
  DEFERRED: 'Put off',
  NOTED: 'Note',
  WITHDRAWN: 'Took back a record',
  PHOTO: 'Photo',
} satisfies Record<Schemas['LayerChange']['kind'] | 'PHOTO', string>

/** What a record of a kind did to a layer, after the name of whoever did it. */
export const DEEDS: Record<string, string> = {
  SET: 'set',
  LOOKED: 'looked at',
  WRAP_SEEN: t('deeds.WRAP_SEEN'),
  TOPPED_UP: 'topped up',
  RERUNG: 'ringed',
  STOOD_IN_WATER: 'cut the limb whole of',
  TENDED: 'worked on',
  CHOSEN: 'thought over',
  CUT_PLANNED: 'planned the cut of',
  SEVERED: 'severed',
  POTTED: 'potted up',
  MOVED: 'moved',
  OBSERVED: 'looked at',
  RELEASED: 'released',
  LOST: 'wrote off',
  DEFERRED: 'put off',
  NOTED: 'noted something on',
  WITHDRAWN: 'took back a record of',
} satisfies Record<Schemas['LayerChange']['kind'], string>

export const CONFLICTS: Record<string, string> = {
  NOT_SET_YET: 'it is dated before the layer was set',
  SET_TWICE: 'the layer was set already',
  NOT_UNDERSTOOD: 'an older page sent it in a way that can’t be read any more; it stands as a note',
  NO_LONGER_ON_MOTHER: 'by then the layer was off its mother',
  NOT_SEVERED: 'by then the layer was still on its mother',
  NOT_POTTED: 'by then the layer was not potted',
  ALREADY_POTTED: 'by then the layer was potted already',
  FINISHED: 'by then the layer was released or lost',
}

export const OPENERS = all<NonNullable<Schemas['WrapSeen']['openedBy']>>({
  BIRDS: t('openers.BIRDS'),
  SQUIRRELS: t('openers.SQUIRRELS'),
  WIND: t('openers.WIND'),
  ANTS: t('openers.ANTS'),
})

export const SIDES = all<NonNullable<Schemas['Looked']['bareSide']>>({
  NORTH: t('sides.NORTH'),
  EAST: t('sides.EAST'),
  SOUTH: t('sides.SOUTH'),
  WEST: t('sides.WEST'),
  UPPER: t('sides.UPPER'),
  LOWER: t('sides.LOWER'),
})

export const TIES = all<NonNullable<Schemas['BallAsWrapped']['tie']>>({
  STRETCH: t('ties.STRETCH'),
  ZIP: t('ties.ZIP'),
  STRING: t('ties.STRING'),
  WIRE: t('ties.WIRE'),
})

export const WATERINGS = all<NonNullable<Schemas['Recipe']['watering']>>({
  BY_THE_SUM: t('waterings.BY_THE_SUM'),
  NEVER: t('waterings.NEVER'),
  WEEKLY: t('waterings.WEEKLY'),
})

export function word(pairs: [string, string][], code: string): string {
  return pairs.find(([one]) => one === code)?.[1] ?? code
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** What a date rests on, in brackets after it. */
export const restsOn = (ownRecords: number): string => (ownRecords ? `own records, ${ownRecords}` : 'profile')
