<script setup lang="ts">
import type { ChainLink, LinkName } from '#core/job/chain'
import { prettyUnits, unitText, type Shown } from '#core/quantity/systems'
import { showQuantity } from '#core/quantity/systems'

/** Each link of the chain with its one or two figures, always in view; a press opens it. */
const props = defineProps<{ links: readonly ChainLink[]; open: LinkName | undefined }>()
const emit = defineEmits<{ open: [link: ChainLink] }>()
const { sheet, document, lanes } = useSheet()
const shown = useShown()

interface Summary {
  readonly figures: readonly (Shown & { readonly before?: string; readonly give?: string })[]
  readonly more: string
}
const MOST_NAMED = 8
const measure = (): Summary => ({
  figures:
    sheet.value.size > 0
      ? [
          {
            ...shown.size(sheet.value.size),
            give: shown.giveOfSize((2 * sheet.value.sd) / sheet.value.size, sheet.value.size),
          },
        ]
      : [],
  more: few(
    sheet.value.lawns
      .filter(({ treated }) => treated === 'yes')
      .map(({ name, size }, i) => {
        const words = name || `Lawn ${i + 1}`
        return size === undefined ? words : `${words} ${shown.size(size).figure}`
      }),
  ),
})
/** All six links stay in view, however many lawns there are: the rest of a list stands in its link. */
const few = (list: readonly string[]): string =>
  list.length > MOST_NAMED
    ? `${list.slice(0, MOST_NAMED - 1).join(' · ')} and ${list.length - MOST_NAMED + 1} more`
    : list.join(' · ')
const calibrate = (): Summary => {
  const { calibration } = sheet.value
  const { method } = document.value
  const rate =
    calibration &&
    (method === 'spread' ? shown.rate(calibration.perPass, 'mass') : shown.carrier(calibration.perPass))
  const pace = calibration?.speedToday && shown.speed(calibration.speedToday)
  return {
    figures: rate ? [rate] : [],
    more: [document.value[method].equipment, pace && `${pace.figure} ${pace.unit}`]
      .filter(Boolean)
      .join(', '),
  }
}
const rate = (): Summary => ({
  figures: [],
  more: few(
    document.value.products.map(
      ({ name, rate: entered }, i) =>
        `${name || `Product ${i + 1}`} ${entered.text} ${entered.text ? unitText(entered.unit) : ''}`,
    ),
  ),
})
const load = (): Summary => {
  const loads = sheet.value.plan?.loads ?? []
  const hopper = sheet.value.hopper?.weighIn
  const last = loads.at(-1)
  const first = loads[0]
  const figures = first
    ? [
        showQuantity(first.carrier),
        ...(last && loads.length > 1
          ? [{ ...showQuantity(last.carrier), before: loads.length > 2 ? '… then' : 'then' }]
          : []),
      ]
    : hopper === undefined
      ? []
      : [showQuantity(hopper)]
  return { figures, more: first ? '' : hopper === undefined ? '' : 'into the hopper' }
}
const walk = (): Summary => {
  const metres = lanes.worked.value?.lanes.metres ?? sheet.value.walk?.distance
  return { figures: metres === undefined ? [] : [shown.distance(metres)], more: '' }
}
/** Links whose place on the tape says what their figures don't. */
const TOLD: ReadonlySet<LinkName> = new Set(['calibrate', 'walk', 'log'])
const summaries = computed<Readonly<Record<LinkName, Summary>>>(() => ({
  measure: measure(),
  calibrate: calibrate(),
  rate: rate(),
  load: load(),
  walk: walk(),
  log: { figures: [], more: '' },
}))
const rows = computed(() => props.links.map((link) => ({ link, ...summaries.value[link.name] })))
</script>

<template>
  <ul aria-label="The sheet so far">
    <li v-for="{ link, figures, more } in rows" :key="link.name" class="rule-b">
      <ULink
        raw
        class="row"
        :class="[link.name === open ? 'open' : '', link.path ? 'lacks' : '']"
        :aria-expanded="link.name === open"
        :aria-controls="`link-${link.name}`"
        @click="emit('open', link)"
      >
        <span class="soft small block">{{ LINK_NAMES[link.name] }}</span>
        <span v-for="(figure, i) in figures" :key="i" class="told"
          ><span v-if="figure.before" class="soft before">{{ figure.before }}{{ ' ' }}</span
          ><strong>{{ figure.figure }}</strong
          ><span class="unit"
            >{{ figure.unit }}<template v-if="figure.give"> ± {{ figure.give }}</template></span
          >{{ ' ' }}</span
        >
        <span v-if="more" class="block" :class="figures.length > 0 ? 'small' : ''">{{
          prettyUnits(more)
        }}</span>
        <span
          v-if="link.path || TOLD.has(link.name)"
          class="detail small block"
          :class="link.path ? '' : 'soft'"
          >{{ link.detail }}</span
        >
      </ULink>
      <slot v-if="link.name === open" :link="link.name" />
    </li>
  </ul>
</template>

<style scoped>
.row {
  display: block;
  width: 100%;
  text-align: start;
  padding: 8px 16px 9px 21px;
  border-left: 3px solid transparent;
  line-height: 1.35;
}
.row:hover {
  background: var(--tint);
}
.row.open {
  border-left-color: var(--ink);
  background: var(--sheet);
}
.told {
  font-size: 16.5px;
}
.before {
  font-size: 14px;
}
.lacks .detail {
  color: var(--action);
  font-weight: 600;
}
@media (max-width: 760px) {
  .row {
    padding: 10px 16px 10px 13px;
    min-height: 56px;
  }
}
</style>
