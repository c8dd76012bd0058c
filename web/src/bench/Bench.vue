<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import RemarkList from '@/shared/ui/RemarkList.vue'
import StemDrawing from '@/stem/StemDrawing.vue'
import BenchRows from './BenchRows.vue'
import { fromLimb } from './limbSpots'
import RowSums from './RowSums.vue'
import { useBench, type BenchRow } from './useBench'
import { useOutbox, type Waiting } from './useOutbox'

/** What do I cut, mix and wrap? */
const route = useRoute()
const session = useSession()
const queries = useQueryClient()
const motherId = ref(String(route.query.mother ?? ''))
const recipeId = ref('')
const shootBelow = ref('yes')
const { data: mothers } = useQuery({
  queryKey: ['mothers'],
  queryFn: () => api<Schemas['MotherView'][]>('GET', '/mothers'),
})
const { data: species } = useQuery({
  queryKey: ['species'],
  queryFn: () => api<Schemas['SpeciesView'][]>('GET', '/species'),
})
const { data: recipes } = useQuery({
  queryKey: ['recipes'],
  queryFn: async () => {
    const all = await api<Schemas['RecipeView'][]>('GET', '/recipes')
    if (!recipeId.value && all[0]) recipeId.value = String(all[0].id)
    return all
  },
})
if (recipes.value?.[0]) recipeId.value = String(recipes.value[0].id)

const { rows, body, preview, sums, reason, isComplete, another, add, remove, cellError, clear, putBack } =
  useBench(motherId, recipeId, shootBelow)
const { waiting, send, flush, drop } = useOutbox(arrived)
const saving = ref(false)
const problem = ref<unknown>(null)
const count = ref('5')
const at = ref(0)
const done = ref<string[]>([])
const grid = ref<InstanceType<typeof BenchRows> | null>(null)

const motherOptions = computed<[string, string][]>(() => [
  ['', 'Choose a mother'],
  ...(mothers.value ?? [])
    .filter((one) => !one.retiredOn)
    .map(
      (one) =>
        [String(one.id), `${one.code} · ${commonName(one.speciesCode)} ${one.variety}`] as [string, string],
    ),
])
const recipeOptions = computed<[string, string][]>(() =>
  (recipes.value ?? []).map((one) => [String(one.id), one.name] as [string, string]),
)
const recipe = computed(() => recipes.value?.find((one) => String(one.id) === recipeId.value))
const shown = computed(() => sums.value[Math.min(at.value, rows.value.length - 1)] ?? null)
const isRing = computed(() => recipe.value?.recipe.wound.startsWith('RING') ?? true)
const drawing = computed<Schemas['Drawing'] | null>(() => {
  const one = shown.value
  const row = rows.value[Math.min(at.value, rows.value.length - 1)]
  if (!one || !row || !recipe.value) return null
  return {
    ball: one.ball,
    ringMm: isRing.value ? one.ball.ringMm : 0,
    aboveMm: one.aboveMm,
    belowMm: one.belowMm,
    position: row.position as Schemas['Drawing']['position'],
    wood: row.wood as Schemas['Drawing']['wood'],
    leavesBeyond: Number(row.leaves),
    leanDeg: Number(row.lean),
    load: one.load,
    propped: false,
    cover: recipe.value.recipe.cover,
  }
})
/** Of one batch, as the server takes them. */
const MOST = 200
const blocked = computed(() => preview.value?.remarks.some((one) => one.level === 'BLOCK') ?? false)
const warned = computed(() => preview.value?.remarks.some((one) => one.level === 'WARN') ?? false)
const maySet = computed(() => isComplete.value && !blocked.value && preview.value !== null)

function commonName(code: string): string {
  return species.value?.find((one) => one.profile.code === code)?.profile.common ?? code
}

const { data: page } = useQuery({
  queryKey: computed(() => ['mothers', 'page', motherId.value]),
  queryFn: () => api<Schemas['MotherPage']>('GET', `/stock/${motherId.value}`),
  enabled: computed(() => motherId.value !== ''),
})
const limbs = computed(() => (page.value?.limbs ?? []).filter((one) => !one.limb.goneOn))

/** A limb on record brings its measures with it, and the first free place on it. */
function onLimb(row: BenchRow, id: string): void {
  const stand = limbs.value.find((one) => String(one.limb.id) === id)
  row.limb = ''
  if (stand) Object.assign(row, fromLimb(stand, rows.value, session.units))
}
// a limb is one of its mother's; one that was come with from Stock is filled in once its measures are there
watch(motherId, () => rows.value.forEach((row) => (row.limb = '')))
watch(
  limbs,
  () => {
    const wanted = String(route.query.limb ?? '')
    if (wanted && rows.value.length === 1 && !rows.value[0]!.limb && motherId.value === route.query.mother) {
      onLimb(rows.value[0]!, wanted)
    }
  },
  { immediate: true },
)

/** As many more branches like the last one; on a limb each takes the next place. */
async function same(more: number): Promise<void> {
  if (!Number.isInteger(more) || more < 1 || rows.value.length + more > MOST) return
  const limb = rows.value.at(-1)?.limb
  add(more)
  if (limb) rows.value.slice(-more).forEach((row) => onLimb(row, limb))
  await grid.value?.go(rows.value.length - 1, 'diameter')
}

