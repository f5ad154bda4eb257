<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankProductDocument } from '#core/label/blankProduct'
import { unitText } from '#core/quantity/systems'
import type { RowColumn } from '~/components/field/RowTable.vue'
import type { Product } from '#shared/schemas/product'

/** The shelf: labels with their first rate, and what is on hand. */
useHead({ title: 'Products · Hectarum' })
const crew = useCrewStore()
const shown = useShown()
const library = useLibraryStore()
const begin = useNewRow()
const read = () => library.load().catch(() => undefined)
void read()
const words = ref('')
const found = computed(() => {
  const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return library.products.filter(({ name, document }) => {
    const said =
      `${name} ${document.kind} ` +
      `${document.actives.map((active) => `${active.name} ${active.group}`).join(' ')}`.toLowerCase()
    return wanted.every((word) => said.includes(word))
  })
})
const empty = computed(() => {
  if (library.products.length === 0)
    return {
      words: 'No products yet. Type one label and every job can take its rate and limits from it.',
      action: 'Enter the first label',
    }
  return found.value.length === 0 ? { words: 'No product is like that.' } : undefined
})
const actives = ({ document }: Product) =>
  document.actives.map(({ name, group }) => `${name}${group ? `, group ${group}` : ''}`).join('; ')
const columns: readonly RowColumn<Product>[] = [
  { key: 'name', head: 'Product', sort: ({ name }) => name.toLowerCase() },
  { key: 'kind', head: 'Kind', from: 'laptop', sort: ({ document }) => document.kind },
  { key: 'active', head: 'Active', from: 'laptop', sort: (product) => actives(product) },
  { key: 'scale', head: 'Label', from: 'laptop' },
  { key: 'rate', head: 'Usual rate', numeric: true, from: 'laptop' },
  { key: 'hand', head: 'On hand', numeric: true },
]
const rate = ({
  document: {
    lines: [line],
  },
}: Product) =>
  line === undefined || line.rate.text === ''
    ? undefined
    : { figure: line.rate.text, unit: unitText(line.rate.unit) }
const files = shelfFormat(() => crew.units)
const newProduct = () =>
  begin({ name: words.value, document: blankProductDocument(uuid(), crew.units) }, (id) => `/products/${id}`)
useScreenCommands(() => [{ id: 'new-product', label: 'New product', key: 'a', run: newProduct }])
</script>

<template>
  <ListPlace
    name="Products"
    :loading="!library.loaded"
    :problem="library.problem"
    :empty="empty"
    @retry="read"
    @act="newProduct"
  >
    <template #head>
      <SearchField v-model="words" label="Find by name, kind, active" />
      <UButton
        label="New product"
        color="primary"
        variant="solid"
        aria-keyshortcuts="a"
        @click="newProduct"
      />
    </template>
    <RowTable
      class="mt-3"
      caption="Products"
      :rows="found"
      :columns="columns"
      :key-of="({ id }) => id"
      :to="({ id }) => `/products/${id}`"
    >
      <template #name="{ row }">{{ row.name }}</template>
      <template #under="{ row }">{{ row.document.kind }}</template>
      <template #kind="{ row }"
        >{{ row.document.kind
        }}<span v-if="row.document.label === 'sample'" class="sample small block"
          >sample label</span
        ></template
      >
      <template #active="{ row }">{{ actives(row) }}</template>
      <template #scale="{ row }"
        ><RateMark
          v-if="row.document.lines[0]"
          :line="row.document.lines[0]"
          :dry="row.document.form === 'granule'"
      /></template>
      <template #rate="{ row }"><FigureText v-if="rate(row)" :shown="rate(row)!" /></template>
      <template #hand="{ row }"
        ><span v-for="there in row.onHand" :key="there.dimension" :class="{ low: there.amount < 0 }"
          ><FigureText :shown="shown.stock(there)" /> </span
      ></template>
    </RowTable>
    <template #after>
      <FileExchange
        v-if="!library.problem && library.loaded"
        :address="crewUrl('/products/file')"
        :format="files"
        :say="productsFound"
        @taken="read"
      />
    </template>
  </ListPlace>
</template>

<style scoped>
.sample {
  color: var(--dry);
}
.low {
  color: var(--stop);
  font-weight: 600;
}
</style>
