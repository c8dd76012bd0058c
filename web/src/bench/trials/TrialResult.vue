<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import ShareBar from '@/ledger/ShareBar.vue'

/** What came of a trial, and what is done from now on. */
const props = defineProps<{ page: Schemas['TrialPage']; saving: boolean; error?: string }>()
const emit = defineEmits<{ decide: [choice: { arm: number; note: string }] }>()
const session = useSession()
const FEW = 10
const deciding = ref(false)
const arm = ref('0')
const note = ref('')
const options = props.page.line.arms.map((one): [string, string] => [
  String(one.number),
  one.number === 0 ? `Keep ${one.letter}: ${one.recipe}` : `Adopt ${one.letter}: ${one.recipe}`,
])
</script>

<template>
  <section class="mt-4" aria-labelledby="result-title" data-testid="trial-result">
    <h2 id="result-title" class="border-b-2 border-ink pb-1 text-lg">What came of it</h2>
    <p class="mt-2 text-lg font-bold" data-testid="trial-verdict">{{ page.result.verdict }}</p>
    <table class="mt-2 border-collapse text-left">
      <thead>
        <tr class="border-b border-ink text-sm">
          <th scope="col" class="pr-6">Arm</th>
          <th scope="col" class="pr-6">Rooted</th>
          <th scope="col">By mother</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in page.result.arms" :key="one.number" class="border-b border-line">
          <th scope="row" class="py-2 pr-6">{{ one.letter }}, {{ one.recipe }}</th>
          <td class="py-2 pr-6">
            <ShareBar :figure="one.rooted" :few="FEW" />
            <span v-if="one.open" class="text-sm text-muted">, {{ one.open }} open</span>
          </td>
          <td>
            <span v-for="(on, i) in one.mothers" :key="on.mother"
              ><template v-if="i">, </template>{{ on.mother }} {{ on.n }} of {{ on.of }}</span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-for="one in page.result.others" :key="one.letter" class="mt-2">
      <template v-if="one.side.difference !== null">
        <template v-if="page.result.open || page.result.others.length > 1"
          >{{ one.letter }} beside A{{ page.result.open ? ', so far' : '' }}: {{ one.side.sentence }}
        </template>
        {{ one.blockedSentence }}
        <span class="text-muted">Fisher’s p {{ one.side.fisherP.toPrecision(2) }}.</span>
      </template>
    </p>
    <p v-if="page.decision" class="mt-3 border-l-8 border-lichen bg-lichen-pale p-3" data-testid="decision">
      <b>{{
        page.decision.arm
          ? `${page.line.arms[0]?.recipe} is done as ${page.decision.recipe} from ${dayText(page.decision.on, session.today)} on.`
          : `${page.decision.recipe} stays as it was.`
      }}</b>
      Settled by {{ page.decision.by }} on {{ dayText(page.decision.on, session.today)
      }}<template v-if="page.decision.note">: “{{ page.decision.note }}”</template>
    </p>
    <template v-else-if="session.isOwner && page.result.decided">
      <button
        v-if="!deciding"
        type="button"
        class="btn mt-3 print:hidden"
        data-testid="decide"
        @click="deciding = true"
      >
        Settle what is done from now on
      </button>
      <form
        v-else
        class="panel mt-3 grid gap-4"
        aria-label="What is done from now on"
        @submit.prevent="emit('decide', { arm: Number(arm), note: note.trim() })"
      >
        <Choice v-model="arm" label="From now on" :options="options" />
        <p v-if="arm !== '0'">
          {{ page.line.arms[0]?.recipe }} will be done as {{ page.line.arms[Number(arm)]?.recipe }} by whoever
          sets with it. Layers set before keep what was done.
        </p>
        <Field v-model="note" label="Why" :error="error" />
        <div class="flex flex-wrap gap-2">
          <button class="btn btn-main" :disabled="saving" data-testid="settle">Settle it</button>
          <button type="button" class="btn" @click="deciding = false">Back</button>
        </div>
      </form>
    </template>
  </section>
</template>
