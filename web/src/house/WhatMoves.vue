<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'

/** What a change would do to the layers under way. */
defineProps<{ moves: Schemas['Moves'] }>()
const lower = (code: string | null | undefined) => (code ?? 'done').toLowerCase().replaceAll('_', ' ')
</script>

<template>
  <div data-testid="moves">
    <p>
      Of {{ moves.live }} layers under way, {{ moves.steps }} would get another step and
      {{ moves.dates }} another likeliest day.
    </p>
    <ul
      v-if="moves.moves.length"
      class="mt-1 max-h-48 overflow-y-auto text-sm"
      tabindex="0"
      aria-label="What moves"
    >
      <li v-for="move in moves.moves" :key="move.code">
        <RouterLink class="link font-bold" :to="`/layers/${move.code}`">{{ move.code }}</RouterLink>:
        <template v-if="move.stepNow !== move.stepThen">
          {{ lower(move.stepNow) }} → {{ lower(move.stepThen) }}<template v-if="move.days">, </template>
        </template>
        <template v-if="move.days">
          {{ Math.abs(move.days) }} {{ Math.abs(move.days) === 1 ? 'day' : 'days' }}
          {{ move.days > 0 ? 'later' : 'earlier' }}
        </template>
      </li>
    </ul>
  </div>
</template>
