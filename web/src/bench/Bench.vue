<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { show, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import RemarkList from '@/shared/ui/RemarkList.vue'
import { POSITIONS, WOODS } from '@/shared/words'
import StemDrawing from '@/stem/StemDrawing.vue'
import { fromLimb } from './limbSpots'
import RowSums from './RowSums.vue'
import { useBench, type BenchRow } from './useBench'

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

const { rows, preview, reason, saving, problem, isComplete, add, remove, cellError, set } = useBench(
  motherId,
  recipeId,
  shootBelow,
)
const at = ref(0)
const done = ref<string[]>([])
const table = ref<HTMLElement | null>(null)

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
const shown = computed(() => preview.value?.rows[Math.min(at.value, preview.value.rows.length - 1)] ?? null)
const drawing = computed<Schemas['Drawing'] | null>(() => {
  const sums = shown.value
  const row = rows.value[Math.min(at.value, rows.value.length - 1)]
  if (!sums || !row || !recipe.value) return null
  const isRing = recipe.value.recipe.wound.startsWith('RING')
  return {
    ball: sums.ball,
    ringMm: isRing ? sums.ball.ringMm : 0,
    aboveMm: sums.aboveMm,
    belowMm: sums.belowMm,
    position: row.position as Schemas['Drawing']['position'],
    wood: row.wood as Schemas['Drawing']['wood'],
    leavesBeyond: Number(row.leaves),
    leanDeg: Number(row.lean),
    load: sums.load,
    propped: false,
    cover: recipe.value.recipe.cover,
  }
})
const blocked = computed(() => preview.value?.remarks.some((one) => one.level === 'BLOCK') ?? false)
const warned = computed(() => preview.value?.remarks.some((one) => one.level === 'WARN') ?? false)
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

async function same(count: number): Promise<void> {
  const last = rows.value.at(-1)?.limb
  add(count)
  if (last) rows.value.slice(-count).forEach((row) => onLimb(row, last))
  await nextTick()
  table.value?.querySelector<HTMLInputElement>('[data-row]:last-of-type input')?.select()
}

async function save(): Promise<void> {
  const codes = await set()
  if (codes) {
    done.value = codes
    void queries.invalidateQueries({ queryKey: ['layers'] })
    void queries.invalidateQueries({ queryKey: ['round'] })
  }
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
      <div ref="table" class="grid gap-3">
        <fieldset
          v-for="(row, index) in rows"
          :key="row.key"
          data-row
          class="grid grid-cols-2 items-start gap-2 border-l-4 pl-3 sm:grid-cols-[1fr_1.9fr_1.6fr_0.7fr_1fr_0.7fr_auto]"
          :class="index === at ? 'border-lichen' : 'border-line'"
          @focusin="at = index"
        >
          <legend class="sr-only">Branch {{ index + 1 }}</legend>
          <label v-if="limbs.length" class="col-span-full flex max-w-sm items-center gap-2 text-sm">
            Limb
            <select
              class="input"
              :value="row.limb"
              @change="onLimb(row, ($event.target as HTMLSelectElement).value)"
            >
              <option value="">Not on record</option>
              <option v-for="one in limbs" :key="one.limb.name" :value="String(one.limb.id)">
                {{ one.limb.name }}: room for {{ one.more }}
              </option>
            </select>
          </label>
          <label class="grid gap-1 text-sm">
            Diameter, {{ unitOf('length', session.units) }}
            <input
              v-model="row.diameter"
              class="input"
              :aria-invalid="cellError(index, 'diameterMm') ? 'true' : undefined"
              placeholder="18 or 3/4 in"
            />
            <span v-if="cellError(index, 'diameterMm')" class="font-bold text-rust" role="alert">
              {{ cellError(index, 'diameterMm') }}
            </span>
            <span v-else-if="preview?.rows[index]" class="text-muted">
              {{ show(preview.rows[index]!.ball.diameterMm, 'length', session.units) }}
            </span>
          </label>
          <label class="grid gap-1 text-sm">
            Wood
            <select v-model="row.wood" class="input">
              <option v-for="[code, text] in WOODS" :key="code" :value="code">{{ text }}</option>
            </select>
          </label>
          <label class="grid gap-1 text-sm">
            Upper cut
            <select v-model="row.position" class="input">
              <option v-for="[code, text] in POSITIONS" :key="code" :value="code">{{ text }}</option>
            </select>
          </label>
          <label class="grid gap-1 text-sm">
            Leaves
            <input v-model="row.leaves" class="input" inputmode="numeric" />
            <span v-if="cellError(index, 'leavesBeyond')" class="font-bold text-rust" role="alert">
              {{ cellError(index, 'leavesBeyond') }}
            </span>
          </label>
          <label class="grid gap-1 text-sm">
            To union, {{ unitOf('length', session.units) }}
            <input v-model="row.fromUnion" class="input" />
            <span v-if="cellError(index, 'fromUnionMm')" class="font-bold text-rust" role="alert">
              {{ cellError(index, 'fromUnionMm') }}
            </span>
          </label>
          <label class="grid gap-1 text-sm">
            Lean, °
            <input v-model="row.lean" class="input" inputmode="numeric" />
            <span v-if="cellError(index, 'leanDeg')" class="font-bold text-rust" role="alert">
              {{ cellError(index, 'leanDeg') }}
            </span>
          </label>
          <button
            type="button"
            class="mt-6 min-h-12 min-w-10"
            :aria-label="`Remove branch ${index + 1}`"
            @click="remove(row.key)"
          >
            ×
          </button>
        </fieldset>
      </div>
      <div class="mt-3 flex flex-wrap gap-2">
        <button type="button" class="btn" data-testid="same-again" @click="same(1)">Same again</button>
        <button type="button" class="btn" @click="same(5)">Same again × 5</button>
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
        :disabled="saving || !isComplete || blocked || !preview"
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
    <p v-else class="text-muted">Choose a mother and type a diameter: the cuts appear here, to scale.</p>
  </div>
</template>
