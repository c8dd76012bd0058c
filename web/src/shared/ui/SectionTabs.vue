<script setup lang="ts">
/** The questions of one part of the application, side by side. */
defineProps<{ label: string; tabs: { name: string; label: string }[] }>()
</script>

<template>
  <nav :aria-label="label" class="mb-4 flex flex-wrap gap-x-6 border-b border-line print:hidden">
    <RouterLink
      v-for="tab in tabs"
      :key="tab.name"
      :to="{ name: tab.name }"
      class="-mb-px inline-flex min-h-12 items-center border-b-4 border-transparent px-1"
      exact-active-class="!border-lichen font-bold"
      >{{ tab.label }}</RouterLink
    >
  </nav>
</template>
