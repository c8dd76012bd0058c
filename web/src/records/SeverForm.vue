<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem, type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './newRecord'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { number, whole as wholeNumber } from '@/shared/quantity'
import { SHELTERS } from '@/shared/words'
import LeafOverRoot from './LeafOverRoot.vue'
import { count, drawing, taken, whole, type LeafState } from './leaves'
import { usePlaces } from '@/shared/usePlaces'
import { leafBalance } from '@/shared/api/layers'

/** Leaf over root, and the cut: today, or settled on for a better day of the week. */
const { t } = useI18n()
const props = defineProps<{ layer: Card; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; close: [] }>()

const leaves = ref('')
const leafCm2 = ref('')
const shelter = ref('MIST_TENT')
const day = ref(props.layer.asOf)
const fruitLeft = ref('')
const placeId = ref('')
const note = ref('')
const states = ref<LeafState[]>([])

const query = computed(() => {
  const asked = new URLSearchParams()
  const n = wholeNumber(leaves.value)
  const area = number(leafCm2.value)
  if (typeof n === 'number') asked.set('leaves', String(n))
  if (typeof area === 'number') asked.set('leafCm2', String(area))
  return asked.toString()
})
const { data: balance, error, refetch } = useQuery(leafBalance(() => props.layer, query))
const places = usePlaces()

watch(
  () => balance.value,
  (now) => {
    if (!now) return
    if (states.value.length !== now.leaves) suggest('off')
  },
  { immediate: true },
)

const onDay = computed(() => balance.value?.days.find((one) => one.on === day.value))
const here = computed(() => onDay.value?.shelters.find((one) => one.shelter === shelter.value))
const carriesIn = (one: Schemas['DayBalance'], where: string) =>
  one.shelters.find((sheltered) => sheltered.shelter === where)?.carries ?? 0
const days = computed(() =>
  (balance.value?.days ?? []).map((one): [string, string] => [
    one.on,
    one.on === props.layer.asOf ? t('shed.today') : one.weekday,
  ]),
)
function sayOf(one: Schemas['DayBalance']): string {
  const verdict = t(
    one.on === balance.value?.bestOn ? 'shed.best' : one.willDo ? 'shed.willDo' : 'shed.willNotDo',
  )
  return balance.value?.leaves
    ? t('shed.carries', { verdict, leaves: carriesIn(one, shelter.value) })
    : verdict
}
/** What was typed is being weighed yet: the leaves that are drawn are those of before. */
const isStale = computed(() => {
  const n = wholeNumber(leaves.value)
  return balance.value !== undefined && typeof n === 'number' && n !== balance.value.leaves
})
const left = computed(() => drawing(states.value))
const tooMany = computed(() => Math.max(0, left.value - (here.value?.carries ?? 0)))
const isToday = computed(() => day.value === props.layer.asOf)

/** What the roots can't carry: off, or halved where that is enough. */
function suggest(way: 'off' | 'half' | 'none'): void {
  const n = balance.value?.leaves ?? 0
  if (way === 'none' || !here.value) states.value = whole(n)
  else if (way === 'half' && here.value.halve !== null) states.value = taken(n, 0, here.value.halve)
  else states.value = taken(n, here.value.remove, 0)
}

const of = (field: string) => (props.problem instanceof Problem ? props.problem.of(field) : undefined)
/** With no balance at hand, what was done is recorded all the same. */
const plainLeft = ref('')
const aboveLimb = ref('')
const plants = ref('')
/** Leaves are said once somebody counted them, or touched one: what was only suggested was not done. */
const isCounted = computed(() => leaves.value.trim() !== '' || touched.value || balance.value?.leaves === 0)
const touched = ref(false)

/** A forked piece: whether a limb of it stays on the mother, and how many plants it becomes. */
const piece = () => ({
  aboveLimb: aboveLimb.value ? aboveLimb.value === 'YES' : null,
  plants: plants.value.trim() ? wholeNumber(plants.value) : null,
})

