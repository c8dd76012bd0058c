<script setup lang="ts">
import { dismiss, toasts } from './toasts'
</script>

<template>
  <div
    class="fixed inset-x-0 bottom-20 z-20 grid justify-items-center gap-2 px-4 lg:bottom-6"
    aria-live="polite"
  >
    <div
      v-for="one in toasts"
      :key="one.id"
      class="flex min-h-12 items-center gap-4 rounded-sm bg-ink px-4 text-card shadow-lg"
      data-testid="toast"
    >
      <span>{{ one.text }}</span>
      <button v-if="one.action" class="link min-h-12 font-bold" @click="(one.action.run(), dismiss(one.id))">
        {{ one.action.label }}
      </button>
      <button class="min-h-12 px-2" aria-label="Close" @click="dismiss(one.id)">×</button>
    </div>
  </div>
</template>
