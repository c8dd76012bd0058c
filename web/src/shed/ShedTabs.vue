<script setup lang="ts">
/** The three questions of the potting shed. */
const tabs = [
  { name: 'shed', label: 'Sever today?' },
  { name: 'potting', label: 'Pot' },
  { name: 'ladder', label: 'The ladder' },
]
</script>

<template>
  <nav aria-label="Potting shed" class="mb-4 flex flex-wrap gap-x-6 border-b border-line">
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
