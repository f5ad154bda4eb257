<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankProduct } from '#core/draft/blankApplication'
import { methodOf } from '#core/draft/fromLibrary'
import type { RateLine } from '#core/label/productShape'

/** The products of the application, each with its rate on the label's own scale. */
const { document, set, locked, day, go, whenLoaded } = useSheet()
const library = useLibraryStore()
/** The same each time: a line whose label has none is not drawn again. */
const NO_LINES: readonly RateLine[] = []
const { withProduct } = useFromLibrary()
// Told apart from the document, that a key leaves the list of names as it is.
const method = computed(() => document.value.method)
const alone = computed(() => document.value.products.length === 1)
const saved = computed(() =>
  library.products.filter(({ document: label }) => alone.value || methodOf(label) === method.value),
)

const labelCalled = (typed: string) =>
  saved.value.find((one) => one.name.toLowerCase() === typed.trim().toLowerCase())
/** Naming a saved product brings its label. */
function name(index: number, typed: string) {
  const product = labelCalled(typed)
  if (product && product.id !== document.value.products[index]?.source?.id)
    return set('', withProduct(document.value, index, product, undefined, day.value))
  set(`products.${index}.name`, typed)
  const { id } = document.value.products[index] ?? {}
  if (id) whenLoaded(id, () => nameAgain(id))
}
/** The label comes after the name; a rate that was typed meanwhile stays. */
function nameAgain(id: string) {
  const index = document.value.products.findIndex((product) => product.id === id)
  const typed = document.value.products[index]
  const product = typed && labelCalled(typed.name)
  if (!typed || typed.source || !product) return
  const filled = withProduct(document.value, index, product, undefined, day.value)
  set(
    '',
    typed.rate.text.trim() === ''
      ? filled
      : {
          ...filled,
          products: filled.products.map((one, i) => (i === index ? { ...one, rate: typed.rate } : one)),
        },
  )
}
const linesOf = (id: string | undefined): readonly RateLine[] =>
  library.products.find((product) => product.id === id)?.document.lines ?? NO_LINES
function takeLine(index: number, lineId: string) {
  const product = library.products.find(({ id }) => id === document.value.products[index]?.source?.id)
  if (product) set('', withProduct(document.value, index, product, lineId, day.value))
}
const crew = useCrewStore()
const methods = [
  { value: 'spray', text: 'sprayed' },
  { value: 'spread', text: 'spread dry' },
] as const

function addProduct() {
  const index = document.value.products.length
  set('products', [...document.value.products, blankProduct(uuid(), document.value.method, crew.units)])
  void go(`products.${index}.name`)
}
const dropProduct = (id: string) =>
  set(
    'products',
    document.value.products.filter((product) => product.id !== id),
  )

/** Blank figures follow the method into its usual units; what has been typed keeps its own. */
function chooseMethod(method: 'spread' | 'spray') {
  const products = document.value.products.map((product) => {
    const fresh = blankProduct(product.id, method, crew.units)
    const typed = [product.rate, product.low, product.high, product.most].some(({ text }) => text !== '')
    return typed
      ? { ...product, form: fresh.form }
      : { ...fresh, name: product.name, registration: product.registration }
  })
  set('', { ...document.value, method, products })
}
</script>

<template>
  <section aria-labelledby="products-title">
    <div class="flex items-baseline justify-between">
      <h2 id="products-title">Products</h2>
      <RadioField
        bare
        label="How it is carried"
        :value="document.method"
        :choices="methods"
        :locked="locked"
        @change="chooseMethod"
      />
    </div>
    <ul>
      <ProductLine
        v-for="(product, index) in document.products"
        :key="product.id"
        :product="product"
        :index="index"
        :names="saved"
        :lines="linesOf(product.source?.id)"
        @name="name"
        @line="takeLine"
        @drop="dropProduct"
      />
    </ul>
    <UButton v-if="document.method === 'spray' && !locked" variant="link" size="sm" @click="addProduct">
      Add a product to the tank
    </UButton>
  </section>
</template>
