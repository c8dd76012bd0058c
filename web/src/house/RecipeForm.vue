<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import { COVERS } from '@/shared/words'

const props = defineProps<{ recipe: Schemas['RecipeView'] | null }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const { saving, problem, stale, send, error } = useCommand<Schemas['RecipeView']>()
const old = props.recipe
const version = ref(old?.version ?? 0)
const name = ref(old?.name ?? '')
const school = ref<string>(old?.school ?? 'IN_LEAF')
const wound = ref<string>(old?.recipe.wound ?? 'RING_SCRAPED')
const hormone = ref(String(old?.recipe.hormonePpm ?? 0))
const medium = ref<string>(old?.recipe.medium ?? 'MOSS')
const wrap = ref<string>(old?.recipe.wrap ?? 'TIED_FILM')
const cover = ref<string>(old?.recipe.cover ?? 'FOIL')
const container = ref(typed(old?.recipe.containerG ?? 0, 'mass', session.units))

const WOUNDS: [string, string][] = [
  ['RING_SCRAPED', 'Ring, scraped clean'],
  ['RING_UNSCRAPED', 'Ring, not scraped'],
  ['RING_AND_TOURNIQUET', 'Ring and a wire above it'],
  ['TOURNIQUET', 'Wire only'],
  ['BARK_SCRAPED', 'Bark roughened'],
  ['LEAF_STRIPPED', 'A leaf pulled off'],
  ['UNWOUNDED', 'No wound'],
]
const MEDIA: [string, string][] = [
  ['MOSS', 'Moss'],
  ['COIR', 'Coir'],
  ['PEAT', 'Peat'],
  ['COIR_PERLITE', 'Coir and perlite'],
  ['COIR_HUSK', 'Coir and rice husk'],
  ['COIR_SAND', 'Coir and sand'],
  ['MANURE_EARTH', 'Manure and red earth'],
  ['HUSK_FIBRE', 'Coconut husk'],
  ['POTTING_MIX', 'Potting mix'],
  ['HEAVY_SOIL', 'Heavy soil (packs and suffocates)'],
]
const WRAPS: [string, string][] = [
  ['SEALED_FILM', 'Sealed film'],
  ['TIED_FILM', 'Tied film'],
  ['SLIT_BAG', 'Slit bag'],
  ['VENTED_BAG', 'Vented bag'],
  ['FOIL_ONLY', 'Foil only'],
  ['HINGED_POD', 'Hinged pod'],
  ['SPLIT_POT', 'Split pot'],
]
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
      wound: wound.value,
      hormonePpm: toSend(hormone.value, 'concentration', session.units),
      medium: medium.value,
      wrap: wrap.value,
      cover: cover.value,
      containerG: toSend(container.value, 'mass', session.units),
    },
    number: old?.number ?? 0,
    version: version.value,
  }
  const done = old ? await send('PUT', `/recipes/${old.id}`, body) : await send('POST', '/recipes', body)
  if (done) emit('saved')
}

/** Goes on with what was typed here, on top of what somebody else saved meanwhile. */
async function mineCounts(): Promise<void> {
  if (!stale.value) return
  version.value = stale.value.version
  await save()
}
</script>

<template>
  <form class="panel grid gap-4" aria-label="Recipe" @submit.prevent="save">
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field v-model="name" label="Name" :error="error('name')" />
      <PickOne v-model="wound" label="Wound" :options="WOUNDS" />
      <Field
        v-model="hormone"
        label="Hormone (IBA)"
        unit="ppm"
        :error="error('hormonePpm')"
        hint="0 for none; 0.3 % may be typed too"
      />
      <PickOne v-model="medium" label="Medium" :options="MEDIA" />
      <PickOne v-model="wrap" label="Wrap" :options="WRAPS" />
      <PickOne v-model="cover" label="Cover" :options="COVERS" />
      <Field
        v-model="container"
        label="Container"
        :unit="unitOf('mass', session.units)"
        :error="error('containerG')"
        hint="Pod, pot or bag, empty"
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
