/** Something that wants doing within a week, on some lawns of one site. */
export interface WeekTask {
  readonly id: string
  readonly siteId: string
  /** Its days, YYYY-MM-DD; undefined: not known. */
  readonly from: string | undefined
  readonly to: string | undefined
  /** It can't wait. */
  readonly presses: boolean
}

/** A site on a day with what is done there. */
export interface WeekVisit {
  readonly on: string
  readonly siteId: string
  readonly tasks: readonly string[]
}
export interface WeekPlan {
  /** By day, in driving order. */
  readonly visits: readonly WeekVisit[]
  /** Tasks that no day has room for, or whose score is nought on every day. */
  readonly left: readonly string[]
}

/** Going to a site that is visited anyway is worth so much of a score. */
const SAME_SITE = 0.15
/** The last day of a window is not left to the day after. */
const LATE = 0.5

/**
 * Puts what wants doing on the days of a week: what presses first, each on its best day, sites together, no
 * more sites a day than somebody can visit; the sites of a day in a short round.
 * @param days YYYY-MM-DD, in order @param score of a task on a day, 0 to 1 @param most sites a day
 * @param distance between two sites, m; from the first site of the day the nearest follows
 */
export function weekPlan(
  tasks: readonly WeekTask[],
  days: readonly string[],
  score: (task: WeekTask, on: string) => number,
  most: number,
  distance: (from: string, to: string) => number,
): WeekPlan {
  const placed = new Map<string, Map<string, string[]>>(days.map((on) => [on, new Map()]))
  const left: string[] = []
  const order = tasks.toSorted(
    (a, b) =>
      Number(b.presses) - Number(a.presses) ||
      ((a.to ?? '9999') < (b.to ?? '9999') ? -1 : (a.to ?? '9999') > (b.to ?? '9999') ? 1 : 0),
  )
  for (const task of order) {
    const worth = (on: string): number => {
      const sites = placed.get(on)
      const there = sites?.has(task.siteId) ?? false
      if (!there && (sites?.size ?? 0) >= most) return 0
      if (task.from !== undefined && on < task.from) return 0
      const value = score(task, on) * (task.to !== undefined && on > task.to ? LATE : 1)
      return value === 0 ? 0 : value + (there ? SAME_SITE : 0)
    }
    const best = days
      .map((on) => ({ on, value: worth(on) }))
      .reduce((a, b) => (b.value > a.value ? b : a), { on: '', value: 0 })
    const sites = placed.get(best.on)
    if (best.value === 0 || !sites) left.push(task.id)
    else sites.set(task.siteId, [...(sites.get(task.siteId) ?? []), task.id])
  }
  return {
    visits: [...placed].flatMap(([on, sites]) =>
      inShortRound([...sites.keys()], distance).map((siteId) => ({
        on,
        siteId,
        tasks: sites.get(siteId) ?? [],
      })),
    ),
    left,
  }
}

/** From the first site always on to the nearest that is left. */
function inShortRound(
  sites: readonly string[],
  distance: (from: string, to: string) => number,
): readonly string[] {
  const [first, ...others] = sites
  if (first === undefined) return []
  const round = [first]
  const left = new Set(others)
  while (left.size > 0) {
    const last = round.at(-1) ?? first
    const next = [...left].reduce((a, b) => (distance(last, b) < distance(last, a) ? b : a))
    round.push(next)
    left.delete(next)
  }
  return round
}
