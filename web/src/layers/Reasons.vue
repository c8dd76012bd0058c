<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { CONDITIONS, STAGE_WORDS, word } from '@/shared/words'

/** Every rule in its order, with what it read. */
defineProps<{ rules: Schemas['RuleView'][] }>()

const RULES: Record<string, string> = {
  TOP_DEAD: 'Is the top dead?',
  OFF_THE_MOTHER: 'Is it broken off?',
  ROT: 'Is there rot?',
  BALL_LOST: 'Is the medium gone?',
  DRY: 'Is the ball dry?',
  WRAP: 'Is the wrap open or slipped?',
  TOP_WILTED: 'Does the top wilt?',
  FIRST_LOOK_DUE: 'Is a first look due?',
  BRIDGED: 'Has bark grown over the ring?',
  OVERDUE: 'Should it have roots by now?',
  COLD_NEAR: 'Is the cold near?',
  FEW_ROOTS_LATE: 'Few roots, and long overdue?',
  NOTHING_TO_DO: 'Otherwise: wait.',
  EMPTY_SECTORS: 'A specimen with empty sectors?',
  LEAF_FALLEN: 'Are the leaves off?',
  EVERGREEN_WINTER: 'An evergreen in winter?',
  TROUBLE: 'Full, but in trouble?',
  FRUIT: 'Fruit to be kept?',
  SEVERING_SCHOOL: 'Does the recipe hold it on?',
  ROOM: 'Is there time before frost?',
  NO_ROOM: 'Otherwise: too near frost.',
}
const FACTS: Record<string, string> = {
  CONDITIONS: 'found',
  LOOKED: 'looked at',
  STAGE: 'stage',
  COVERAGE: 'sectors with roots',
  STALLED_LOOKS: 'looks without progress',
  ATTEMPTS: 're-rings',
  RESCORES: 're-scores',
  READY_P: 'ready by now',
  WINDOW_P: 'in time if ringed today',
  GROWING: 'growing',
  LEAFLESS: 'leafless',
  DAYS_TO_FROST: 'days to frost',
  ESTABLISH_DAYS: 'days to establish',
  HARDY: 'stands the winter here',
  COVER: 'cover at hand',
  FRUIT_TO_KEEP: 'fruit to keep',
  SPECIMEN: 'specimen',
  BALL_DRIES: 'dries within a week',
  SCHOOL: 'severed',
}
const SOURCES: Record<string, string> = {
  LOOK: 'from the last look',
  RECORDS: 'from the records',
  FORECAST: 'from the forecast',
  CLIMATE: 'from the climate',
  HOUSE: 'a house figure',
  RECIPE: 'from the recipe',
}
const SCHOOLS: Record<string, string> = {
  IN_LEAF: 'in leaf',
  DORMANT: 'after leaf fall',
  SPRING: 'in spring',
}
const PERCENT = new Set(['READY_P', 'WINDOW_P', 'COVERAGE'])

function value(fact: Schemas['FactView']): string {
  const raw = fact.value as unknown
  if (raw === null) return 'never'
  if (typeof raw === 'boolean') return raw ? 'yes' : 'no'
  if (Array.isArray(raw))
    return raw.length ? raw.map((one) => word(CONDITIONS, String(one)).toLowerCase()).join(', ') : 'nothing'
  if (PERCENT.has(fact.name)) return `${Math.round(Number(raw) * 100)}%`
  return STAGE_WORDS[String(raw)]?.toLowerCase() ?? SCHOOLS[String(raw)] ?? String(raw)
}
</script>

<template>
  <ol class="grid gap-1 text-sm" data-testid="reasons">
    <li
      v-for="rule in rules.filter((one) => one.outcome !== 'NOT_EVALUATED')"
      :key="rule.rule"
      :class="rule.outcome === 'APPLIED' ? 'font-bold' : ''"
      :data-rule="rule.rule"
    >
      {{ RULES[rule.rule] }}
      <span>{{ rule.outcome === 'APPLIED' ? 'This decided.' : 'No.' }}</span>
      <span class="font-normal">
        ({{
          rule.facts.map((fact) => `${FACTS[fact.name]}: ${value(fact)}, ${SOURCES[fact.source]}`).join('; ')
        }})
      </span>
    </li>
  </ol>
</template>
