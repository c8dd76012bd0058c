<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { allRead } from '@/shared/api/queries'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import RemarkList from '@/shared/ui/RemarkList.vue'
import { capital, ROOT_RUNS, VIGOURS, word } from '@/shared/words'
import LimbForm from './LimbForm.vue'
import LimbPicture from './LimbPicture.vue'
import LimbTable from './LimbTable.vue'
import MotherChange, { type Change } from './MotherChange.vue'
import MotherForm from './MotherForm.vue'
import Pedigree from './Pedigree.vue'
import MotherHistory from './MotherHistory.vue'
import TakenTable from './TakenTable.vue'
import { motherPage } from '@/shared/api/stock'
import { allPlaces, allSpecies } from '@/shared/api/nursery'

/** May this one give more layers, and from which limb? */
const route = useRoute()
const session = useSession()
const queries = useQueryClient()
const id = computed(() => String(route.params.id))
const { data: page, error: loadError, refetch: reload } = useQuery(motherPage(id))
const { data: places } = useQuery(allPlaces)
const { data: species } = useQuery(allSpecies)
const doing = ref<'' | 'edit' | 'limb' | Change>('')
const editedLimb = ref<Schemas['LimbStand'] | null>(null)
const chosen = ref('')
const mother = computed(() => page.value?.line.mother)
const limbs = computed(() => page.value?.limbs ?? [])
const shown = computed(() => limbs.value.find((one) => one.limb.name === chosen.value) ?? limbs.value[0])
const age = computed(() => {
  const planted = mother.value?.plantedYear
  if (!planted) return ''
  const years = Number(session.today.slice(0, 4)) - planted
  return years <= 0 ? 'planted this year' : years === 1 ? 'a year old' : `${years} years old`
})

function edit(limb: Schemas['LimbStand'] | null): void {
  editedLimb.value = limb
  doing.value = 'limb'
}

/** A form closes when what it would begin with the next time is there; another that was opened meanwhile stays. */
async function done(): Promise<void> {
  const was = doing.value
  await allRead(queries)
  if (doing.value === was) doing.value = ''
}
</script>

<template>
  <template v-if="!page || !mother">
    <h1 class="text-2xl">A mother</h1>
    <p v-if="!loadError" role="status" class="text-muted">Fetching it…</p>
    <template v-else>
      <ProblemNote :problem="loadError" class="mt-3" @retry="reload()" />
      <RouterLink class="link mt-3 inline-flex min-h-12 items-center" :to="{ name: 'stock' }"
        >All mothers</RouterLink
      >
    </template>
  </template>
  <template v-else>
    <RouterLink class="link inline-flex min-h-10 items-center" :to="{ name: 'stock' }"
      >All mothers</RouterLink
    >
    <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <div>
        <h1 class="text-4xl">{{ mother.code }}</h1>
        <p class="text-lg">
          {{ capital(page.line.common) }}<template v-if="mother.variety"> ‘{{ mother.variety }}’</template>,
          {{ page.place }}
        </p>
      </div>
      <RouterLink
        v-if="session.mayRecord && page.line.room"
        class="btn btn-main"
        :to="{ name: 'bench', query: { mother: id } }"
        >Set layers on it</RouterLink
      >
    </div>
    <p
      class="mt-3 border-l-8 p-3 text-lg font-bold"
      :class="page.line.room ? 'border-lichen bg-lichen-pale' : 'border-rust bg-rust-pale'"
      data-testid="room"
    >
      {{ page.line.why }}
      <template v-if="page.mergedInto">
        It is the same plant as
        <RouterLink class="link" :to="{ name: 'mother', params: { id: String(mother.mergedInto) } }">{{
          page.mergedInto
        }}</RouterLink>, which has its limbs and layers.
      </template>
    </p>
    <RemarkList class="mt-2" :remarks="page.remarks" />
    <p class="mt-3 text-muted" data-testid="facts">
      {{ capital(word(ROOT_RUNS, mother.rootRun)) }}, {{ word(VIGOURS, mother.vigour)
      }}<template v-if="age">, {{ age }}</template
      >. {{ mother.leafyShoots }} leafy shoots<template v-if="mother.toBeCutDown">, to be cut down</template>.
      <template v-if="mother.permission">Permission: {{ mother.permission }}. </template>
      <template v-if="mother.note">{{ mother.note }}</template>
    </p>
    <div v-if="session.mayRecord" class="mt-3 flex flex-wrap gap-2">
      <button class="btn" data-testid="edit-mother" @click="doing = 'edit'">Edit</button>
      <RouterLink
        class="btn inline-flex items-center"
        :to="{ name: 'labels', query: { mothers: String(mother.id) } }"
        >Print its label</RouterLink
      >
      <button v-if="!mother.retiredOn" class="btn" data-testid="relabel" @click="doing = 'relabelling'">
        It is another variety
      </button>
      <button v-if="!mother.mergedInto" class="btn" data-testid="merge" @click="doing = 'merger'">
        Merge
      </button>
      <button v-if="!mother.retiredOn" class="btn" data-testid="retire" @click="doing = 'retirement'">
        Retire
      </button>
      <button v-else-if="!mother.mergedInto" class="btn" data-testid="return" @click="doing = 'return'">
        Use it again
      </button>
    </div>
    <MotherForm
      v-if="doing === 'edit' && places && species"
      class="mt-4"
      :mother="mother"
      :places="places"
      :species="species"
      @saved="done"
      @close="doing = ''"
    />
    <MotherChange
      v-else-if="doing && doing !== 'edit' && doing !== 'limb' && species && places"
      :key="doing"
      class="mt-4"
      :page="page"
      :change="doing"
      :species="species"
      :places="places"
      @saved="done"
      @close="doing = ''"
    />

    <div class="mt-8 flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-1">
      <h2 class="text-xl">Which limb?</h2>
      <button v-if="session.mayRecord" class="btn" data-testid="add-limb" @click="edit(null)">
        Add a limb
      </button>
    </div>
    <LimbForm
      v-if="doing === 'limb'"
      :key="editedLimb?.limb.name ?? ''"
      class="mt-4"
      :mother-id="id"
      :limb="editedLimb?.limb ?? null"
      @saved="done"
      @close="doing = ''"
    />
    <p v-if="!limbs.length" class="panel mt-4">
      No limb is on record. Add those that you think of layering: each is weighed line by line, and shows
      where on it the next ball may stand.
    </p>
    <template v-else>
      <LimbTable
        class="mt-3"
        :limbs="limbs"
        :chosen="shown?.limb.name ?? ''"
        :may-record="session.mayRecord"
        @choose="chosen = $event"
        @edit="edit"
      />
      <LimbPicture v-if="shown" class="mt-6" :stand="shown" />
    </template>
    <p v-if="page.withoutLimb" class="mt-3 text-muted">
      {{ page.withoutLimb === 1 ? 'One layer stands' : `${page.withoutLimb} layers stand` }} on it with no
      limb named.
    </p>

    <div class="mt-8 grid gap-8 lg:grid-cols-2">
      <TakenTable :taken="page.taken" :code="mother.code" />
      <MotherHistory :history="page.history" />
    </div>
    <Pedigree class="mt-8" :mother-id="Number(id)" />
    <p class="eyebrow mt-6">As of {{ dayText(session.today, '') }}.</p>
  </template>
</template>
