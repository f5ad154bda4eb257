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
