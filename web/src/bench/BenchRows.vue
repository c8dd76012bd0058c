<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { show, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { POSITIONS, WOODS } from '@/shared/words'
import { cellsOf, COLUMNS, lay, type Column } from './sheet'
import RowMore from './RowMore.vue'
import type { BenchRow } from './useBench'

/**
 * The branches, one a row. Enter and the arrows go from row to row, Enter in the last one begins another like it; a
 * sheet may be pasted into any cell, and Ctrl+D writes a cell into all rows under it.
 */
const rows = defineModel<BenchRow[]>({ required: true })
const props = defineProps<{
  sums: (Schemas['BranchPreview'] | null)[]
  limbs: Schemas['LimbStand'][]
  at: number
  isRing: boolean
  /** what is not said is taken as */
  taken: { leaves: number; fromUnionMm: number; leanDeg: number }
  another: (like: BenchRow) => BenchRow
  cellError: (index: number, field: string) => string | undefined
}>()
const emit = defineEmits<{
  at: [index: number]
  remove: [key: number]
  limb: [row: BenchRow, id: string]
  send: []
}>()
const session = useSession()
const { t } = useI18n()
/** the row whose further fields stand open; 0 for none */
const opened = ref(0)
const table = ref<HTMLElement | null>(null)
const PROP: Record<string, string> = {
  FINE: 'no prop',
  PROP: 'prop it',
  SMALLER_OR_PROP_FIRST: 'smaller ball or prop first',
}
const RISK: Record<string, string> = {
  LOW: 'bridging low',
  MODERATE: 'bridging moderate',
  HIGH: 'bridging high',
}
const FIT: Record<string, string> = {
  IN_BAND: 'hormone fits',
  BELOW: 'hormone weak',
  ABOVE: 'hormone strong',
}

const CONTAINER: Record<string, string> = { TOO_SMALL: 'too small', TOO_LARGE: 'too large' }

function cell(index: number, column: Column): HTMLElement | null {
  return table.value?.querySelector(`[data-cell="${index}-${column}"]`) ?? null
}

async function go(index: number, column: Column): Promise<void> {
  await nextTick()
  const found = cell(index, column)
  found?.focus()
  if (found instanceof HTMLInputElement) found.select()
}

function key(event: KeyboardEvent, index: number, column: Column): void {
  const plain = !event.ctrlKey && !event.metaKey && !event.altKey
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    emit('send')
  } else if (event.key === 'Enter' && plain) {
    event.preventDefault()
    if (index + 1 === rows.value.length) {
      const last = rows.value.at(-1)!
      rows.value = [...rows.value, { ...props.another(last), limb: '' }]
      void go(index + 1, 'diameter')
    } else void go(index + 1, column)
  } else if ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && plain && isText(column)) {
    const to = index + (event.key === 'ArrowDown' ? 1 : -1)
    if (to < 0 || to >= rows.value.length) return
    event.preventDefault()
    void go(to, column)
  } else if (event.key.toLowerCase() === 'd' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    const value = rows.value[index]![column]
    rows.value = rows.value.map((row, i) => (i > index ? { ...row, [column]: value } : row))
  }
}

/** In a list the arrows choose. */
function isText(column: Column): boolean {
  return column !== 'wood' && column !== 'position'
}

function paste(event: ClipboardEvent, index: number, column: Column): void {
  const cells = cellsOf(event.clipboardData?.getData('text/plain') ?? '')
  if (!cells) return
  event.preventDefault()
  rows.value = lay(rows.value, index, column, cells, props.another)
}

defineExpose({ go })

const HEADS: Record<Column, string> = {
  diameter: 'Diameter',
  wood: 'Wood',
  position: 'Upper cut',
  leaves: 'Leaves',
  fromUnion: 'To union',
  lean: 'Lean',
  ring: t('bench.ring'),
}
const FIELDS: Record<Column, string> = {
  diameter: 'diameterMm',
  wood: 'wood',
  position: 'position',
  leaves: 'leavesBeyond',
  fromUnion: 'fromUnionMm',
  lean: 'leanDeg',
  ring: 'ringMm',
}
function head(column: Column): string {
  if (column === 'lean') return 'Lean, °'
  return column === 'diameter' || column === 'fromUnion' || column === 'ring'
    ? `${HEADS[column]}, ${unitOf('length', session.units)}`
    : HEADS[column]
}
const options = (column: Column): [string, string][] =>
  column === 'wood' ? [['', t('bench.woodNotSaid')], ...WOODS] : [['', t('notSaid.option')], ...POSITIONS]
/** The unit stands in the head of the column. */
const plain = (mm: number) => typed(Math.round(mm), 'length', session.units)
/** What a cell is taken as that nobody fills in. */
function takenFor(column: Column, index: number): string | undefined {
  if (column === 'diameter') return t('bench.diameterAs')
  if (column === 'leaves') return String(props.taken.leaves)
  if (column === 'lean') return String(props.taken.leanDeg)
  if (column === 'fromUnion') return plain(props.taken.fromUnionMm)
  const ring = props.sums[index]?.ball.ringMm
  return column === 'ring' && ring && !rows.value[index]!.ring ? plain(ring) : undefined
}
const placeholder = (column: Column, index: number) => {
  const as = takenFor(column, index)
  return as && column !== 'diameter' ? t('bench.as', { taken: as }) : as
}
</script>

