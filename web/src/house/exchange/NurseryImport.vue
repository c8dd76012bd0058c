<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { type Schemas } from '@/shared/api/client'
import Field from '@/shared/ui/Field.vue'
import { nurserySite } from '@/shared/api/house'

/** Another nursery in the place of this one: typed out, for nothing of this one stays. */
const props = defineProps<{ file: Schemas['ImportView']; atWork: boolean }>()
const emit = defineEmits<{ take: [nursery: string] }>()
const typed = ref('')
const { data: site } = useQuery(nurserySite)
const ready = computed(
  () =>
    props.file.state === 'LOOKED' &&
    !props.file.outcome?.broken &&
    !props.file.outcome?.badRows &&
    (!site.value || typed.value.trim() === site.value.name),
)
</script>

<template>
  <form
    v-if="file.state !== 'TAKEN'"
    class="panel mt-4 grid max-w-xl gap-3"
    @submit.prevent="ready && emit('take', typed.trim())"
  >
    <template v-if="site">
      <p>
        <b>All that {{ site.name }} has here goes</b>: its layers, records, photos and house. Save the nursery
        first, or make a backup. People of the same name keep their passwords; others are given one under
        People.
      </p>
      <Field v-model="typed" :label="`Type the name of this nursery: ${site.name}`" />
    </template>
    <p v-else>There is nothing here yet: the nursery of the file moves in.</p>
    <div>
      <button class="btn btn-main" :disabled="!ready || atWork" data-testid="take">
        {{ site ? 'Put it in the place of this one' : 'Take it in' }}
      </button>
    </div>
  </form>
</template>
