<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { dayText } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { MEDIA, word, WRAPS } from '@/shared/words'
import SuppliesForm from './SuppliesForm.vue'
import { houseSupplies } from '@/shared/api/nursery'

/** What the bench keeps in stock. */
const session = useSession()
const { data: supplies, error, refetch } = useQuery(houseSupplies)
const editing = ref(false)
/** Of the mixes those that are mixed at all, or have something added. */
const mixes = computed(() =>
  MEDIA.flatMap(([code, name]) => {
    const mix = supplies.value?.mixes[code]
    if (!mix || (mix.ingredients.length < 2 && !mix.additives.length && mix.ingredients[0]?.swelling === 1))
      return []
    const parts = mix.ingredients.map((one) => `${one.parts} ${one.name.toLowerCase()}`).join(' : ')
    return [`${name}: ${[parts, ...mix.additives.map((one) => one.name.toLowerCase())].join(', ')}`]
  }),
)

function saved(): void {
  editing.value = false
  toast('Saved.')
}
</script>

<template>
  <section class="mt-8" aria-labelledby="supplies-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="supplies-title" class="text-lg">Supplies</h2>
      <button v-if="session.isOwner && supplies && !editing" class="btn" @click="editing = true">
        Edit the supplies
      </button>
    </div>
    <ProblemNote :problem="error" @retry="refetch()" />
    <SuppliesForm
      v-if="editing && supplies"
      class="mt-3"
      :supplies="supplies"
      @saved="saved"
      @close="editing = false"
    />
    <template v-else-if="supplies">
      <p class="mt-2"><b>Mixes.</b> {{ mixes.join('; ') }}.</p>
      <p class="mt-1">
        <b>Pods, bags and pots.</b>
        <template v-if="supplies.containers.length">
          {{
            supplies.containers
              .map(
                (one) =>
                  `${one.name} (${word(WRAPS, one.wrap).toLowerCase()}, ${show(one.volumeMl, 'volume', session.units)}, ${show(one.acrossMm, 'length', session.units)} across)`,
              )
              .join('; ')
          }}.
        </template>
        <template v-else>None yet: with them the Bench says which suits a branch.</template>
      </p>
      <p class="mt-1">
        <b>Hormones.</b>
        <template v-if="supplies.hormones.length">
          {{
            supplies.hormones
              .map(
                (one) =>
                  `${one.name}, ${one.form.toLowerCase()}, ${Math.round(one.ppm)} ppm${one.lot ? `, lot ${one.lot}` : ''}${one.expiresOn ? `, good until ${dayText(one.expiresOn, session.today)}` : ''}`,
              )
              .join('; ')
          }}.
        </template>
        <template v-else>None yet: with them each batch keeps its pack and lot.</template>
      </p>
    </template>
  </section>
</template>