<template>
  <div ref="table" class="grid gap-3">
    <fieldset
      v-for="(row, index) in rows"
      :key="row.key"
      data-row
      class="grid grid-cols-2 items-start gap-2 border-l-4 pl-3 sm:grid-cols-[1fr_1.4fr_1.4fr_0.8fr_1fr_0.8fr_1fr_auto]"
      :class="index === at ? 'border-lichen' : 'border-line'"
      @focusin="emit('at', index)"
    >
      <legend class="sr-only">Branch {{ index + 1 }}</legend>
      <label
        v-for="column in COLUMNS.filter((one) => isRing || one !== 'ring')"
        :key="column"
        class="flex h-full flex-col justify-end gap-1 text-sm"
      >
        <span :class="index ? 'sm:sr-only' : ''">{{ head(column) }}</span>
        <input
          v-if="isText(column)"
          v-model="row[column]"
          class="input"
          :data-cell="`${index}-${column}`"
          :inputmode="column === 'leaves' || column === 'lean' ? 'numeric' : 'text'"
          :aria-invalid="cellError(index, FIELDS[column]) ? 'true' : undefined"
          :placeholder="placeholder(column, index)"
          @keydown="key($event, index, column)"
          @paste="paste($event, index, column)"
        />
        <select
          v-else
          v-model="row[column]"
          class="input"
          :data-cell="`${index}-${column}`"
          :aria-invalid="cellError(index, FIELDS[column]) ? 'true' : undefined"
          @keydown="key($event, index, column)"
        >
          <option v-for="[code, text] in options(column)" :key="code" :value="code">{{ text }}</option>
          <option v-if="!options(column).some(([code]) => code === row[column])" :value="row[column]">
            {{ row[column] }}?
          </option>
        </select>
      </label>
      <button
        type="button"
        class="min-h-12 min-w-10"
        :class="index ? '' : 'self-end'"
        :aria-label="`Remove branch ${index + 1}`"
        @click="emit('remove', row.key)"
      >
        ×
      </button>
      <p
        v-for="column in COLUMNS.filter((one) => cellError(index, FIELDS[one]))"
        :key="column"
        class="col-span-full -mt-1 text-sm font-bold text-rust"
        role="alert"
      >
        {{ HEADS[column] }}: {{ cellError(index, FIELDS[column]) }}
      </p>
      <p
        v-for="warning in sums[index]?.warnings ?? []"
        :key="warning"
        class="col-span-full -mt-1 border-l-4 border-sap bg-sap-pale px-2 text-sm"
        :data-testid="`row-warning-${index}`"
      >
        {{ warning }}
      </p>
      <div class="col-span-full -mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
        <button
          type="button"
          class="link min-h-10"
          :aria-expanded="opened === row.key"
          :data-testid="`more-${index}`"
          @click="opened = opened === row.key ? 0 : row.key"
        >
          {{ t(opened === row.key ? 'bench.less' : 'bench.more') }}
        </button>
        <label v-if="limbs.length" class="flex items-center gap-2">
          Limb
          <select
            class="input min-h-10 w-auto py-0"
            :value="row.limb"
            @change="emit('limb', row, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">Not on record</option>
            <option v-for="one in limbs" :key="one.limb.name" :value="String(one.limb.id)">
              {{ one.limb.name }}: room for {{ one.more }}
            </option>
          </select>
        </label>
        <p v-if="sums[index]" class="min-w-60 grow basis-0 text-muted" :data-testid="`row-sums-${index}`">
          {{ show(sums[index]!.ball.diameterMm, 'length', session.units) }}:
          <b class="text-ink">{{
            isRing ? `Ring ${show(sums[index]!.ball.ringMm, 'length', session.units)}` : 'No ring'
          }}</b>,
          {{
            sums[index]!.ball.mediumMl
              ? `${show(sums[index]!.ball.mediumMl, 'volume', session.units)} of medium`
              : 'foil only'
          }}, {{ PROP[sums[index]!.load.verdict] }},
          <template v-if="isRing">{{ RISK[sums[index]!.bridging] }}, </template>
          {{ FIT[sums[index]!.hormoneFit]
          }}<template v-if="sums[index]!.containerFit && sums[index]!.containerFit !== 'FITS'"
            >, <b class="text-ink">container {{ CONTAINER[sums[index]!.containerFit!] }}</b></template
          >
        </p>
      </div>
      <RowMore
        v-if="opened === row.key"
        class="col-span-full"
        :row="row"
        :asked="sums[index]?.ball ?? null"
        :error="(field) => cellError(index, field)"
        @change="Object.assign(row, $event)"
      />
    </fieldset>
  </div>
</template>
