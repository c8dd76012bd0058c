<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { Problem, type Schemas, post } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import TrialResult from './TrialResult.vue'
import { trialPage } from '@/shared/api/trials'

/** Which branch gets what? */
const route = useRoute()
const session = useSession()
const id = computed(() => String(route.params.id))
const { data: page, error, refetch } = useQuery(trialPage(id))
const { saving, problem, send } = useCommand<Schemas['TrialPage']>()
const isOpen = computed(() => page.value && !page.value.line.closedOn)

interface OnMother {
  id: number
  code: string
  places: Schemas['TrialSlotView'][]
}
const byMother = computed<OnMother[]>(() => {
  const all = new Map<number, OnMother>()
  for (const place of page.value?.places ?? []) {
    const on = all.get(place.motherId) ?? { id: place.motherId, code: place.mother, places: [] }
    on.places.push(place)
    all.set(place.motherId, on)
  }
  return [...all.values()]
})
const letter = (arm: number) => page.value?.line.arms.find((one) => one.number === arm)?.letter ?? ''
const recipe = (arm: number) => page.value?.line.arms.find((one) => one.number === arm)?.recipe ?? ''
const free = (on: OnMother, arm: number) => on.places.filter((one) => one.arm === arm && !one.layer).length
const FILLS = ['bg-lichen-pale', 'bg-sap-pale', 'bg-water-pale', 'bg-rust-pale', 'bg-wood', 'bg-paper']

async function close(): Promise<void> {
  await send((commandId) =>
    post('/api/v1/trials/{trialId}/closing', {
      path: { trialId: id.value },
      body: { version: page.value!.version },
      commandId,
    }),
  )
}
async function decide(choice: { arm: number; note: string }): Promise<void> {
  await send((commandId) =>
    post('/api/v1/trials/{trialId}/decision', {
      path: { trialId: id.value },
      body: { ...choice, version: page.value!.version },
      commandId,
    }),
  )
}
const print = () => window.print()
</script>

<template>
  <ProblemNote :problem="error" @retry="refetch()" />
  <template v-if="page">
    <div class="flex flex-wrap items-start justify-between gap-3">
      <div>
        <h1 class="text-2xl">{{ page.line.name }}</h1>
        <p class="text-lg">{{ page.line.question }}</p>
        <p class="text-muted">
          Begun {{ dayText(page.line.madeOn, session.today) }} by {{ page.madeBy
          }}<template v-if="page.line.closedOn"
            >, closed {{ dayText(page.line.closedOn, session.today) }}</template
          >. Dealt with seed {{ page.seed }}: the same list and seed deal the same again.
        </p>
      </div>
      <div class="flex gap-2 print:hidden">
        <button type="button" class="btn" @click="print">Print the deal</button>
        <button
          v-if="isOpen && session.mayRecord"
          type="button"
          class="btn"
          :disabled="saving"
          @click="close"
        >
          Close it
        </button>
      </div>
    </div>
    <ProblemNote :problem="problem" class="mt-2" />
    <p
      v-for="one in page.remarks"
      :key="one"
      class="mt-2 border-l-8 border-sap bg-sap-pale p-3"
      data-testid="trial-remark"
    >
      {{ one }}
    </p>
    <table class="mt-4 w-full max-w-3xl border-collapse text-left" data-testid="arms">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="py-1">Arm</th>
          <th>Recipe</th>
          <th class="text-right">Dealt</th>
          <th class="text-right">Set so</th>
          <th class="text-right">Set otherwise</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="arm in page.line.arms" :key="arm.number" class="border-b border-line">
          <th scope="row" class="py-2">
            <span
              class="inline-grid size-8 place-items-center border border-bark"
              :class="FILLS[arm.number]"
              >{{ arm.letter }}</span
            >
          </th>
          <td>{{ arm.recipe }}</td>
          <td class="text-right tabular-nums">{{ arm.assigned }}</td>
          <td class="text-right tabular-nums">{{ arm.set }}</td>
          <td class="text-right tabular-nums">{{ arm.setOtherwise }}</td>
        </tr>
      </tbody>
    </table>
    <TrialResult
      v-if="page.line.set"
      :page="page"
      :saving="saving"
      :error="problem instanceof Problem ? problem.of('note') : undefined"
      @decide="decide"
    />
    <section v-for="on in byMother" :key="on.id" class="mt-6" :aria-label="`On ${on.code}`">
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-1">
        <h2 class="grow text-lg">{{ on.code }}</h2>
        <template v-if="isOpen && session.mayRecord">
          <RouterLink
            v-for="arm in page.line.arms.filter((each) => free(on, each.number))"
            :key="arm.number"
            class="btn inline-flex items-center print:hidden"
            :to="{
              name: 'bench',
              query: { mother: String(on.id), trial: id, arm: String(arm.number) },
            }"
            >Set {{ arm.letter }} × {{ free(on, arm.number) }}</RouterLink
          >
        </template>
      </div>
      <ul class="mt-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        <li v-for="place in on.places" :key="place.slotId" class="flex items-center gap-3">
          <span
            class="inline-grid size-8 shrink-0 place-items-center border border-bark font-bold"
            :class="FILLS[place.arm]"
            >{{ letter(place.arm) }}</span
          >
          <span>
            {{ place.limb ?? `Place ${place.position}` }}:
            <template v-if="place.layer">
              <RouterLink class="link font-bold" :to="{ name: 'layer', params: { code: place.layer } }">{{
                place.layer
              }}</RouterLink>
              <template v-if="place.actualRecipe !== recipe(place.arm)">
                <b class="text-rust"> set with {{ place.actualRecipe }}</b></template
              >
            </template>
            <span v-else class="text-muted">not set yet</span>
          </span>
        </li>
      </ul>
    </section>
  </template>
</template>
