<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { newCommandId, type Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import RemarkList from '@/shared/ui/RemarkList.vue'
import BatchNews from './BatchNews.vue'
import BenchRows from './BenchRows.vue'
import BenchTop from './BenchTop.vue'
import BranchAside from './BranchAside.vue'
import Checklist from './Checklist.vue'
import { fromLimb } from './limbSpots'
import PlannedList from './PlannedList.vue'
import PlanFor from './PlanFor.vue'
import { useBench, type BenchRow } from './useBench'
import { aboutBatch, isBatch, useOutbox, type Batch } from '@/shared/device/outbox'
import type { Waiting } from '@/shared/device/store'
import { useTrialRows } from './useTrialRows'
import { allMothers, allRecipes, allSpecies } from '@/shared/api/nursery'
import { motherPage } from '@/shared/api/stock'
import { houseRules } from '@/shared/api/houseRules'
import { typed } from '@/shared/quantity'

/** What do I cut, mix and wrap? */
const route = useRoute()
const session = useSession()
const { t } = useI18n()
const { data: mothers } = useQuery(allMothers)
const { data: species } = useQuery(allSpecies)
const { data: recipes } = useQuery(allRecipes)

const {
  head,
  rows,
  body,
  preview,
  sums,
  isSettled,
  reason,
  isComplete,
  another,
  add,
  remove,
  cellError,
  clear,
  putBack,
} = useBench({ motherId: String(route.query.mother ?? '') })
const outbox = useOutbox()
/** That which is sent right now is neither waiting nor refused yet. */
const sending = ref('')
const waiting = computed(() =>
  [...outbox.waiting, ...outbox.refused].filter((one) => isBatch(one) && one.id !== sending.value),
)
const saving = ref(false)
const problem = ref<unknown>(null)
const count = ref('5')
const at = ref(0)
const done = ref<string[]>([])
const grid = ref<InstanceType<typeof BenchRows> | null>(null)
watch(
  recipes,
  (all) => {
    // a recipe that is gone since the draft was kept is none
    if (all?.[0] && !all.some((one) => String(one.id) === head.value.recipeId)) {
      head.value.recipeId = String(all[0].id)
    }
  },
  { immediate: true },
)
useTrialRows(rows, (batch) => putBack(batch))

const recipe = computed(() => recipes.value?.find((one) => String(one.id) === head.value.recipeId))
const mother = computed(() => mothers.value?.find((one) => String(one.id) === head.value.motherId))
const inHand = computed(() => Math.min(at.value, rows.value.length - 1))
const { data: rules } = useQuery(houseRules)
const rule = (code: string, usual: number) =>
  rules.value?.rules.find((one) => one.code === code)?.value ?? usual
const taken = computed(() => ({
  leaves: rule('taken.leaves', 8),
  fromUnionMm: rule('taken.from-union', 400),
  leanDeg: rule('taken.lean', 30),
}))
const isRing = computed(() => recipe.value?.recipe.wound.startsWith('RING') ?? true)
/** Of one batch, as the server takes them. */
const MAX = 500
const blocked = computed(() => preview.value?.remarks.some((one) => one.level === 'BLOCK') ?? false)
/** Whether balls bend a limb too far, or would if nothing held it up. */
const isLoaded = computed(
  () =>
    head.value.relief !== '' ||
    (preview.value?.rows.some((row) => row.load.verdict !== 'FINE') ?? false) ||
    (preview.value?.remarks.some((one) => one.key === 'LIMB') ?? false),
)
const warned = computed(() => preview.value?.remarks.some((one) => one.level === 'WARN') ?? false)
const maySet = computed(() => isComplete.value && !blocked.value && preview.value !== null)

/** The numbers of the row in hand, for the sums on their own. */
const sumsQuery = computed<Record<string, string>>(() => {
  const row = rows.value[inHand.value]!
  return {
    diameter: row.diameter,
    wood: row.wood || 'ONE_TWO',
    union: row.fromUnion || typed(taken.value.fromUnionMm, 'length', session.units),
    lean: row.lean || String(taken.value.leanDeg),
    layers: String(rows.value.length),
    recipe: head.value.recipeId,
    species: mother.value?.speciesCode ?? '',
    place: String(mother.value?.placeId ?? ''),
  }
})

const { data: page } = useQuery(motherPage(() => head.value.motherId))
const limbs = computed(() => (page.value?.limbs ?? []).filter((one) => !one.limb.goneOn))

/** A limb on record brings its measures with it, and the first free place on it. */
function onLimb(row: BenchRow, id: string): void {
  const stand = limbs.value.find((one) => String(one.limb.id) === id)
  row.limb = ''
  if (stand) Object.assign(row, fromLimb(stand, rows.value, session.units))
}
/** A limb and a place of a trial are one mother's: another that is picked has neither. */
function anotherMother(): void {
  rows.value.forEach((row) => Object.assign(row, { limb: '', slot: '' }))
}
// a limb that was come with from Stock is filled in once its measures are there
watch(
  limbs,
  () => {
    const wanted = String(route.query.limb ?? '')
    if (
      wanted &&
      rows.value.length === 1 &&
      !rows.value[0]!.limb &&
      head.value.motherId === route.query.mother
    ) {
      onLimb(rows.value[0]!, wanted)
    }
  },
  { immediate: true },
)

/** As many more branches like the last one; on a limb each takes the next place. */
async function same(more: number): Promise<void> {
  if (!Number.isInteger(more) || more < 1 || rows.value.length + more > MAX) return
  const limb = rows.value.at(-1)?.limb
  add(more)
  if (limb) rows.value.slice(-more).forEach((row) => onLimb(row, limb))
  await grid.value?.go(rows.value.length - 1, 'diameter')
}

watch(
  () => outbox.latest,
  (latest) => {
    if (latest && 'batchId' in latest.answer) done.value = latest.codes
  },
)

async function save(): Promise<void> {
  if (saving.value || !maySet.value) return
  saving.value = true
  problem.value = null
  done.value = []
  const batch = { ...body.value, reason: reason.value.trim() || null } as Batch
  const id = (sending.value = newCommandId())
  const outcome = await outbox.setBatch(id, batch, aboutBatch(batch, mother.value?.code ?? ''))
  if (outcome && 'problem' in outcome) {
    problem.value = outcome.problem
    // what is wrong stands beside the rows, which are all here still
    await outbox.drop(id)
  } else clear()
  sending.value = ''
  saving.value = false
  if (problem.value) return
  await grid.value?.go(0, 'diameter')
}

function back(one: Waiting): void {
  putBack(one.body as unknown as Batch)
  void outbox.drop(one.id)
}

function take(planned: Schemas['Planned']): void {
  putBack(planned.batch as unknown as Batch, String(planned.id))
  void grid.value?.go(0, 'diameter')
}
</script>

<template>
  <div class="flex flex-wrap items-baseline justify-between gap-x-6">
    <h1 class="text-2xl">Set layers</h1>
    <p class="flex flex-wrap gap-x-5">
      <RouterLink class="link inline-flex min-h-10 items-center" :to="{ name: 'sums' }">Sums</RouterLink>
      <RouterLink class="link inline-flex min-h-10 items-center" :to="{ name: 'trials' }">Trials</RouterLink>
      <RouterLink class="link inline-flex min-h-10 items-center" :to="{ name: 'shopping' }"
        >Shopping list</RouterLink
      >
    </p>
  </div>
  <BatchNews :done="done" :waiting="waiting" @flush="outbox.flush()" @back="back" />
  <PlannedList @take="take" />
  <BenchTop
    v-model="head"
    :mothers="mothers ?? []"
    :species="species ?? []"
    :recipes="recipes ?? []"
    @mother="anotherMother"
  />
  <p v-if="mothers && !mothers.length" class="panel mt-4">
    There is no mother yet.
    <RouterLink class="link" :to="{ name: 'stock' }">Add one in Stock</RouterLink> first.
  </p>
  <p v-if="recipes && !recipes.length" class="panel mt-4">
    There is no recipe yet.
    <RouterLink class="link" :to="{ name: 'house' }">Add one in House</RouterLink> first.
  </p>

  <div class="mt-6 grid gap-6 xl:grid-cols-[minmax(0,1fr)_22rem] xl:grid-rows-[auto_1fr]">
    <form :aria-busy="!isSettled" data-testid="batch" @submit.prevent="save">
      <BenchRows
        ref="grid"
        v-model="rows"
        :sums="sums"
        :limbs="limbs"
        :at="at"
        :is-ring="isRing"
        :taken="taken"
        :another="another"
        :cell-error="cellError"
        @at="at = $event"
        @remove="remove"
        @limb="onLimb"
        @send="save"
      />
      <div class="mt-3 flex flex-wrap items-center gap-2">
        <label class="flex items-center gap-2 font-bold">
          Same again ×
          <input
            v-model="count"
            class="input w-20"
            inputmode="numeric"
            data-testid="same-count"
            @keydown.enter.prevent="same(Number(count))"
          />
        </label>
        <button type="button" class="btn" data-testid="same-again" @click="same(Number(count))">
          Add them
        </button>
        <span class="text-sm text-muted"
          >Enter: next branch · Ctrl+Enter: set · Ctrl+D: fill down · rows from a sheet can be pasted into any
          cell</span
        >
      </div>

      <RemarkList v-if="preview" class="mt-5" :remarks="preview.remarks" />
      <Choice
        v-if="isLoaded"
        v-model="head.relief"
        class="mt-4"
        :label="t('load.ask')"
        :options="[
          ['', t('load.none')],
          ['PROP', t('load.PROP')],
          ['REST_TIP', t('load.REST_TIP')],
        ]"
        data-testid="relief"
      />
      <label v-if="warned && !blocked" class="mt-4 grid max-w-3xl gap-1">
        <span class="font-bold">Why go on all the same?</span>
        <input v-model="reason" class="input" maxlength="500" data-testid="reason" />
      </label>
      <ProblemNote :problem="problem" class="mt-4" @retry="save" />
      <div v-if="session.mayRecord" class="mt-4 flex flex-wrap items-start gap-3">
        <button class="btn btn-main" :disabled="saving || !maySet" data-testid="set">
          {{ rows.length === 1 ? 'Set this layer' : `Set these ${rows.length} layers` }}
        </button>
        <PlanFor v-if="isComplete && !head.planned" :body="body as Batch" @planned="clear" />
      </div>
    </form>
    <aside
      v-if="sums[inHand] && recipe"
      aria-label="The cuts"
      class="xl:col-start-2 xl:row-span-2 xl:row-start-1"
    >
      <BranchAside
        :number="inHand + 1"
        :row="rows[inHand]!"
        :taken="taken"
        :sums="sums[inHand]!"
        :recipe="recipe"
        :body="{ ...body, rows: [body.rows[inHand]] }"
        :sums-query="sumsQuery"
      />
    </aside>
    <p v-else-if="rows[at]?.diameter && head.motherId" class="text-muted">
      The cuts of branch {{ at + 1 }} appear here when what stands in it can be reckoned.
    </p>
    <p v-else class="text-muted">Choose a mother and type a diameter: the cuts appear here, to scale.</p>
    <Checklist v-if="preview" class="xl:col-start-1 xl:row-start-2" :steps="preview.checklist" />
  </div>
</template>
