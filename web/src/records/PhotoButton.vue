<script setup lang="ts">
import { onScopeDispose, ref, watch } from 'vue'
import { smallPicture } from '@/shared/device/picture'

/** Takes a picture with the phone's own camera, or one that is there already. */
const photo = defineModel<Blob | null>({ required: true })
const shown = ref('')
const failed = ref(false)

watch(photo, (now) => {
  if (shown.value) URL.revokeObjectURL(shown.value)
  shown.value = now ? URL.createObjectURL(now) : ''
})
onScopeDispose(() => shown.value && URL.revokeObjectURL(shown.value))

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  failed.value = false
  try {
    photo.value = await smallPicture(file)
  } catch {
    failed.value = true
  }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-3">
    <label class="btn cursor-pointer has-focus-visible:outline-3 has-focus-visible:outline-water">
      {{ photo ? 'Another photo' : 'Photo' }}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        class="sr-only"
        data-testid="photo"
        @change="take"
      />
    </label>
    <template v-if="shown">
      <img :src="shown" alt="The photo that goes with this record" class="h-14" />
      <button type="button" class="link min-h-12" @click="photo = null">Leave it out</button>
    </template>
    <p v-if="failed" class="font-bold text-rust" role="alert">
      This is no picture that can be read here. Take it as JPEG or PNG.
    </p>
  </div>
</template>
