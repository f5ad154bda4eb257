import type { LocalRule } from '#core/rules/localRule'
import { named } from './typed'

/** Made-up local rules of the sample's town. */
export const SAMPLE_RULES: readonly LocalRule[] = [
  {
    id: named('rule winter nitrogen'),
    kind: 'no nitrogen',
    from: '12-01',
    to: '03-01',
    limit: '',
    source: 'sample: a made-up town ordinance',
  },
  {
    id: named('rule nitrogen in one go'),
    kind: 'nitrogen in one go',
    from: '',
    to: '',
    limit: '1',
    source: 'sample: a made-up town ordinance',
  },
]