function keep(): void {
  if (balance.value && !isToday.value) {
    emit('keep', { kind: 'CUT_PLANNED', details: { cutOn: day.value }, note: note.value.trim() })
    return
  }
  emit('keep', {
    kind: 'SEVERED',
    details: balance.value
      ? {
          leavesBefore: isCounted.value ? (wholeNumber(leaves.value) ?? balance.value.leaves) : null,
          leavesLeft: isCounted.value ? balance.value.leaves - count(states.value, 'off') : null,
          leavesHalved: isCounted.value ? count(states.value, 'half') : 0,
          leafCm2: leafCm2.value.trim() ? number(leafCm2.value) : null,
          shelter: shelter.value || null,
          fruitLeft: fruitLeft.value ? fruitLeft.value === 'LEFT' : null,
          placeId: placeId.value ? Number(placeId.value) : null,
          ...piece(),
        }
      : {
          leavesBefore: leaves.value.trim() ? wholeNumber(leaves.value) : null,
          leavesLeft: plainLeft.value.trim() ? wholeNumber(plainLeft.value) : null,
          shelter: shelter.value || null,
          ...piece(),
        },
    note: note.value.trim(),
  })
}
</script>

<template>
  <form class="panel grid gap-4" aria-label="Sever it" @submit.prevent="keep">
    <h2 class="text-lg">Sever it</h2>
    <p v-if="balance?.first.length" class="border-l-8 border-rust bg-rust-pale p-3" data-testid="tip-first">
      Sever from the tip down:
      <template v-for="(code, i) in balance.first" :key="code"
        >{{ i ? ', ' : ''
        }}<RouterLink class="link font-bold" :to="{ name: 'layer', params: { code } }">{{ code }}</RouterLink>
      </template>
      {{ balance.first.length === 1 ? 'stands' : 'stand' }} nearer the tip and would come off with it.
    </p>
    <template v-if="balance">
      <div class="grid gap-4 sm:grid-cols-[minmax(13rem,1fr)_1.2fr]">
        <div>
          <LeafOverRoot
            v-if="balance.leaves"
            v-model="states"
            :fill-percent="balance.fillPercent"
            @update:model-value="touched = true"
          />
          <p class="text-center text-2xl font-bold" data-testid="top-over-bottom">
            {{ left }} on {{ here?.carries ?? 0 }}
          </p>
          <p class="text-center" :class="tooMany ? 'font-bold text-rust' : ''" data-testid="balance-verdict">
            {{
              !balance.leaves
                ? 'No leaves: nothing wilts.'
                : tooMany
                  ? `Leaf for ${tooMany} too many: it will wilt.`
                  : 'The roots carry what is left.'
            }}
          </p>
        </div>
        <div class="grid content-start gap-4">
          <p class="text-lg font-bold" data-testid="leaf-instruction">{{ here?.sentence }}</p>
          <div v-if="here?.remove || left < balance.leaves" class="flex flex-wrap gap-2">
            <button type="button" class="btn" @click="((touched = true), suggest('off'))">
              Take them off
            </button>
            <button v-if="here?.halve" type="button" class="btn" @click="((touched = true), suggest('half'))">
              Halve instead
            </button>
            <button type="button" class="btn" @click="((touched = true), suggest('none'))">
              Leave all on
            </button>
          </div>
          <p v-if="balance.leaves && isToday" data-testid="leaves-said">
            {{
              isCounted
                ? t('sever.leavesSaid', { left: balance.leaves - count(states, 'off'), of: balance.leaves })
                : t('sever.leavesUnsaid')
            }}
          </p>
          <p v-if="balance.leaves" class="eyebrow">Touch a leaf: once halves it, twice takes it off.</p>
          <Choice
            v-model="shelter"
            label="It goes into"
            :options="
              SHELTERS.map(([code, text]) => [
                code,
                balance!.leaves && onDay ? `${text}: carries ${carriesIn(onDay, code)}` : text,
              ])
            "
          />
          <PickOne
            v-model="placeId"
            label="At"
            :options="[['', `where it is (${layer.mother.place})`], ...places]"
          />
        </div>
      </div>
      <div>
        <Choice v-model="day" :label="t('shed.onWhichDay')" :options="days" :marked="balance.bestOn">
          <template #more="{ index }">{{ sayOf(balance.days[index]!) }}</template>
        </Choice>
        <p class="mt-1" data-testid="day-said">
          {{ dayText(day, layer.asOf) }}: {{ onDay?.said.join(' ') || 'will do.' }}
        </p>
      </div>
      <template v-if="isToday">
        <div class="grid gap-4 sm:grid-cols-2">
          <Field
            v-model="leaves"
            label="Leaves on it"
            inputmode="decimal"
            :error="of('leavesBefore')"
            :hint="
              t(balance.leavesCounted ? 'sever.leavesThen' : 'sever.leavesTaken', { leaves: balance.leaves })
            "
          />
          <Field
            v-model="leafCm2"
            label="One leaf"
            unit="cm²"
            inputmode="decimal"
            :error="of('leafCm2')"
            :hint="t('notSaid.takenShort', { taken: `${balance.leafCm2} cm²` })"
          />
        </div>
        <p v-if="!balance.fillMeasured" class="eyebrow" data-testid="fill-taken">
          {{ t('sever.fillTaken', { fill: Math.round(balance.fillPercent) }) }}
        </p>
        <details class="border-l-4 border-line pl-3">
          <summary class="link flex min-h-12 cursor-pointer items-center">{{ t('sever.forked') }}</summary>
          <div class="grid gap-4 sm:grid-cols-2">
            <PickOne
              v-model="aboveLimb"
              :label="t('sever.aboveLimb')"
              :options="[
                ['', t('notSaid.option')],
                ['YES', t('sever.aboveLimbYes')],
                ['NO', t('sever.aboveLimbNo')],
              ]"
            />
            <Field
              v-model="plants"
              :label="t('sever.plants')"
              inputmode="decimal"
              :hint="t('notSaid.takenShort', { taken: '1' })"
              :error="of('plants')"
            />
          </div>
        </details>
        <Choice
          v-model="fruitLeft"
          label="Fruit and flowers"
          :options="[
            ['OFF', 'All off'],
            ['LEFT', 'A few left on, to hold back the top'],
            ['', t('notSaid.option')],
          ]"
        />
      </template>
      <p data-testid="how-to-cut">{{ balance.cut }}</p>
      <p v-for="caution in balance.cautions" :key="caution"><b>Caution:</b> {{ caution }}</p>
    </template>
    <p v-else-if="!error" role="status" class="text-muted">Weighing leaf and root…</p>
    <template v-else>
      <ProblemNote :problem="error" @retry="refetch()" />
      <div class="grid gap-4 sm:grid-cols-2">
        <Field v-model="leaves" label="Leaves on it" inputmode="decimal" :error="of('leavesBefore')" />
        <Field v-model="leafCm2" label="One leaf" unit="cm²" inputmode="decimal" />
        <Field v-model="plainLeft" label="Leaves left on" inputmode="decimal" :error="of('leavesLeft')" />
      </div>
      <Choice v-model="shelter" label="It goes into" :options="SHELTERS" />
    </template>
    <label class="grid gap-1">
      <span class="font-bold">Note</span>
      <input v-model="note" class="input" maxlength="1000" />
    </label>
    <div class="flex flex-wrap gap-2">
      <button
        class="btn btn-main"
        :disabled="saving || (!balance && !error) || isStale || !!balance?.first.length"
        data-testid="keep-other"
      >
        {{ isToday ? 'Severed' : `Plan the cut for ${onDay?.weekday} ${dayText(day, layer.asOf)}` }}
      </button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
