<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'

/** What was taken from a mother, year by year. */
const props = defineProps<{ taken: Schemas['Year'][]; code: string }>()
const sum = (field: 'set' | 'onMother' | 'offMother' | 'released' | 'lost') =>
  props.taken.reduce((total, year) => total + year[field], 0)
const finished = computed(() => sum('released') + sum('lost'))
</script>

<template>
  <section aria-labelledby="taken-title">
    <h2 id="taken-title" class="border-b-2 border-ink pb-1 text-xl">What was taken from it</h2>
    <p v-if="!taken.length" class="mt-3">Nothing so far.</p>
    <template v-else>
      <p class="mt-2">
        {{ sum('set') }} layers set<template v-if="finished"
          >; of {{ finished }} that are finished, {{ sum('released') }} were released</template
        >.
        <RouterLink class="link" :to="{ name: 'layers', query: { q: code } }">See them</RouterLink>
      </p>
      <table class="mt-2 w-full text-right" data-testid="taken">
        <thead>
          <tr class="border-b border-line">
            <th scope="col" class="py-1 text-left">Year</th>
            <th scope="col">Set</th>
            <th scope="col">On it now</th>
            <th scope="col">In pots</th>
            <th scope="col">Released</th>
            <th scope="col">Lost</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="year in taken" :key="year.year" class="border-b border-line">
            <th scope="row" class="py-1 text-left">{{ year.year }}</th>
            <td>{{ year.set }}</td>
            <td>{{ year.onMother }}</td>
            <td>{{ year.offMother }}</td>
            <td>{{ year.released }}</td>
            <td>{{ year.lost }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>
