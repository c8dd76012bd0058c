<script setup lang="ts">
import { ref } from 'vue'
import { CONDITIONS, STAGES, STAGE_HINTS, STAGE_WORDS } from '@/shared/words'
import SectorRing from '@/stem/SectorRing.vue'
import type { LayerPage, NewRecord } from './useLayer'

/** A look in a few taps; it begins with what was seen last time. */
const props = defineProps<{ layer: LayerPage; saving: boolean }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()

const stage = ref<string>(props.layer.stage)
const sectors = ref<number[]>([...props.layer.sectors])
const fill = ref<number>(props.layer.fillPercent)
const conditions = ref<string[]>([...props.layer.conditions])
const note = ref('')
// the six that are met most often stand open, the rest one tap away
const COMMON = 6
const more = ref(CONDITIONS.slice(COMMON).some(([code]) => conditions.value.includes(code)))

function toggle(code: string): void {
  conditions.value = conditions.value.includes(code)
    ? conditions.value.filter((one) => one !== code)
    : [...conditions.value, code]
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
      <div class="grid grid-cols-3 gap-1 sm:grid-cols-6">
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
    <div class="grid items-start gap-4 sm:grid-cols-[11rem_1fr]">
      <div>
        <p class="font-bold">Roots round the stem</p>
        <SectorRing v-model="sectors" class="max-w-44" />
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
    <label class="grid gap-1">
      <span class="font-bold">Note</span>
      <input v-model="note" class="input" maxlength="1000" />
    </label>
    <div class="flex flex-wrap items-center gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="keep-look">Keep this look</button>
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
