import type { Schemas } from './client'

// Made from docs/openapi.json by "npm run types".

export const STAGES: NonNullable<Schemas['LayerCard']['stage']>[] = [
  'NONE',
  'CALLUS',
  'INITIALS',
  'ROOTED',
  'FILLED',
  'MATURE',
]

export const CONDITIONS: NonNullable<Schemas['LayerCard']['conditions']> = [
  'DRY',
  'WET',
  'ROT',
  'BRIDGED',
  'WRAP_OPEN',
  'MEDIUM_LOST',
  'PESTS',
  'ALGAE',
  'SLIPPED',
  'CONSTRICTED',
  'TOP_WILTED',
  'TOP_DEAD',
  'DETACHED',
]

export const METHODS: NonNullable<Schemas['MethodView']['method']>[] = [
  'AIR',
  'SOFT_TIP',
  'FOIL_START',
  'POT_STOOL',
  'GROUND',
  'SUCKER',
  'JAR',
  'CUTTING',
]

export const RUNGS: NonNullable<Schemas['OnLadder']['rung']>[] = [
  'TENT',
  'SHADE',
  'HALF',
  'LIGHT',
  'OPEN',
]

export const SIGNS: NonNullable<Schemas['Observed']['signs']> = [
  'TURGID',
  'DROOP',
  'CURL',
  'LEAF_DROP',
  'MOULD',
  'PESTS',
  'NEW_GROWTH',
  'ROOTS_AT_EDGE',
]
