<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { usePlaces } from '@/shared/usePlaces'
import {
  CAUSES,
  CONDITIONS,
  CONFLICTS,
  COVERS,
  KINDS,
  LADDERS,
  MEDIA,
  OPENERS,
  POSITIONS,
  RUNGS,
  SHELTERS,
  SIDES,
  SIGNS,
  STAGE_WORDS,
  TIES,
  WORKS,
  WOUNDS,
  word,
} from '@/shared/words'
import type { LayerPage } from './useLayer'
import { allRecipes } from '@/shared/api/nursery'

/** Everything that was recorded, with who and when; what was taken back stays to be seen. */
const props = defineProps<{ layer: LayerPage; mayUndo: boolean }>()
const emit = defineEmits<{ undo: [id: string]; correct: [record: Schemas['RecordView']] }>()
const session = useSession()
const { t } = useI18n()
const places = usePlaces()
const recipes = useQuery(allRecipes)

/** The recipe that it went on by. */
const madeBy = (d: Record<string, unknown>): string =>
  d.recipeId ? (recipes.data.value?.find((one) => one.id === Number(d.recipeId))?.name ?? '') : ''

/** The ball as it was wrapped. */
function wrapped(made: unknown): string {
  const ball = made as Partial<Schemas['BallAsWrapped']> | null | undefined
  if (!ball) return ''
  const mm = (value: number) => show(value, 'length', session.units)
  return [
    ball.volumeMl && t('made.ofMl', { volume: show(ball.volumeMl, 'volume', session.units) }),
    ball.lengthMm && t('made.longWords', { length: mm(ball.lengthMm) }),
    ball.acrossMm && t('made.acrossWords', { across: mm(ball.acrossMm) }),
    ball.tie && t('made.tiedWords', { tie: word(TIES, ball.tie).toLowerCase() }),
  ]
    .filter(Boolean)
    .join(', ')
}

