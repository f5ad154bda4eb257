<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankProduct } from '#core/draft/blankApplication'
import { methodOf } from '#core/draft/fromLibrary'
import { rateUnitsFor } from './rateUnits'

/** The products of the application, each with its rate on the label's own scale. */
const { document, sheet, set, locked, day, go, whenLoaded } = useSheet()
const library = useLibraryStore()
const { withProduct } = useFromLibrary()
const shown = useShown()
const amountOf = (id: string) => sheet.value.plan?.totals.products.find((total) => total.id === id)?.amount
const saved = computed(() =>
  library.products.filter(
    ({ document: label }) =>
      document.value.products.length === 1 || methodOf(label) === document.value.method,
  ),
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
const linesOf = (id: string | undefined) =>
  library.products.find((product) => product.id === id)?.document.lines ?? []
function takeLine(index: number, lineId: string) {
  const product = library.products.find(({ id }) => id === document.value.products[index]?.source?.id)
  if (product) set('', withProduct(document.value, index, product, lineId, day.value))
}
const crew = useCrewStore()
const units = computed(() => rateUnitsFor(document.value.method))
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
      <li v-for="(product, index) in document.products" :key="product.id" class="rule-b py-1.5">
        <FormFold
          :section="`products.${index}`"
          :words="`label of ${product.name || `product ${index + 1}`}`"
        >
          <template #line>
            <div class="fields items-end">
              <NameField
                class="named"
                :label="`Product ${index + 1}`"
                placeholder="as on the label"
                :text="product.name"
                :names="saved"
                :path="`products.${index}.name`"
                :locked="locked"
                @change="name(index, $event)"
              />
              <ChoiceField
                v-if="linesOf(product.source?.id).length > 1"
                class="named"
                :label="`Label line of ${product.name}`"
                :value="product.source?.line ?? ''"
                :choices="
                  linesOf(product.source?.id).map(({ id, use }) => ({
                    value: id,
                    text: use || 'unnamed use',
                  }))
                "
                :locked="locked"
                @change="takeLine(index, $event)"
              />
            </div>
          </template>
          <ProductFields :product="product" :index="index" />
          <UButton
            v-if="document.products.length > 1 && !locked"
            variant="link"
            size="sm"
            @click="dropProduct(product.id)"
          >
            Remove this product
          </UButton>
        </FormFold>
        <div class="rate">
          <FormQuantity
            :path="`products.${index}.rate`"
            label="Rate"
            kind="rate"
            :entered="product.rate"
            :units="units"
          />
          <LabelScale
            v-if="sheet.products[index]"
            class="scale"
            :product="sheet.products[index]!"
            :method="document.method"
          />
          <p v-if="amountOf(product.id)" class="amount" :class="document.method === 'spray' ? 'wet' : 'dry'">
            <span class="soft small block">on this ground</span>
            <span class="figure"
              ><FigureText
                :shown="shown.amount(amountOf(product.id)!)"
                :page="`products.${product.id}.amount`"
                :label="product.name"
            /></span>
          </p>
        </div>
      </li>
    </ul>
    <UButton v-if="document.method === 'spray' && !locked" variant="link" size="sm" @click="addProduct">
      Add a product to the tank
    </UButton>
  </section>
</template>

<style scoped>
.rate > :first-child {
  flex: 0 1 250px;
}
.named {
  flex: 2 1 240px;
}
.rate {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 18px;
  margin-top: 6px;
}
.scale {
  flex: 1 1 110px;
  max-width: 300px;
}
.amount {
  margin-left: auto;
  text-align: right;
}
</style>
