<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxLabel, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import { Problem, type Schemas } from '@/shared/api/client'
import { looksLikeCode, motherOf } from './motherOf'

/** Which mother: by any word of hers, by the code of a layer on her, or by a label before the camera. */
const id = defineModel<string>({ required: true })
const props = defineProps<{
  mothers: Schemas['MotherView'][]
  species: Schemas['SpeciesView'][]
  places: Schemas['PlaceView'][]
}>()
const ScanDialog = defineAsyncComponent(() => import('./ScanDialog.vue'))
const typed = ref('')
const scanning = ref(false)
const trouble = ref('')
/** Of a long list as many as one reads. */
const MAX = 50
/** What stands in the list when it is a layer's code that was typed. */
const LOOK_UP = 'look-up'

const common = computed(
  () => new Map(props.species.map((one) => [one.profile.code, one.profile.common] as const)),
)
const place = computed(() => new Map(props.places.map((one) => [one.id, one.name] as const)))
const inUse = computed(() =>
  props.mothers
    .filter((one) => !one.retiredOn)
    .map((one) => ({
      id: String(one.id),
      text: `${one.code} · ${common.value.get(one.speciesCode) ?? one.speciesCode} ${one.variety}`.trim(),
      where: place.value.get(one.placeId) ?? '',
    })),
)
const found = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
  return inUse.value.filter((one) => {
    const text = `${one.text} ${one.where}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const isCode = computed(() => !found.value.length && looksLikeCode(typed.value))
const shown = (value: unknown) => inUse.value.find((one) => one.id === value)?.text ?? ''

/** What is typed next takes the place of what stands there, and is looked for among all. */
function begin(event: FocusEvent): void {
  typed.value = ''
  ;(event.target as HTMLInputElement).select()
}

async function choose(chosen: string): Promise<void> {
  trouble.value = ''
  if (chosen !== LOOK_UP) id.value = chosen
  else await lookUp(typed.value)
}

async function lookUp(text: string): Promise<void> {
  scanning.value = false
  try {
    const mother = await motherOf(text)
    if (!mother) trouble.value = `“${text}” is no label of this nursery.`
    else if (!inUse.value.some((one) => one.id === mother)) {
      trouble.value = 'The mother of that label is no longer used: choose another, or use it again in Stock.'
    } else {
      id.value = mother
      trouble.value = ''
    }
  } catch (failure) {
    trouble.value =
      failure instanceof Problem ? (failure.violations[0]?.message ?? failure.detail) : String(failure)
  }
}
</script>

<template>
  <div class="grid content-start gap-1">
    <Combobox :model-value="id" @update:model-value="choose">
      <div class="relative">
        <ComboboxLabel class="font-bold">Mother</ComboboxLabel>
        <div class="mt-1 flex gap-2">
          <ComboboxInput
            class="input"
            aria-label="Mother"
            autocomplete="off"
            placeholder="Code, species, place, or a label’s code"
            :display-value="shown"
            :aria-invalid="trouble ? 'true' : undefined"
            @change="typed = $event.target.value"
            @focus="begin"
          />
          <button type="button" class="btn shrink-0" data-testid="scan" @click="scanning = true">Scan</button>
        </div>
        <ComboboxOptions
          class="absolute z-20 mt-1 max-h-80 w-full overflow-auto border-2 border-ink bg-card py-1"
        >
          <ComboboxOption
            v-for="one in found.slice(0, MAX)"
            :key="one.id"
            v-slot="{ active }"
            :value="one.id"
            as="template"
          >
            <li class="cursor-pointer px-3 py-2" :class="active ? 'bg-lichen-pale' : ''">
              {{ one.text }} <span class="text-muted">{{ one.where }}</span>
            </li>
          </ComboboxOption>
          <ComboboxOption v-if="isCode" v-slot="{ active }" :value="LOOK_UP" as="template">
            <li class="cursor-pointer px-3 py-2" :class="active ? 'bg-lichen-pale' : ''">
              The mother of layer {{ typed.toUpperCase() }}
            </li>
          </ComboboxOption>
          <li v-if="!found.length && !isCode" class="px-3 py-2 text-muted">
            No mother in use has all these words.
          </li>
          <li v-else-if="found.length > MAX" class="px-3 py-2 text-muted">
            {{ found.length - MAX }} more: type another word.
          </li>
        </ComboboxOptions>
      </div>
    </Combobox>
    <span v-if="trouble" class="text-sm font-bold text-rust" role="alert">{{ trouble }}</span>
    <ScanDialog v-if="scanning" @found="lookUp" @close="scanning = false" />
  </div>
</template>
