<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem } from '@/shared/api/client'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './newRecord'
import { show, toSend, typed, unitOf, whole } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { LADDERS } from '@/shared/words'
import { usePlaces } from '@/shared/usePlaces'
import { potAdvice } from '@/shared/api/layers'

/** Into what it goes: the smallest pot of the house that fits, and whether it stands in the wind where it is put. */
const props = defineProps<{ layer: Card; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()
const session = useSession()
const { t } = useI18n()

const medium = ref('LIGHT_MIX')
const ladder = ref('IN_LEAF')
const pot = ref('')
const volume = ref('')
const placeId = ref('')
const height = ref('')
const leaves = ref('')
const oldMedium = ref('')
const circling = ref('')

const query = computed(() => {
  const asked = new URLSearchParams()
  if (placeId.value) asked.set('placeId', placeId.value)
  const n = whole(leaves.value)
  if (typeof n === 'number') asked.set('leaves', String(n))
  if (height.value.trim()) asked.set('stemHeight', toSend(height.value, 'length', session.units))
  return asked.toString()
})
const { data: advice } = useQuery(potAdvice(() => props.layer, query))
const places = usePlaces()
watch(
  advice,
  (now, before) => {
    if (!now || before) return
    pot.value ||= now.chosen ?? ''
    ladder.value = now.ladder
    placeId.value ||= String(now.placeId)
    height.value ||= typed(now.stemHeightMm, 'length', session.units)
    leaves.value ||= String(now.leaves)
  },
  { immediate: true },
)
watch(medium, (now) => {
  if (ladder.value === 'IN_LEAF' || ladder.value === 'MOSS_TRAY')
    ladder.value = now === 'MOSS_STAGE' ? 'MOSS_TRAY' : 'IN_LEAF'
})
const media = computed(() =>
  props.layer.suggested.firstMedia.map((one): [string, string] => [one.medium, one.name]),
)
const said = computed(() => props.layer.suggested.firstMedia.find((one) => one.medium === medium.value))
const chosen = computed(() => advice.value?.pots.find((one) => one.name === pot.value))
const of = (field: string) => (props.problem instanceof Problem ? props.problem.of(field) : undefined)

function fitOf(one: { fits: boolean; stands: boolean }): string {
  return t(!one.fits ? 'shed.tooSmall' : one.stands ? 'shed.fitsAndStands' : 'shed.fitsAndTips')
}

function keep(): void {
  const inGround = medium.value === 'GROUND'
  emit('keep', {
    kind: 'POTTED',
    details: {
      medium: medium.value,
      ladder: ladder.value,
      potMl: inGround
        ? 0
        : chosen.value
          ? chosen.value.volumeMl
          : volume.value.trim()
            ? toSend(volume.value, 'volume', session.units)
            : null,
      pot: inGround ? '' : pot.value,
      oldMedium: oldMedium.value || null,
      circlingTrimmed: circling.value ? circling.value === 'YES' : null,
      placeId: placeId.value ? Number(placeId.value) : null,
    },
  })
}
</script>

<template>
  <form class="panel mb-5 grid gap-4" aria-label="Pot it up" @submit.prevent="keep">
    <h2 class="text-lg">{{ layer.plant?.mossSince ? 'Move it on from the moss' : 'Pot it up' }}</h2>
    <p>Wires, ties and film off first; keep bared roots misted.</p>
    <ul v-if="advice && medium !== 'GROUND'" class="text-lg" data-testid="pot-advice">
      <li v-for="sentence in advice.advice" :key="sentence">{{ sentence }}</li>
    </ul>
    <Choice v-model="medium" label="Into" :options="media" />
    <ul
      v-if="said?.remarks.length"
      class="border-l-8 py-1 pl-3"
      :class="
        said.level === 'WARN' || said.level === 'BLOCK'
          ? 'border-rust bg-rust-pale'
          : 'border-sap bg-sap-pale'
      "
      data-testid="medium-advice"
    >
      <li v-for="remark in said.remarks" :key="remark">{{ remark }}</li>
    </ul>
    <template v-if="medium !== 'GROUND'">
      <div v-if="advice?.pots.length">
        <Choice
          v-model="pot"
          :label="t('shed.pot')"
          :options="advice.pots.map((one) => [one.name, one.name])"
        >
          <template #more="{ index }">{{ fitOf(advice.pots[index]!) }}</template>
        </Choice>
        <p v-if="chosen" class="mt-1" data-testid="pot-fill">
          {{
            chosen.fits
              ? `Fill up with ${show(chosen.fillMl, 'volume', session.units)} of mix; it then weighs ${show(chosen.massKg * 1000, 'mass', session.units)}.`
              : 'The ball does not have the room round it that the house asks.'
          }}
        </p>
      </div>
      <Field
        v-else
        v-model="volume"
        label="Pot"
        :unit="unitOf('volume', session.units)"
        :error="of('potMl')"
      />
    </template>
    <div class="grid gap-4 sm:grid-cols-3">
      <PickOne v-model="placeId" label="It goes to" :options="places" />
      <Field v-model="height" label="Height above the pot" :unit="unitOf('length', session.units)" />
      <Field v-model="leaves" label="Leaves on it" inputmode="decimal" />
    </div>
    <Choice
      v-model="oldMedium"
      label="The old medium"
      :options="[
        ['LEFT_ON', 'Left on'],
        ['TEASED_OUT', 'Teased out and spread'],
        ['', t('notSaid.option')],
      ]"
    />
    <Choice
      v-model="circling"
      label="Roots that circled"
      :options="[
        ['NO', 'None'],
        ['YES', 'Trimmed'],
        ['', t('notSaid.option')],
      ]"
    />
    <Choice v-model="ladder" label="Aftercare" :options="LADDERS" />
    <p><b>Caution:</b> gloves and a dust mask with moss and composts; wash cuts. Lift heavy pots with two.</p>
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="pot">Potted</button>
      <RouterLink class="btn" :to="{ name: 'labels', query: { codes: layer.code } }"
        >Print its label</RouterLink
      >
      <button type="button" class="btn btn-rust" @click="emit('other', 'LOST')">Lost</button>
    </div>
  </form>
</template>
