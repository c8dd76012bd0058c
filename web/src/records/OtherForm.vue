<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem } from '@/shared/api/client'
import { show, toSend, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import SeverForm from './SeverForm.vue'
import { CAUSES, COVERS, WORKS } from '@/shared/words'
import BallMade from './BallMade.vue'
import MadeBy from './MadeBy.vue'
import RingForm from './RingForm.vue'
import WholeLimb from './WholeLimb.vue'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './newRecord'

/** Whatever is recorded beside a look: water, a new ring, other work, the severing, a loss. */
const props = defineProps<{ layer: Card; kind: string; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; close: [] }>()
const session = useSession()
const { t } = useI18n()

const water = ref('')
const again = ref<InstanceType<typeof RingForm> | null>(null)
/** the ball, where the work makes it anew */
const ball = ref<Record<string, unknown> | null>(null)
const work = ref(WORKS.find(([code]) => code === props.layer.advice.step)?.[0] ?? 'REWET')
const cover = ref('BLACK')
const leavesBefore = ref('')
const leavesLeft = ref('')
const cause = ref('')
const causeWords = ref('')
const note = ref('')
/** the recipe that it goes on by */
const recipe = ref('')
/** all that stand on its limb */
const together = ref([props.layer.code])

/** Whether there is a ball on a limb, rather than roots in the ground, a pot or a tent. */
const hangs = props.layer.recipe.way.hangs
const titles: Record<string, string> = {
  TOPPED_UP: hangs ? 'Top up the ball' : t('other.water'),
  RERUNG: 'Ring it again',
  STOOD_IN_WATER: t('madeBy.inWater'),
  TENDED: 'What was done?',
  SEVERED: t('other.takeUp'),
  LOST: 'Record it as lost',
}
const error = (field: string) => (props.problem instanceof Problem ? props.problem.of(field) : undefined)

/** Works after which another ball may hang there. */
const MAKES_A_BALL = ['REWRAP', 'UPSIZE', 'RESCORE']
const makesABall = computed(() => MAKES_A_BALL.includes(work.value))
/** What nobody counted is not said, and no nought. */
const counted = (text: string) => (text.trim() ? Number(text) : null)

function details(): Record<string, unknown> {
  switch (props.kind) {
    case 'TOPPED_UP':
      return { waterMl: water.value.trim() ? toSend(water.value, 'volume', session.units) : null }
    case 'RERUNG':
      return again.value?.details() ?? {}
    case 'STOOD_IN_WATER':
      return { recipeId: recipe.value ? Number(recipe.value) : null, leavesLeft: null }
    case 'TENDED':
      return {
        work: work.value,
        cover: work.value === 'COVER' ? cover.value : null,
        wrapped: makesABall.value ? ball.value : null,
      }
    case 'SEVERED':
      return { leavesBefore: counted(leavesBefore.value), leavesLeft: counted(leavesLeft.value) }
    default:
      return { cause: cause.value, words: cause.value === 'OTHER' ? causeWords.value.trim() : null }
  }
}
const isComplete = computed(
  () =>
    (props.kind !== 'STOOD_IN_WATER' || recipe.value) &&
    (props.kind !== 'LOST' || (cause.value && (cause.value !== 'OTHER' || causeWords.value.trim()))),
)

function keep(): void {
  const all = props.kind === 'STOOD_IN_WATER' ? { codes: together.value } : {}
  emit('keep', { kind: props.kind, details: details(), note: note.value.trim(), ...all })
}
</script>

<template>
  <SeverForm
    v-if="kind === 'SEVERED' && layer.recipe.way.staysOnMother"
    :layer="layer"
    :saving="saving"
    :problem="problem"
    @keep="emit('keep', $event)"
    @close="emit('close')"
  />
  <form v-else class="panel grid gap-4" @submit.prevent="keep">
    <h2 class="text-lg">{{ titles[kind] }}</h2>
    <Field
      v-if="kind === 'TOPPED_UP'"
      v-model="water"
      label="Water"
      :unit="unitOf('volume', session.units)"
      :error="error('waterMl')"
      :hint="
        t('other.hasLost', { water: show(layer.suggested.waterMl, 'volume', session.units) }) +
        (hangs ? '' : ' ' + t('other.lostWater'))
      "
    />
    <RingForm v-if="kind === 'RERUNG'" ref="again" :layer="layer" :error="error" />
    <template v-if="kind === 'STOOD_IN_WATER'">
      <WholeLimb v-model="together" :layer="layer" />
      <MadeBy
        v-model="recipe"
        :fits="(one) => one.recipe.method === 'JAR'"
        :now="layer.recipe"
        :error="error('details.recipeId')"
      />
      <p class="border-l-4 border-sap bg-sap-pale p-2">{{ t('madeBy.inWaterHow') }}</p>
    </template>
    <template v-if="kind === 'TENDED'">
      <PickOne v-model="work" label="Work" :options="WORKS.filter(([code]) => code !== 'TIDY_STUB')" />
      <Choice v-if="work === 'COVER'" v-model="cover" label="New cover" :options="COVERS" />
      <BallMade v-if="makesABall" v-model="ball" :asked="layer.drawing.ball" :error="error" />
    </template>
    <template v-if="kind === 'SEVERED'">
      <div class="grid gap-4 sm:grid-cols-2">
        <Field
          v-model="leavesBefore"
          label="Leaves on it"
          inputmode="decimal"
          :error="error('leavesBefore')"
        />
        <Field v-model="leavesLeft" label="Leaves left on" inputmode="decimal" :error="error('leavesLeft')" />
      </div>
    </template>
    <template v-if="kind === 'LOST'">
      <PickOne v-model="cause" label="Why" :options="[['', t('other.chooseCause')], ...CAUSES]" />
      <Field
        v-if="cause === 'OTHER'"
        v-model="causeWords"
        :label="t('other.causeWords')"
        :error="error('words')"
      />
    </template>
    <label class="grid gap-1">
      <span class="font-bold">Note</span>
      <input v-model="note" class="input" maxlength="1000" />
    </label>
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving || !isComplete" data-testid="keep-other">Keep</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
