<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { type Schemas } from '@/shared/api/client'
import { motherPage } from '@/shared/api/stock'

/** How many places of a trial on one mother: on limbs that are on record, and elsewhere. */
const props = defineProps<{ line: Schemas['MotherLine'] }>()
const emit = defineEmits<{ put: [motherId: number, limbId: number | null, count: number] }>()
const counts = ref<Record<string, string>>({})
const { data: page } = useQuery(motherPage(props.line.limbs ? props.line.mother.id! : ''))
const limbs = computed(() => (page.value?.limbs ?? []).filter((one) => !one.limb.goneOn))

function type(limbId: number | null, text: string): void {
  counts.value[String(limbId ?? '')] = text
  const count = Number(text)
  emit('put', props.line.mother.id!, limbId, Number.isInteger(count) && count > 0 ? count : 0)
}
</script>

<template>
  <div class="grid gap-x-6 gap-y-2 border-t border-line py-2 sm:grid-cols-[14rem_1fr]">
    <p>
      <b>{{ line.mother.code }}</b> {{ line.mother.variety }}
      <span class="block text-muted">room for {{ line.room }}</span>
    </p>
    <div class="flex flex-wrap gap-x-6 gap-y-2">
      <label v-for="one in limbs" :key="one.limb.name" class="flex items-center gap-2">
        {{ one.limb.name }} <span class="text-muted">room for {{ one.more }}</span>
        <input
          class="input w-16"
          inputmode="numeric"
          :aria-label="`Places on ${one.limb.name} of ${line.mother.code}`"
          :value="counts[String(one.limb.id)] ?? ''"
          @input="type(one.limb.id, ($event.target as HTMLInputElement).value)"
        />
      </label>
      <label class="flex items-center gap-2">
        {{ limbs.length ? 'elsewhere on it' : 'on it' }}
        <input
          class="input w-16"
          inputmode="numeric"
          :aria-label="`Places on ${line.mother.code}`"
          :value="counts[''] ?? ''"
          @input="type(null, ($event.target as HTMLInputElement).value)"
        />
      </label>
    </div>
  </div>
</template>
