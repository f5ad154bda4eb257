<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankProductDocument } from '#core/label/blankProduct'
import { unitText } from '#core/quantity/systems'
import type { Product } from '#shared/schemas/product'

/** The shelf: labels with their first rate, and what is on hand. */
useHead({ title: 'Products · Hectarum' })
const crew = useCrewStore()
const shown = useShown()
const library = useLibraryStore()
const begin = useNewRow()
const { problem, loading, read } = useReading(library.load)
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
const kinds = computed(() => [...new Set(found.value.map(({ document }) => document.kind))])
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
    :loading="loading"
    :problem="problem"
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
    <section v-for="kind in kinds" :key="kind" :aria-label="kind" class="mt-4">
      <h2 class="kind">{{ kind }}</h2>
      <table class="list">
        <thead class="sr-only">
          <tr>
            <th scope="col">Product</th>
            <th scope="col">Active</th>
            <th scope="col">Usual rate</th>
            <th scope="col">On hand</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="product in found.filter(({ document }) => document.kind === kind)" :key="product.id">
            <th scope="row" class="w-[38%]">
              <NuxtLink :to="`/products/${product.id}`" class="way-out">{{ product.name }}</NuxtLink><span
                v-if="product.document.label === 'sample'"
                class="sample small"
              >
                sample label</span
              >
            </th>
            <td>
              {{
                product.document.actives
                  .map(({ name, group }) => `${name}${group ? `, group ${group}` : ''}`)
                  .join('; ')
              }}
            </td>
            <td class="num w-[18%]" data-label="rate">
              <FigureText v-if="rate(product)" :shown="rate(product)!" />
            </td>
            <td class="num w-[16%]" data-label="on hand">
              <span v-for="there in product.onHand" :key="there.dimension" :class="{ low: there.amount < 0 }"
                ><FigureText :shown="shown.stock(there)" />
              </span>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <template #after>
      <FileExchange
        v-if="!problem && !loading"
        :address="crewUrl('/products/file')"
        :format="files"
        :say="productsFound"
        @taken="read"
      />
    </template>
  </ListPlace>
</template>

<style scoped>
.kind::first-letter {
  text-transform: uppercase;
}
.sample {
  color: var(--dry);
}
.low {
  color: var(--stop);
  font-weight: 600;
}
</style>
