<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankProduct } from '#core/draft/blankApplication'
import { methodOf } from '#core/draft/fromLibrary'
import { rateUnitsFor } from './rateUnits'

/** The products of the application, each with its rate on the label's own scale. */
const { document, sheet, set, locked, opened, day } = useSheet()
const library = useLibraryStore()
const { withProduct } = useFromLibrary()
const listId = useId()
const saved = computed(() =>
  library.products.filter(
    ({ document: label }) =>
      document.value.products.length === 1 || methodOf(label) === document.value.method,
  ),
)

const whenLoaded = useWhenLoaded()
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
  opened.delete(`products.${index}`)
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
      <fieldset class="flex gap-3" :disabled="locked">
        <legend class="sr-only">How it is carried</legend>
        <label
          v-for="method in methods"
          :key="method.value"
          class="small flex items-center gap-1"
          :class="[method.value === 'spray' ? 'wet' : 'dry']"
        >
          <input
            type="radio"
            name="method"
            class="accent-current"
            :value="method.value"
            :checked="document.method === method.value"
            @change="chooseMethod(method.value)"
          />{{ method.text }}
        </label>
      </fieldset>
    </div>
    <ul>
      <li v-for="(product, index) in document.products" :key="product.id" class="rule-b py-1.5">
        <FormFold
          :section="`products.${index}`"
          :words="`label of ${product.name || `product ${index + 1}`}`"
        >
          <template #line>
            <input
              class="name"
              :value="product.name"
              :aria-label="`Product ${index + 1}`"
              :placeholder="`Product ${index + 1}, as on the label`"
              :data-path="`products.${index}.name`"
              :disabled="locked"
              maxlength="200"
              autocomplete="off"
              :list="listId"
              @input="name(index, ($event.target as HTMLInputElement).value)"
            />
            <select
              v-if="linesOf(product.source?.id).length > 1"
              class="line small"
              :aria-label="`Label line of ${product.name}`"
              :value="product.source?.line"
              :disabled="locked"
              @change="takeLine(index, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="line in linesOf(product.source?.id)" :key="line.id" :value="line.id">
                {{ line.use || 'unnamed use' }}
              </option>
            </select>
          </template>
          <ProductFields :product="product" :index="index" />
          <button
            v-if="document.products.length > 1 && !locked"
            type="button"
            class="plain-button way-out small pb-2"
            @click="dropProduct(product.id)"
          >
            Remove this product
          </button>
        </FormFold>
        <FormQuantity
          :path="`products.${index}.rate`"
          label="Rate"
          kind="rate"
          :entered="product.rate"
          :units="units"
          class="rate"
        />
        <LabelScale
          v-if="sheet.products[index]"
          :product="sheet.products[index]!"
          :method="document.method"
        />
      </li>
    </ul>
    <datalist :id="listId">
      <option v-for="product in saved" :key="product.id" :value="product.name" />
    </datalist>
    <button
      v-if="document.method === 'spray' && !locked"
      type="button"
      class="plain-button way-out small mt-1"
      @click="addProduct"
    >
      Add a product to the tank
    </button>
  </section>
</template>

<style scoped>
.name {
  background: transparent;
  border: 0;
  border-bottom: 1px dashed transparent;
  width: 100%;
  font-weight: 600;
  min-height: 26px;
}
.name::placeholder {
  color: var(--soft);
  opacity: 1;
  font-weight: 400;
}
.name:hover:not(:disabled),
.name:placeholder-shown {
  border-bottom-color: var(--rule-strong);
}
.line {
  background: transparent;
  border: 0;
  color: var(--soft);
  width: 100%;
  min-height: 26px;
  text-overflow: ellipsis;
}
.rate {
  display: grid;
  grid-template-columns: 44px 1fr;
  align-items: center;
}
</style>
