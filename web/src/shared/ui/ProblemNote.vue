<script setup lang="ts">
import { Problem } from '../api/client'

/** What went wrong, and what to do. */
defineProps<{ problem: unknown }>()
const emit = defineEmits<{ retry: [] }>()
</script>

<template>
  <div v-if="problem" role="alert" class="border-l-4 border-rust bg-rust-pale p-3" data-testid="problem">
    <template v-if="problem instanceof Problem">
      <p class="font-bold">{{ problem.title }}</p>
      <p>{{ problem.detail }}</p>
      <ul v-if="problem.violations.length" class="mt-1 list-disc pl-5">
        <li v-for="one in problem.violations" :key="one.field + one.message">
          <b v-if="one.field">{{ one.field + ' ' }}</b>
          <template v-if="one.value !== null">({{ one.value }})</template>
          {{ one.message }}
        </li>
      </ul>
    </template>
    <p v-else>{{ problem }}</p>
    <button
      v-if="problem instanceof Problem && problem.mayBeWritten"
      class="link mt-2 min-h-10 font-bold"
      @click="emit('retry')"
    >
      Try again
    </button>
  </div>
</template>
