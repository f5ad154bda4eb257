import { secondOf } from './applicationChoices'
import type { ApplicationDraft } from './applicationShape'

/**
 * An application planned again for another day: lawns, labels and machine stay; the weather, the dial and the
 * pace belonged to the day they were noted on.
 */
export function drawnAfresh({ day: _, ...draft }: ApplicationDraft): ApplicationDraft {
  const { dial: _dial, ...spread } = draft.spread
  return {
    ...draft,
    spread: { ...spread, speedToday: { ...spread.speedToday, text: '' } },
    ...(draft.lanes && {
      lanes: { ...draft.lanes, windFrom: '', wind: { ...draft.lanes.wind, text: '' } },
    }),
    spray: { ...draft.spray, speedToday: { ...draft.spray.speedToday, text: '' } },
  }
}

/**
 * The repeat of an application on the areas it is due on: what was one date of a split rate is followed by
 * the other. Areas that are not due stay in it, untreated.
 */
export const repeatedOn = (draft: ApplicationDraft, areaIds: readonly string[]): ApplicationDraft => ({
  ...draft,
  lawns: draft.lawns.map((lawn) =>
    lawn.source === undefined || areaIds.includes(lawn.source.id) || lawn.treated !== 'yes'
      ? lawn
      : { ...lawn, treated: 'no' },
  ),
  products: draft.products.map((product) => ({ ...product, split: secondOf(product.split) })),
})
