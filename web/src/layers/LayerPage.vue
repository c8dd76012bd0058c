<script setup lang="ts">
import { useRoute } from 'vue-router'
import LayerView from './LayerView.vue'

const route = useRoute()
</script>

<template>
  <LayerView :key="String(route.params.code)" :code="String(route.params.code)" />
</template>
