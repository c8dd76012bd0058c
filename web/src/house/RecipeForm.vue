<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas, post, put } from '@/shared/api/client'
import { useMethods } from '@/shared/api/methods'
import { toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useEdit } from '@/shared/useEdit'
import { capital, COVERS, MEDIA, METHODS, WATERINGS, WOUNDS, WRAPS } from '@/shared/words'
import { houseSupplies } from '@/shared/api/nursery'

const props = defineProps<{ recipe: Schemas['RecipeView'] | null }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const { t } = useI18n()
const old = props.recipe
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['RecipeView']>(
  old?.version ?? 0,
  save,
)
const name = ref(old?.name ?? '')
const school = ref<string>(old?.school ?? 'IN_LEAF')
const wound = ref<string>(old?.recipe.wound ?? 'RING_SCRAPED')
const hormone = ref(String(old?.recipe.hormonePpm ?? 0))
const medium = ref<string>(old?.recipe.medium ?? 'MOSS')
const wrap = ref<string>(old?.recipe.wrap ?? 'TIED_FILM')
const cover = ref<string>(old?.recipe.cover ?? 'FOIL')
const watering = ref<string>(old?.recipe.watering ?? 'BY_THE_SUM')
const method = ref<string>(old?.recipe.method ?? 'AIR')
const holds = ref(typed(old?.recipe.containerMl ?? 0, 'volume', session.units))
const container = ref(typed(old?.recipe.containerG ?? 0, 'mass', session.units))

const ways = useMethods()
const way = computed(() => ways.method(method.value))
const wounds = computed(() =>
  WOUNDS.filter(([code]) => !way.value || way.value.wounds.some((one) => one.wound === code)),
)
const wraps = computed(() =>
  WRAPS.filter(([code]) => !way.value || way.value.wraps.some((one) => one === code)),
)
watch(way, () => {
  // what no longer goes with it gives way to the first that does
  if (!wounds.value.some(([code]) => code === wound.value)) wound.value = wounds.value[0]![0]
  if (!wraps.value.some(([code]) => code === wrap.value)) wrap.value = wraps.value[0]![0]
})
const media = MEDIA.map(([code, text]): [string, string] => [
  code,
  code === 'HEAVY_SOIL' ? 'Heavy soil (packs and suffocates)' : capital(text),
])
const { data: supplies } = useQuery(houseSupplies)
/** Those of the house that are of this kind of wrap. */
const kept = computed(() => (supplies.value?.containers ?? []).filter((one) => one.wrap === wrap.value))
function take(name: string): void {
  const found = kept.value.find((one) => one.name === name)
  if (!found) return
  container.value = typed(found.massG, 'mass', session.units)
  holds.value = typed(found.volumeMl, 'volume', session.units)
}
const SCHOOLS: [string, string][] = [
  ['IN_LEAF', 'In leaf, well before frost'],
  ['DORMANT', 'After leaf fall'],
  ['SPRING', 'Next spring'],
]

async function save(): Promise<void> {
  const body = {
    id: old?.id ?? null,
    name: name.value.trim(),
    school: school.value,
    recipe: {
      method: method.value,
      wound: wound.value,
      hormonePpm: toSend(hormone.value, 'concentration', session.units),
      medium: medium.value,
      wrap: wrap.value,
      cover: cover.value,
      containerG: toSend(container.value, 'mass', session.units),
      containerMl: toSend(holds.value, 'volume', session.units),
      watering: watering.value,
    },
    number: old?.number ?? 0,
    version: version.value,
  }
  const done = old
    ? await send((commandId) =>
        put('/api/v1/recipes/{recipeId}', { path: { recipeId: old.id }, body, commandId }),
      )
    : await send((commandId) => post('/api/v1/recipes', { body, commandId }))
  if (done) emit('saved')
}
</script>

<template>
  <form class="panel grid gap-4" aria-label="Recipe" @submit.prevent="save">
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field v-model="name" label="Name" :error="error('name')" />
      <PickOne v-model="method" label="Method" :options="METHODS" />
      <PickOne v-model="wound" label="Wound" :options="wounds" :error="error('wound')" />
      <Field
        v-model="hormone"
        label="Hormone (IBA)"
        unit="ppm"
        :error="error('hormonePpm')"
        hint="0 for none; 0.3 % may be typed too"
      />
      <PickOne v-model="medium" label="Medium" :options="media" />
      <PickOne v-model="wrap" label="Wrap" :options="wraps" :error="error('wrap')" />
      <PickOne v-model="cover" label="Cover" :options="COVERS" />
      <PickOne v-model="watering" :label="t('watering.label')" :options="WATERINGS" />
      <Field
        v-model="container"
        label="Container"
        :unit="unitOf('mass', session.units)"
        :error="error('containerG')"
        hint="Pod, pot or bag, empty"
      />
      <Field
        v-model="holds"
        label="It holds"
        :unit="unitOf('volume', session.units)"
        :error="error('containerMl')"
        hint="0: what the branch asks for"
      />
      <PickOne
        v-if="kept.length"
        :model-value="''"
        label="Take the figures of"
        :options="[['', 'Choose'], ...kept.map((one) => [one.name, one.name] as [string, string])]"
        @update:model-value="take"
      />
      <PickOne v-model="school" label="Severed" :options="SCHOOLS" />
    </div>
    <p v-if="old" class="text-muted">
      Layers that stand keep the version that they were set with; a change makes version {{ old.number + 1 }}.
    </p>
    <ProblemNote :problem="problem" @retry="save" />
    <BothSides v-if="stale" @mine="mineCounts">{{ stale.name }}, version {{ stale.number }}</BothSides>
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving">Save the recipe</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
