<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Card } from '@/shared/device/useCards'
import { motherPage } from '@/shared/api/stock'

/** What comes off with a limb that is cut whole: every layer that stands on it. */
const props = defineProps<{ layer: Card }>()
const codes = defineModel<string[]>({ required: true })
const { t } = useI18n()
const { data } = useQuery(motherPage(() => props.layer.mother.id))
watch(
  data,
  (page) => {
    const limb = page?.limbs.find((one) => one.balls.some((ball) => ball.code === props.layer.code))
    if (limb) codes.value = limb.balls.map((ball) => ball.code)
  },
  { immediate: true },
)
</script>

<template>
  <p data-testid="whole-limb">
    {{
      codes.length > 1
        ? t('madeBy.all', { limb: layer.mother.limb ?? '', codes: codes.join(', ') })
        : t('madeBy.alone', { code: layer.code })
    }}
  </p>
</template>
