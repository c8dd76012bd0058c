<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { number, toSend, typed, unitOf, whole } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useEdit } from '@/shared/useEdit'
import { WOODS } from '@/shared/words'
import { post, put } from '@/shared/api/client'

const props = defineProps<{ motherId: string; limb: Schemas['LimbView'] | null }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()

const old = props.limb
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['LimbView']>(
  old?.version ?? 0,
  save,
)
const length = (mm: number | undefined) => (mm === undefined ? '' : typed(mm, 'length', session.units))
const name = ref(old?.name ?? '')
const diameter = ref(length(old?.diameterMm))
const wood = ref<string>(old?.wood ?? 'ONE_TWO')
const lean = ref(String(old?.leanDeg ?? 20))
const limbLength = ref(length(old?.lengthMm))
const nodes = ref(old ? String(old.nodes) : '')
const leaves = ref(old ? String(old.leaves) : '')
const toBePruned = ref(old?.toBePruned ? 'yes' : 'no')
const shootBelow = ref(old && !old.shootBelow ? 'no' : 'yes')
const gone = ref(old?.goneOn ? 'yes' : 'no')
const note = ref(old?.note ?? '')
const unit = computed(() => unitOf('length', session.units))

async function save(): Promise<void> {
  const body = {
    motherId: Number(props.motherId),
    name: name.value.trim(),
    diameterMm: toSend(diameter.value, 'length', session.units) || null,
    wood: wood.value,
    leanDeg: number(lean.value),
    lengthMm: toSend(limbLength.value, 'length', session.units) || null,
    nodes: whole(nodes.value),
    leaves: whole(leaves.value),
    toBePruned: toBePruned.value === 'yes',
    shootBelow: shootBelow.value === 'yes',
    note: note.value.trim(),
    goneOn: gone.value === 'yes' ? (old?.goneOn ?? session.today) : null,
    version: version.value,
  }
  const done = old
    ? await send((commandId) => put('/api/v1/limbs/{limbId}', { path: { limbId: old.id }, body, commandId }))
    : await send((commandId) =>
        post('/api/v1/mothers/{motherId}/limbs', { path: { motherId: props.motherId }, body, commandId }),
      )
  if (done) emit('saved')
}
</script>

<template>
  <form class="panel grid gap-4" :aria-label="old ? `Edit ${old.name}` : 'A new limb'" @submit.prevent="save">
    <h3 class="text-lg">{{ old ? `Limb ${old.name}` : 'A new limb' }}</h3>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field v-model="name" label="Name" hint="By which it is found on the plant" :error="error('name')" />
      <Field
        v-model="diameter"
        label="Diameter"
        :unit="unit"
        hint="Where the ring would go"
        :error="error('diameterMm')"
      />
      <Field
        v-model="limbLength"
        label="Length"
        :unit="unit"
        hint="From its tip to the union"
        :error="error('lengthMm')"
      />
      <Field v-model="lean" label="Lean" unit="°" hint="0 is upright" :error="error('leanDeg')" />
      <Field
        v-model="nodes"
        label="Nodes"
        inputmode="decimal"
        hint="From tip to union"
        :error="error('nodes')"
      />
      <Field
        v-model="leaves"
        label="Leaves or buds"
        inputmode="decimal"
        hint="From tip to union"
        :error="error('leaves')"
      />
      <PickOne v-model="wood" label="Wood" :options="WOODS" :error="error('wood')" />
      <Field v-model="note" label="Note" :error="error('note')" />
    </div>
    <div class="flex flex-wrap gap-x-8 gap-y-4">
      <Choice
        v-model="toBePruned"
        label="To be pruned anyway?"
        :options="[
          ['no', 'No'],
          ['yes', 'Yes'],
        ]"
      />
      <Choice
        v-model="shootBelow"
        label="A live shoot stays below it?"
        :options="[
          ['yes', 'Yes'],
          ['no', 'No'],
        ]"
      />
      <Choice
        v-if="old"
        v-model="gone"
        label="Gone from the mother?"
        :options="[
          ['no', 'No'],
          ['yes', 'Yes'],
        ]"
      />
    </div>
    <ProblemNote :problem="problem" @retry="save" />
    <BothSides v-if="stale" @mine="mineCounts"
      >{{ stale.name }}, {{ stale.diameterMm }} mm, {{ stale.lengthMm }} mm long,
      {{ stale.leaves }} leaves</BothSides
    >
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="save-limb">Save</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
