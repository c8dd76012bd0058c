<script setup lang="ts">
import SectionTabs from '@/shared/ui/SectionTabs.vue'

/** The three questions of the potting shed. */
const tabs = [
  { name: 'shed', label: 'Sever today?' },
  { name: 'potting', label: 'Pot' },
  { name: 'ladder', label: 'The ladder' },
]
</script>

<template>
  <SectionTabs label="Potting shed" :tabs="tabs" />
</template>
