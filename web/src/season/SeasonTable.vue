<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { addDays, dayText } from '@/shared/dates'
import { capital } from '@/shared/words'
import { CLASSES, ENDS } from './words'

/** The strip in words: what stands behind the picture. */
const props = defineProps<{ season: Schemas['SeasonView']; species: Schemas['SpeciesSeason'][] }>()
const text = (day: string) => dayText(day, props.season.today)
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="The season as a table">
    <table class="mt-3 w-full border-collapse text-left" data-testid="season-table">
      <thead>
        <tr class="text-sm text-muted">
          <th scope="col" class="pr-4 font-normal">Species</th>
          <th scope="col" class="font-normal">Start dates</th>
          <th scope="col" class="font-normal">Layers set</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in species" :key="one.code" class="border-t border-line align-top">
          <th scope="row" class="py-2 pr-4 font-bold">{{ capital(one.common) }}</th>
          <td class="py-2">
            <span v-for="band in one.bands" :key="band.from" class="block">
              {{ text(band.from) }} to {{ text(addDays(band.to, -1)) }}:
              {{ CLASSES[band.windowClass]?.toLowerCase()
              }}<template v-if="band.end">, {{ ENDS[band.end] }}</template>
            </span>
          </td>
          <td class="py-2">{{ one.set.reduce((sum, day) => sum + day.layers, 0) || '–' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
