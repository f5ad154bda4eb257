import { v7 as uuid } from 'uuid'
import { sampleCrew } from '../../demo/sampleCrew'
import { aProduct, aSite, aSpreader, aSprayer } from './rows'

/** What a broken or hostile client may write where something else belongs. */
const VALUES: readonly unknown[] = [
  'a\0b',
  '\ud800',
  'x\udc00y',
  '\ud83c\udf31 kept to the letter',
  '',
  ' ',
  'x'.repeat(5000),
  '0000-01-01',
  '9999-12-31',
  '2026-02-30',
  -1,
  2 ** 31,
  2 ** 53,
  1e308,
  0.1,
  null,
  true,
  [],
  {},
  { __proto__: null, length: 1e9 },
  [[[[[[]]]]]],
  Array.from({ length: 500 }, () => ({})),
]

interface HostileBody {
  readonly path: string
  /** JSON as it is sent. */
  readonly body: string
}

/** What a route takes. */
interface WholeBody {
  readonly path: string
  readonly body: unknown
}

/** So many documents of all kinds, each with one leaf or branch replaced; the same ones every time. */
export const documents = (count: number): Generator<HostileBody> =>
  broken(
    [
      { path: 'library/sites', body: aSite() },
      { path: 'library/products', body: aProduct() },
      { path: 'library/equipment', body: aSpreader() },
      { path: 'library/equipment', body: aSprayer() },
      ...sampleCrew()
        .jobs.slice(0, 3)
        .map((job) => ({ path: 'jobs', body: jobOf(job) })),
    ],
    count,
  )

/** So many bodies in turn, each with one leaf or branch replaced by something else. */
export function* broken(whole: readonly WholeBody[], count: number): Generator<HostileBody> {
  const places = whole.map(({ body }) => [...pathsOf(body)])
  for (let i = 0; i < count; i++) {
    const which = i % whole.length
    const at = places[which]?.[(i * 7919) % (places[which]?.length ?? 1)] ?? []
    const value = VALUES[(i * 31 + Math.floor(i / 7)) % VALUES.length]
    yield { path: whole[which]?.path ?? '', body: JSON.stringify(replaced(whole[which]?.body, at, value)) }
  }
}

function jobOf({ site, purpose, plannedFor, applications }: ReturnType<typeof sampleCrew>['jobs'][number]) {
  return {
    version: 0,
    site,
    siteId: null,
    purpose,
    plannedFor,
    state: 'draft',
    applications: applications.map(({ document }) => ({ id: uuid(), document })),
  }
}

type Path = readonly (string | number)[]

function* pathsOf(node: unknown, path: Path = []): Generator<Path> {
  if (path.length > 0) yield path
  if (typeof node !== 'object' || node === null) return
  for (const [name, value] of Object.entries(node))
    yield* pathsOf(value, [...path, Array.isArray(node) ? Number(name) : name])
}

function replaced(node: unknown, [step, ...rest]: Path, value: unknown): unknown {
  if (step === undefined) return value
  if (Array.isArray(node)) return node.map((one, i) => (i === step ? replaced(one, rest, value) : one))
  const fields = node as Readonly<Record<string, unknown>>
  return { ...fields, [step]: replaced(fields[step], rest, value) }
}
