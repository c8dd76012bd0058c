<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import jsQR from 'jsqr'
import { onBeforeUnmount, onMounted, ref } from 'vue'

/** Reads the QR code of a label with the device's camera. */
const emit = defineEmits<{ found: [text: string]; close: [] }>()
const video = ref<HTMLVideoElement | null>(null)
const trouble = ref('')
const canvas = document.createElement('canvas')
/** Wide enough for a code that fills a third of the picture, small enough to be read many times a second. */
const WIDTH = 640
let stream: MediaStream | null = null
let frame = 0

function look(): void {
  frame = requestAnimationFrame(look)
  const from = video.value
  if (!from || from.readyState < HTMLMediaElement.HAVE_CURRENT_DATA || !from.videoWidth) return
  canvas.width = WIDTH
  canvas.height = Math.round((WIDTH * from.videoHeight) / from.videoWidth)
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) return
  context.drawImage(from, 0, 0, canvas.width, canvas.height)
  const seen = jsQR(
    context.getImageData(0, 0, canvas.width, canvas.height).data,
    canvas.width,
    canvas.height,
    { inversionAttempts: 'dontInvert' },
  )
  if (seen?.data) {
    stop()
    emit('found', seen.data)
  }
}

function stop(): void {
  cancelAnimationFrame(frame)
  stream?.getTracks().forEach((track) => track.stop())
  stream = null
}

onMounted(async () => {
  try {
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
    if (!video.value) return stop()
    video.value.srcObject = stream
    await video.value.play()
    look()
  } catch {
    trouble.value =
      'The camera can’t be used: it is switched off for this page, taken by another, or the page was not reached by https. Type the code of the label instead.'
  }
})
onBeforeUnmount(stop)
</script>

<template>
  <Dialog :open="true" class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/60" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="w-full max-w-lg bg-card p-4">
        <DialogTitle class="text-lg font-bold">Hold a label before the camera</DialogTitle>
        <p class="text-muted">The label of a mother, or of any layer on it.</p>
        <p v-if="trouble" class="mt-3 border-l-8 border-rust bg-rust-pale p-3" role="alert">{{ trouble }}</p>
        <video
          v-show="!trouble"
          ref="video"
          class="mt-3 aspect-[4/3] w-full bg-ink object-cover"
          muted
          playsinline
        />
        <button type="button" class="btn mt-3" @click="emit('close')">Back</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
