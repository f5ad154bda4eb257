import type { Check, CheckCode } from './check'
import type { RuleReading } from './reading'
import type { RuleVisit } from './visit'

/**
 * One rule as the register lists it: what it may say and how gravely, what it looks at, its limit and where
 * that comes from. People read these words on the page of rules; `find` is what is asked of every
 * application.
 */
interface RuleFacts {
  readonly codes: readonly CheckCode[]
  readonly level: string
  readonly looksAt: string
  readonly limit: string
  readonly source: string
}

/** Asked of an application as far as it can be read. */
interface ReadingRule extends RuleFacts {
  readonly needs: 'reading'
  readonly find: (reading: RuleReading) => readonly Check[]
}

/** Asked once the amounts are known, and the library and the ledger have come. */
interface VisitRule extends RuleFacts {
  readonly needs: 'visit'
  readonly find: (visit: RuleVisit) => readonly Check[]
}

export type Rule = ReadingRule | VisitRule