function sentence(one: Schemas['RecordView']): string {
  const d = one.details as Record<string, unknown>
  const mm = (key: string) => show(Number(d[key]), 'length', session.units)
  const isSaid = (key: string) => d[key] !== null && d[key] !== undefined
  const opened = () =>
    d.openedBy ? t('look.openedWords', { by: word(OPENERS, String(d.openedBy)).toLowerCase() }) : ''
  const all = (...some: (string | false | undefined)[]) => some.filter(Boolean).join(', ')
  switch (one.kind) {
    case 'SET':
      return all(
        `limb ${mm('diameterMm')}`,
        !isSaid('ringMm') ? t('notSaid.ring') : Number(d.ringMm) ? `ring ${mm('ringMm')}` : 'no ring',
        wrapped(d.wrapped),
        isSaid('position') && word(POSITIONS, String(d.position)).toLowerCase(),
        isSaid('leavesBeyond') ? `${d.leavesBeyond} leaves beyond` : t('notSaid.leaves'),
        d.hollow === true && t('made.hollow').toLowerCase(),
      )
    case 'LOOKED': {
      const found = (d.conditions as string[]).map((code) => word(CONDITIONS, code).toLowerCase())
      return all(
        STAGE_WORDS[String(d.stage)]?.toLowerCase(),
        isSaid('fillPercent') && `${d.fillPercent}% full`,
        ...found,
        opened(),
        isSaid('bareSide') && t('look.bareWords', { side: word(SIDES, String(d.bareSide)).toLowerCase() }),
      )
    }
    case 'WRAP_SEEN':
      return (
        all(...(d.conditions as string[]).map((code) => word(CONDITIONS, code).toLowerCase()), opened()) ||
        t('look.wrapSound')
      )
    case 'TOPPED_UP':
      return isSaid('waterMl') ? show(Number(d.waterMl), 'volume', session.units) : ''
    case 'RERUNG':
      return all(
        isSaid('ringMm') ? `${mm('ringMm')} wide` : t('notSaid.ring'),
        madeBy(d),
        isSaid('wound') && word(WOUNDS, String(d.wound)).toLowerCase(),
        isSaid('hormonePpm') && `${d.hormonePpm} ppm`,
        isSaid('ballMedium') && word(MEDIA, String(d.ballMedium)),
        wrapped(d.wrapped),
        d.nurseRoots === true && t('made.nurseWords'),
      )
    case 'STOOD_IN_WATER':
      return madeBy(d)
    case 'TENDED':
      return all(
        word(WORKS, String(d.work)) + (d.cover ? ` (${word(COVERS, String(d.cover)).toLowerCase()})` : ''),
        wrapped(d.wrapped),
      )
    case 'SEVERED':
      return (
        (isSaid('leavesLeft')
          ? `${d.leavesLeft}${isSaid('leavesBefore') ? ` of ${d.leavesBefore}` : ''} leaves left on`
          : t('notSaid.leaves')) +
        (d.leavesHalved ? `, ${d.leavesHalved} of them halved` : '') +
        (d.shelter ? `, into ${word(SHELTERS, String(d.shelter)).toLowerCase()}` : '') +
        (d.fruitLeft ? ', a few fruit left on' : '') +
        (d.aboveLimb ? `, ${t('sever.aboveLimbWords')}` : '') +
        (Number(d.plants) > 1 ? `, ${t('sever.plantsWords', { count: Number(d.plants) })}` : '')
      )
    case 'CUT_PLANNED':
      return d.cutOn ? `for ${dayText(String(d.cutOn), props.layer.asOf)}` : 'no day any more'
    case 'CHOSEN':
      return (
        ({ IN_LEAF: 'in leaf', DORMANT: 'after leaf fall', SPRING: 'in spring' }[String(d.school)] ?? '') +
        (d.fruitToKeep ? ', fruit to be kept' : '')
      )
    case 'POTTED':
      return (
        ({
          LIGHT_MIX: 'light mix',
          MOSS_STAGE: 'moss in a tray',
          GROUND: 'straight into the ground',
          GARDEN_SOIL: 'garden soil',
          HEAVY_COMPOST: 'heavy compost',
          PEAT_AND_BARK: 'raw peat and bark',
        }[String(d.medium)] ?? '') +
        (d.pot ? `, ${d.pot}` : '') +
        (d.oldMedium === 'TEASED_OUT' ? ', old medium teased out' : '') +
        (d.circlingTrimmed ? ', circling roots trimmed' : '')
      )
    case 'MOVED':
      return (
        `to ${word(RUNGS, String(d.rung)).toLowerCase()}` +
        (d.placeId && places.value.length ? `, ${word(places.value, String(d.placeId))}` : '') +
        (d.ladder ? `, aftercare: ${word(LADDERS, String(d.ladder)).toLowerCase()}` : '')
      )
    case 'OBSERVED':
      return (d.signs as string[]).map((code) => word(SIGNS, code).toLowerCase()).join(', ')
    case 'RELEASED':
      return (
        { SALE: 'to sale', PLANTED_OUT: 'planted out', MOTHER_STOCK: 'to mother stock' }[
          String(d.destination)
        ] ?? ''
      )
    case 'DEFERRED':
      return `to ${dayText(String(d.until), props.layer.asOf)}`
    case 'LOST':
      return String(d.words || word(CAUSES, String(d.cause)).toLowerCase())
    default:
      return ''
  }
}
</script>

<template>
  <section aria-labelledby="records-title">
    <h2 id="records-title" class="text-base">Records</h2>
    <ol class="mt-1" data-testid="records">
      <li
        v-for="one in layer.records"
        :key="one.id"
        class="flex flex-wrap items-center gap-x-4 border-b border-line py-1"
        :data-kind="one.kind"
        :data-in-force="one.inForce"
      >
        <span class="w-28 shrink-0 text-muted">{{ dayText(one.on, layer.asOf) }}</span>
        <span class="min-w-0 grow basis-60 py-2" :class="{ 'text-muted line-through': !one.inForce }">
          <b>{{ KINDS[one.kind] }}{{ one.corrects && one.kind !== 'WITHDRAWN' ? ', corrected' : '' }}</b
          ><template v-if="sentence(one)">: {{ sentence(one) }}</template>
          <template v-if="one.note"> · “{{ one.note }}”</template>
          <span v-if="one.conflict" class="block font-bold text-rust">
            Kept, but not counted: {{ CONFLICTS[one.conflict] }}.
          </span>
        </span>
        <span class="text-sm text-muted">{{ one.by }}</span>
        <button
          v-if="mayUndo && one.inForce && one.kind !== 'WITHDRAWN'"
          class="link min-h-12 px-2 text-sm"
          :aria-label="`Correct: ${KINDS[one.kind]}, ${dayText(one.on, layer.asOf)}`"
          @click="emit('correct', one)"
        >
          Correct
        </button>
        <button
          v-if="mayUndo && one.inForce && one.kind !== 'WITHDRAWN'"
          class="link min-h-12 px-2 text-sm"
          :aria-label="`Take back: ${KINDS[one.kind]}, ${dayText(one.on, layer.asOf)}`"
          @click="emit('undo', one.id)"
        >
          Take back
        </button>
      </li>
    </ol>
  </section>
</template>
