<script setup lang="ts">
import { PRODUCT_TABLE } from '#core/label/productFields'
import { comparedRate, equivalents } from '#core/label/equivalents'
import { bestSet, onSale } from '#core/stock/bestSet'
import { packageChoice, shelfYears, type YearNeed } from '#core/stock/packageChoice'
import { readProduct } from '#core/label/read/readProduct'
import { openWorkingBook } from '#core/working/working'
import { lineCost } from '#core/job/cost/lineCost'
import type { Product, SaveProduct } from '#shared/schemas/product'

/** One product: its label as printed, its packages and what is on hand. */
const id = String(useRoute().params.id)
const begin = useNewRow()
const library = useLibraryStore()
const entry = useEntryForm<Product, SaveProduct, undefined>('products', id, {
  draftOf: ({ version, name, document }) => ({ version, name, document }),
  fields: () => PRODUCT_TABLE,
  read: ({ document }, fields) => {
    readProduct(document, fields)
    return undefined
  },
})
const { draft, stored, load } = entry
/** A product that has not reached the server has nothing there yet. */
const ofStored = <T,>(question: (productId: string) => Question<T>) =>
  useAnswer(() => ((draft.value?.version ?? 0) > 0 ? question(id) : undefined))
const { answer: stock, again: readStock } = ofStored(questions.stock)
const { answer: planned } = ofStored(questions.plannedUse)
const plannedUse = computed(() => planned.value ?? [])
const need = shallowRef<YearNeed>()
useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (draft.value)
      for (const line of draft.value.document.lines)
        for (const pack of draft.value.document.packages) lineCost({ id, ...draft.value }, line, pack, book)
    if (draft.value && need.value)
      packageChoice(draft.value.document.packages, need.value, shelfYears(draft.value.document), book)
    if (draft.value && need.value)
      bestSet(onSale(draft.value.document.packages, need.value.dimension), need.value.amount, book)
    const rate = draft.value && comparedRate(draft.value.document)
    if (draft.value && rate) equivalents({ id, ...draft.value }, rate, library.products, book)
    return book.pages()
  },
  computed(
    () =>
      new Map(
        (draft.value?.document.lines ?? []).flatMap((line) =>
          (draft.value?.document.packages ?? []).map(
            (pack) =>
              [`cost.${line.id}.${pack.id}`, `Cost out of ${pack.size.text} ${pack.size.unit}`] as const,
          ),
        ),
      ),
  ),
)
await load()
useHead({ title: () => `${draft.value?.name || 'New product'} · Hectarum` })

const copy = () =>
  draft.value &&
  begin(
    { name: `${draft.value.name}, copy`, document: { ...draft.value.document, label: 'own' } },
    (copied) => `/products/${copied}`,
  )
useScreenCommands(() => [{ id: 'copy', label: 'Copy this product', key: 'c', run: copy }])
</script>

<template>
  <EntryPage
    :entry="entry"
    what="product"
    placeholder="Name, as on the label"
    back="All products"
    back-to="/products"
    away="See all products"
  >
    <template #about
      ><strong v-if="draft?.document.label === 'sample'" class="sample"
        >sample label, made up: not for use</strong
      ></template
    >
    <template #actions>
      <UButton label="Copy" aria-keyshortcuts="c" @click="copy" />
    </template>
    <div v-if="draft" class="columns">
      <div class="space-y-5">
        <KindFields :document="draft.document" />
        <LabelLines :document="draft.document" />
        <ProductTold :document="draft.document" />
        <ProductPapers :papers="draft.document.papers" />
      </div>
      <div class="space-y-5">
        <PackageList :product="{ id, ...draft }" />
        <PackageChoice
          :document="draft.document"
          :stock="stock"
          :planned="plannedUse"
          @need="need = $event"
        />
        <EquivalentList :product="{ id, ...draft }" />
        <StockPanel
          v-if="stored"
          :product-id="id"
          :stock="stock"
          :unit="draft.document.packages[0]?.size.unit ?? draft.document.reorderAt.unit"
          @moved="readStock"
        />
        <p class="soft small">
          The label is the law: enter what yours says, and keep it at hand. Locked, cool and dry storage;
          nothing left over goes down a drain.
        </p>
      </div>
    </div>
  </EntryPage>
</template>

<style scoped>
.sample {
  color: var(--dry);
}
</style>
