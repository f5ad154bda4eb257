<script setup lang="ts" generic="Row">
import type { TableColumn } from '@nuxt/ui'

export interface RowColumn<Of> {
  readonly key: string
  readonly head: string
  readonly numeric?: boolean
  /** Where it is seen; on a phone a row is one line and a half. */
  readonly from?: 'laptop'
  /** What it is sorted by; a list that comes in pages is sorted by whoever sends it. */
  readonly sort?: (row: Of) => string | number
}

/**
 * Rows of things: the first column names each and leads to it, the whole row can be pressed. A column's slot
 * has its key for a name; `under` is the half line below the name on a phone.
 */
const props = defineProps<{
  rows: readonly Row[]
  columns: readonly RowColumn<Row>[]
  caption: string
  keyOf: (row: Row) => string
  to?: (row: Row) => string
  /** On a phone every cell stands below the other, with its head: few rows whose columns all matter. */
  stacked?: boolean
  /** Rows hold a picture: their words stand at its middle. */
  pictured?: boolean
  /** What a row is called where it is chosen. */
  nameOf?: (row: Row) => string
}>()
/** Rows chosen to do something with at once, by their keys; no choosing where it is not given. */
const chosen = defineModel<readonly string[]>('chosen')
defineSlots<Record<string, (scope: { readonly row: Row }) => unknown>>()
const phone = usePhone()
const sorting = ref<{ id: string; desc: boolean }[]>([])
const MANY = 200
const data = computed(() => [...props.rows])
const shownColumns = computed(() => props.columns.filter(({ from }) => !phone.value || from !== 'laptop'))
const CHOOSING = 'chosen'
const tableColumns = computed(() => [
  ...(chosen.value ? [{ id: CHOOSING, header: '', meta: { class: { th: 'w-8', td: 'w-8' } } }] : []),
  ...shownColumns.value.map(({ key, head, numeric, sort }): TableColumn<Row> => ({
    id: key,
    header: head,
    accessorFn: (row) => sort?.(row) ?? '',
    enableSorting: sort !== undefined,
    meta: numeric ? { class: { th: 'text-end', td: 'text-end whitespace-nowrap' } } : {},
  })),
])
const isChosen = (row: Row) => chosen.value?.includes(props.keyOf(row)) ?? false
function choose(rows: readonly Row[], way: 'in' | 'out') {
  const keys = rows.map(props.keyOf)
  const others = (chosen.value ?? []).filter((key) => !keys.includes(key))
  chosen.value = way === 'in' ? [...others, ...keys] : others
}
const allChosen = computed(() => props.rows.length > 0 && props.rows.every(isChosen))
const ARROWS = { asc: 'i-lucide-arrow-up', desc: 'i-lucide-arrow-down' } as const
</script>

<template>
  <div class="row-table" :class="{ stacked: stacked && phone, pictured }">
    <UTable
      v-model:sorting="sorting"
      :data="data"
      :columns="tableColumns"
      :caption="caption"
      :get-row-id="keyOf"
      :virtualize="rows.length > MANY"
      sticky="header"
      :ui="{
        root: 'overflow-visible',
        thead: 'bg-(--paper) backdrop-blur-none max-md:sr-only',
        tbody: '[&>tr]:hover:bg-(--tint)',
        tr: 'relative',
      }"
    >
      <template v-if="chosen" #chosen-header>
        <LazyUCheckbox
          :model-value="allChosen"
          :aria-label="`All ${rows.length} shown`"
          @update:model-value="choose(rows, $event === true ? 'in' : 'out')"
        />
      </template>
      <template v-if="chosen" #chosen-cell="cell">
        <LazyUCheckbox
          class="tick"
          :model-value="isChosen(cell.row.original)"
          :aria-label="nameOf?.(cell.row.original)"
          @update:model-value="choose([cell.row.original], $event === true ? 'in' : 'out')"
        />
      </template>
      <template v-for="column in shownColumns" :key="column.key" #[`${column.key}-header`]="header">
        <UButton
          v-if="column.sort"
          variant="link"
          size="sm"
          class="font-normal"
          :trailing-icon="
            header.column.getIsSorted() ? ARROWS[header.column.getIsSorted() || 'asc'] : undefined
          "
          @click="header.column.toggleSorting(header.column.getIsSorted() === 'asc')"
          >{{ column.head }}</UButton
        >
        <template v-else>{{ column.head }}</template>
      </template>
      <template v-for="(column, i) in shownColumns" :key="column.key" #[`${column.key}-cell`]="cell">
        <template v-if="i === 0">
          <NuxtLink v-if="to" :to="to(cell.row.original)" class="row-link"
            ><slot :name="column.key" :row="cell.row.original"
          /></NuxtLink>
          <slot v-else :name="column.key" :row="cell.row.original" />
          <span v-if="phone && $slots.under" class="soft small block"
            ><slot name="under" :row="cell.row.original"
          /></span>
        </template>
        <template v-else
          ><span v-if="stacked && phone" class="soft small">{{ column.head }}{{ ' ' }}</span
          ><slot :name="column.key" :row="cell.row.original"
        /></template>
      </template>
    </UTable>
  </div>
</template>

<style scoped>
.row-table :deep(td) {
  vertical-align: baseline;
}
.pictured :deep(td) {
  vertical-align: middle;
}
.stacked :deep(table),
.stacked :deep(tbody) {
  display: block;
  min-width: 0;
}
.stacked :deep(td) {
  display: block;
  padding: 2px 0;
  text-align: start;
  white-space: normal;
}
.stacked :deep(tr) {
  display: block;
  padding: 8px 0;
}
.row-table :deep(td :is(a, button, .tick):not(.row-link)) {
  position: relative;
  z-index: 1;
}
.row-table :deep(tr:hover .row-link) {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
