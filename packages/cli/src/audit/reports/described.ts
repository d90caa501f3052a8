import { rules, type RuleDescription } from 'fair-trail/audit';
import { probes } from '../probes/all-probes.ts';

/** Every rule and every probe: what each is for. */
export const described: readonly RuleDescription[] = [...rules, ...probes];
