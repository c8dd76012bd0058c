<script setup lang="ts">
/** Somebody else saved meanwhile: what they saved stands here, what was typed in the fields; the reader decides. */
const emit = defineEmits<{ mine: [] }>()
</script>

<template>
  <div class="border-l-4 border-sap bg-sap-pale p-3" data-testid="both-sides">
    <p>Now saved: <slot />. Yours is in the fields above.</p>
    <button type="button" class="btn mt-2" @click="emit('mine')">Save mine over it</button>
  </div>
</template>
