<script setup lang="ts">
import type { ChainLink, LinkName } from '#core/job/chain'
import { showQuantity, unitText } from '#core/quantity/systems'
import type { SoFar } from './SoFarRow.vue'

/** Each link of the chain with its one or two figures, always in view; a press opens it. */
const props = defineProps<{ links: readonly ChainLink[]; open: LinkName | undefined }>()
const emit = defineEmits<{ open: [link: ChainLink] }>()
const { sheet, document, lanes } = useSheet()
const shown = useShown()

type Summary = Omit<SoFar, 'link'>
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
const summaries = computed<Readonly<Record<LinkName, Summary>>>(() => ({
  measure: measure(),
  calibrate: calibrate(),
  rate: rate(),
  load: load(),
  walk: walk(),
  log: { figures: [], more: '' },
}))
const rows = steadyRows<SoFar>(() => props.links.map((link) => ({ link, ...summaries.value[link.name] })))
</script>

<template>
  <ul aria-label="The sheet so far">
    <li v-for="row in rows" :key="row.link.name" class="rule-b">
      <SoFarRow :row="row" :open="row.link.name === open" @press="emit('open', row.link)" />
      <slot v-if="row.link.name === open" :link="row.link.name" />
    </li>
  </ul>
</template>
