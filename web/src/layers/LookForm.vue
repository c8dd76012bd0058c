<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { CONDITIONS, STAGES, STAGE_HINTS, STAGE_WORDS } from '@/shared/words'
import SectorRing from '@/stem/SectorRing.vue'
import type { LayerPage, NewRecord } from './useLayer'

/** A look in a few taps; it begins with what was seen last time. */
const props = defineProps<{ layer: LayerPage; saving: boolean }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()

const stage = ref('')
const sectors = ref<number[]>([])
const fill = ref(0)
const conditions = ref<string[]>([])
const note = ref('')
const noting = ref(false)
const noteField = ref<HTMLInputElement | null>(null)

function beginWith(layer: LayerPage): void {
  stage.value = layer.stage
  sectors.value = [...layer.sectors]
  fill.value = layer.fillPercent
  conditions.value = [...layer.conditions]
  note.value = ''
  noting.value = false
}

function isAs(layer: LayerPage): boolean {
  return (
    stage.value === layer.stage &&
    Number(fill.value) === layer.fillPercent &&
    String(sectors.value) === String(layer.sectors) &&
    String([...conditions.value].sort()) === String([...layer.conditions].sort())
  )
}

beginWith(props.layer)
// what was touched but not kept stays when something else is recorded meanwhile
watch(
  () => props.layer,
  (now, before) => {
    if (isAs(before) || isAs(now)) beginWith(now)
  },
)
const isAsLastTime = computed(
  () => isAs(props.layer) && props.layer.records.some((one) => one.kind === 'LOOKED' && one.inForce),
)
// the six that are met most often stand open, the rest one tap away
const COMMON = 6
const more = ref(CONDITIONS.slice(COMMON).some(([code]) => conditions.value.includes(code)))

function toggle(code: string): void {
  conditions.value = conditions.value.includes(code)
    ? conditions.value.filter((one) => one !== code)
    : [...conditions.value, code]
}

async function addNote(): Promise<void> {
  noting.value = true
  await nextTick()
  noteField.value?.focus()
}

function keep(): void {
  emit('keep', {
    kind: 'LOOKED',
    details: {
      stage: stage.value,
      sectors: sectors.value,
      fillPercent: Number(fill.value),
      conditions: conditions.value,
    },
    note: note.value.trim(),
  })
}
</script>

<template>
  <form class="grid gap-4" @submit.prevent="keep">
    <div role="radiogroup" aria-label="What do you see?">
      <p class="mb-1 font-bold" aria-hidden="true">What do you see?</p>
      <div class="grid grid-cols-3 gap-1 sm:flex sm:*:grow">
        <button
          v-for="one in STAGES"
          :key="one"
          type="button"
          role="radio"
          class="chip justify-center px-1"
          :aria-checked="stage === one"
          @click="stage = one"
        >
          {{ STAGE_WORDS[one] }}
        </button>
      </div>
      <p class="eyebrow mt-1">{{ STAGE_WORDS[stage] }}: {{ STAGE_HINTS[stage] }}</p>
    </div>
    <div class="grid items-start gap-4 sm:grid-cols-[12rem_1fr]">
      <div>
        <p class="font-bold">Roots round the stem</p>
        <SectorRing v-model="sectors" class="max-w-64 sm:max-w-48" />
      </div>
      <div class="grid gap-3">
        <label class="block">
          <span class="font-bold">How full is the ball? {{ fill }}%</span>
          <input
            v-model="fill"
            type="range"
            min="0"
            max="100"
            step="5"
            class="mt-1 h-12 w-full accent-lichen"
          />
        </label>
        <div role="group" aria-label="Anything wrong?">
          <p class="mb-1 font-bold" aria-hidden="true">Anything wrong?</p>
          <div class="flex flex-wrap gap-1.5">
            <button
              v-for="[code, text] in more ? CONDITIONS : CONDITIONS.slice(0, COMMON)"
              :key="code"
              type="button"
              class="chip"
              :aria-pressed="conditions.includes(code)"
              @click="toggle(code)"
            >
              {{ text }}
            </button>
            <button v-if="!more" type="button" class="link min-h-12 px-2" @click="more = true">More…</button>
          </div>
        </div>
      </div>
    </div>
    <label v-if="noting" class="grid gap-1">
      <span class="font-bold">Note</span>
      <input ref="noteField" v-model="note" class="input" maxlength="1000" />
    </label>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <button class="btn btn-main min-h-14 px-6 text-lg" :disabled="saving" data-testid="keep-look">
        {{ isAsLastTime ? 'Same as last time' : 'Keep this look' }}
      </button>
      <button v-if="!noting" type="button" class="link min-h-12" @click="addNote">Add a note</button>
    </div>
    <div
      class="flex flex-wrap items-center gap-2 border-t border-line pt-3"
      role="group"
      aria-label="Something else was done"
    >
      <button type="button" class="btn" :disabled="saving" @click="emit('other', 'TOPPED_UP')">Top up</button>
      <button type="button" class="btn" :disabled="saving" @click="emit('other', 'RERUNG')">
        Ring again
      </button>
      <button type="button" class="btn" :disabled="saving" @click="emit('other', 'TENDED')">
        Other work
      </button>
      <button type="button" class="btn" :disabled="saving" @click="emit('other', 'SEVERED')">Sever</button>
      <button type="button" class="btn btn-rust" :disabled="saving" @click="emit('other', 'LOST')">
        Lost
      </button>
    </div>
  </form>
</template>
