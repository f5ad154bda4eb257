<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { ANALYSIS_PARTS } from '#core/label/productDocument'
import type { ProductDocument } from '#core/label/productShape'
import { PRODUCT_SECTIONS, printsNutrients, toldProduct, type ProductSection } from '#core/label/toldProduct'

/** What the label says of the product itself, told back by its parts; each opens its few fields. */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked } = useForm()
const told = computed(() => toldProduct(props.document))
const PARTS: Readonly<
  Record<
    ProductSection,
    { readonly title: string; readonly blank: string; readonly paths: readonly string[] }
  >
> = {
  feeds: {
    title: 'Feeds',
    blank: 'No analysis typed yet.',
    paths: [
      ...ANALYSIS_PARTS.map(([name]) => `document.analysis.${name}`),
      ...['nitrate', 'ammonium', 'urea'].map((form) => `document.nForms.${form}`),
      'document.releases',
      'document.saltIndex',
    ],
  },
  actives: { title: 'Actives', blank: 'None typed.', paths: [] },
  safety: { title: 'Safety', blank: 'Nothing typed: the label says it.', paths: ['document.reentry'] },
  mixing: {
    title: 'Mixing',
    blank: 'No density, no pH, no cup weighed.',
    paths: ['document.density', 'document.grain', 'document.ph.from'],
  },
  keeping: {
    title: 'Keeping',
    blank: 'Not said how long it keeps.',
    paths: ['document.shelfLife', 'document.reorderAt'],
  },
}
const shownSections = computed(() =>
  PRODUCT_SECTIONS.filter((section) => section !== 'feeds' || printsNutrients(props.document)),
)
const choices = <V extends string>(values: readonly V[]) =>
  values.map((value) => ({ value, text: value === '' ? 'none printed' : value }))
const signals = choices(['', 'caution', 'warning', 'danger'] as const)
const activePaths = computed(() => props.document.actives.map((_, i) => `document.actives.${i}.content`))
const cupPaths = computed(() =>
  (props.document.measures ?? []).flatMap((_, i) => [
    `document.measures.${i}.holds`,
    `document.measures.${i}.marks`,
  ]),
)
const pathsOf = (section: ProductSection) => [
  ...PARTS[section].paths,
  ...(section === 'actives' ? activePaths.value : section === 'mixing' ? cupPaths.value : []),
]
const addActive = () =>
  set('document.actives', [
    ...props.document.actives,
    { id: uuid(), name: '', content: { text: '', unit: '%' }, group: '' },
  ])
</script>

<template>
  <section aria-labelledby="label-title">
    <h2 id="label-title">The product</h2>
    <ToldSection
      v-for="section in shownSections"
      :key="section"
      :part="section"
      :title="PARTS[section].title"
      :words="told[section]"
      :blank="PARTS[section].blank"
      :paths="pathsOf(section)"
    >
      <div v-if="section === 'feeds'" class="space-y-2">
        <div class="fields">
          <QuantityField
            v-for="[name, label] in ANALYSIS_PARTS"
            :key="name"
            :path="`document.analysis.${name}`"
            :label="label"
          />
          <ChoiceField
            v-if="document.analysis.k2o.text.trim()"
            path="document.potassium"
            label="Potassium as"
            :choices="choices(['', 'chloride', 'sulfate'] as const)"
          />
        </div>
        <NitrogenForms v-if="document.analysis.n.text.trim()" :document="document" />
      </div>
      <template v-else-if="section === 'actives'">
        <ActiveLine
          v-for="(active, i) in document.actives"
          :key="active.id"
          :actives="document.actives"
          :active="active"
          :index="i"
        />
        <UButton v-if="!locked" variant="link" size="sm" @click="addActive">
          Add an active ingredient
        </UButton>
      </template>
      <div v-else-if="section === 'safety'" class="space-y-2">
        <div class="fields">
          <ChoiceField path="document.signal" label="Signal word" :choices="signals" />
          <QuantityField path="document.reentry" />
          <TextField path="document.registration" label="Registration no." placeholder="as on the label" />
        </div>
        <GrassChoice path="document.harms" label="It may harm" :chosen="document.harms ?? []" />
        <FormNotes
          path="document.restrictions"
          label="Protective equipment, bees, places where it may not be used"
          :text="document.restrictions ?? ''"
        />
      </div>
      <template v-else-if="section === 'mixing'">
        <div class="fields">
          <QuantityField path="document.density" />
          <QuantityField v-if="document.form === 'granule'" path="document.grain" />
        </div>
        <MixingExtras :document="document" />
      </template>
      <div v-else class="fields">
        <QuantityField path="document.shelfLife" />
        <QuantityField path="document.reorderAt" />
      </div>
    </ToldSection>
    <FormNotes path="document.notes" label="Notes" :text="document.notes" class="mt-3" />
  </section>
</template>
