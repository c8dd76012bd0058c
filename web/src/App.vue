<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import ConfirmPassword from './shared/ConfirmPassword.vue'
import Frame from './shared/Frame.vue'
import SignIn from './shared/SignIn.vue'
import { useSession } from './shared/session'
import Toasts from './shared/ui/Toasts.vue'

const session = useSession()
const route = useRoute()
const failed = ref(false)

async function begin(): Promise<void> {
  failed.value = false
  await session.load().catch(() => (failed.value = true))
}
onMounted(begin)
</script>

<template>
  <div v-if="failed" class="mx-auto mt-24 max-w-md p-6" role="alert">
    <h1 class="text-2xl">The nursery can’t be reached</h1>
    <p class="my-4">Is the computer that it runs on switched on, and on the same network? Then try again.</p>
    <button class="btn btn-main" @click="begin">Try again</button>
  </div>
  <template v-else-if="session.session">
    <RouterView v-if="route.meta.open" />
    <Frame v-else-if="session.person"><RouterView :key="String(route.name)" /></Frame>
    <SignIn v-else />
  </template>
  <p v-else class="p-8 text-muted" role="status">One moment…</p>
  <ConfirmPassword />
  <Toasts />
</template>
