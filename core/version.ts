/**
 * Version of the trade's rules in this core; frozen into every plan that is run, so that an old sheet says
 * what made it.
 */
export const CORE_VERSION = '1.10.2'
