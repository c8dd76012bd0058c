<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import { capital } from '@/shared/words'

/** A mother in the list: what it can still carry, first of all. */
const props = defineProps<{ line: Schemas['MotherLine'] }>()
const session = useSession()
const mother = computed(() => props.line.mother)
const barred = computed(() => mother.value.sick || mother.value.rights === 'PROTECTED')
</script>

<template>
  <li
    class="grid grid-cols-[3.5rem_1fr] items-center gap-x-4 border-b border-line py-1 sm:grid-cols-[3.5rem_1fr_1.4fr_7rem]"
  >
    <span
      class="row-span-3 text-center text-2xl font-bold sm:row-span-1"
      :class="barred ? 'text-rust' : line.room ? 'text-lichen' : 'text-muted'"
      aria-hidden="true"
      >{{ barred ? '×' : line.room }}</span
    >
    <RouterLink
      class="flex min-h-12 flex-col justify-center"
      :to="{ name: 'mother', params: { id: String(mother.id) } }"
    >
      <b class="underline underline-offset-2">{{ mother.code }}</b>
      <span>
        {{ capital(line.common) }}<template v-if="mother.variety"> ‘{{ mother.variety }}’</template>
      </span>
    </RouterLink>
    <span class="col-start-2 sm:col-start-auto" :class="barred ? 'font-bold text-rust' : ''">
      {{ line.why }}
      <span v-if="line.limbs && !barred" class="text-muted"
        >{{ line.limbs === 1 ? 'One limb' : `${line.limbs} limbs` }} on record.</span
      >
      <span v-if="mother.note" class="block text-sm text-muted">{{ mother.note }}</span>
    </span>
    <span class="col-start-2 flex gap-4 sm:col-start-auto sm:justify-end">
      <RouterLink
        class="link flex min-h-12 items-center"
        :to="{ name: 'layers', query: { q: mother.code } }"
        :aria-label="`Layers of ${mother.code}`"
        >Layers</RouterLink
      >
      <RouterLink
        v-if="session.mayRecord && line.room"
        class="link flex min-h-12 items-center"
        :to="{ name: 'bench', query: { mother: String(mother.id) } }"
        :aria-label="`Set on ${mother.code}`"
        >Set</RouterLink
      >
    </span>
  </li>
</template>
