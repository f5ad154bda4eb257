import { readDoneTimes, type DoneTimesTyped } from '#core/run/doneTimes'

/** When it was done, where that is not when it was written down; left alone, the run’s own times stand. */
export function useDoneTimes() {
  const crew = useCrewStore()
  const typed = ref<DoneTimesTyped>({ day: '', from: '', to: '' })
  const read = computed(() =>
    readDoneTimes(typed.value, {
      today: crew.today(),
      now: crew.now(),
      instantAt: (day, time) => instantAt(day, time, crew.organization?.timeZone),
    }),
  )
  return { typed, read }
}
export type DoneTimesEntry = ReturnType<typeof useDoneTimes>