function arrived(codes: string[]): void {
  done.value = codes
  void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'recipes' })
}

async function save(): Promise<void> {
  if (saving.value || !maySet.value) return
  saving.value = true
  problem.value = null
  done.value = []
  const mother = mothers.value?.find((one) => String(one.id) === motherId.value)?.code ?? ''
  const sent = await send({ ...body.value, reason: reason.value.trim() || null } as Waiting['body'], mother)
  saving.value = false
  if (sent && 'problem' in sent) {
    problem.value = sent.problem
    return
  }
  clear()
  if (sent) arrived(sent.codes)
  await grid.value?.go(0, 'diameter')
}

function back(one: Waiting): void {
  putBack(one)
  drop(one.id)
}
</script>

<template>
  <h1 class="text-2xl">Set layers</h1>
  <div v-if="done.length" class="mt-4 border-l-8 border-lichen bg-lichen-pale p-4" data-testid="set-done">
    <p class="text-lg font-bold">
      {{ done.length === 1 ? 'One layer is set.' : `${done.length} layers are set.` }}
    </p>
    <p>
      Write on the labels:
      <template v-for="(code, index) in done" :key="code"
        ><template v-if="index">, </template
        ><RouterLink class="link font-bold" :to="{ name: 'layer', params: { code } }">{{
          code
        }}</RouterLink></template
      >.
    </p>
  </div>
  <div
    v-for="one in waiting.filter((each) => each.tried)"
    :key="one.id"
    class="mt-4 flex flex-wrap items-center gap-3 border-l-8 p-3"
    :class="one.refused ? 'border-rust bg-rust-pale' : 'border-water bg-water-pale'"
    role="status"
    data-testid="waiting"
  >
    <p class="grow">
      <b
        >{{ one.body.rows.length === 1 ? 'One layer' : `${one.body.rows.length} layers` }} on
        {{ one.mother }}:</b
      >
      {{
        one.refused
          ? `not taken. ${one.refused}`
          : 'kept on this device until the network is back; then they are sent by themselves, once.'
      }}
    </p>
    <button v-if="!one.refused" type="button" class="btn" @click="flush">Send now</button>
    <button v-else type="button" class="btn" @click="back(one)">Back to the bench</button>
  </div>
  <div class="mt-4 grid gap-4 sm:grid-cols-2 lg:max-w-3xl">
    <PickOne v-model="motherId" label="Mother" :options="motherOptions" />
    <PickOne v-model="recipeId" label="Recipe" :options="recipeOptions" />
    <Choice
      v-if="motherId"
      v-model="shootBelow"
      label="A live leafy shoot stays below every ring?"
      :options="[
        ['yes', 'Yes'],
        ['no', 'No'],
      ]"
    />
  </div>
  <p v-if="mothers && !mothers.length" class="panel mt-4">
    There is no mother yet.
    <RouterLink class="link" :to="{ name: 'stock' }">Add one in Stock</RouterLink> first.
  </p>
  <p v-if="recipes && !recipes.length" class="panel mt-4">
    There is no recipe yet.
    <RouterLink class="link" :to="{ name: 'house' }">Add one in House</RouterLink> first.
  </p>

  <div class="mt-6 grid gap-6 xl:grid-cols-[minmax(0,1fr)_22rem]">
    <form @submit.prevent="save">
      <BenchRows
        ref="grid"
        v-model="rows"
        :sums="sums"
        :limbs="limbs"
        :at="at"
        :is-ring="isRing"
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
      <label v-if="warned && !blocked" class="mt-4 grid max-w-3xl gap-1">
        <span class="font-bold">Why go on all the same?</span>
        <input v-model="reason" class="input" maxlength="500" data-testid="reason" />
      </label>
      <ProblemNote :problem="problem" class="mt-4" @retry="save" />
      <button
        v-if="session.mayRecord"
        class="btn btn-main mt-4"
        :disabled="saving || !maySet"
        data-testid="set"
      >
        {{ rows.length === 1 ? 'Set this layer' : `Set these ${rows.length} layers` }}
      </button>
    </form>
    <aside v-if="drawing && shown" aria-label="The cuts">
      <h2 class="text-base">Branch {{ Math.min(at, rows.length - 1) + 1 }}, to scale</h2>
      <div>
        <StemDrawing
          class="max-h-80"
          :drawing="drawing"
          :sectors="[0, 0, 0, 0, 0, 0, 0, 0]"
          :fill-percent="0"
          stage="NONE"
        />
      </div>
      <RowSums :row="shown" :ring-mm="drawing.ringMm" />
      <p v-if="shown.ready50On" class="mt-3">
        Likely full about <b>{{ dayText(shown.ready50On, session.today) }}</b>, between
        {{ dayText(shown.ready10On, session.today) }} and {{ dayText(shown.ready90On, session.today) }}.
      </p>
    </aside>
    <p v-else-if="rows[at]?.diameter && motherId" class="text-muted">
      The cuts of branch {{ at + 1 }} appear here when what stands in it can be reckoned.
    </p>
    <p v-else class="text-muted">Choose a mother and type a diameter: the cuts appear here, to scale.</p>
  </div>
</template>
