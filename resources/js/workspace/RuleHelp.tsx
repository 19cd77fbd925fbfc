import { say } from '../lib/keepSay';
import type { CellName } from './entry/ruleSets';
import ui from '../ui/ui.module.css';

const HELP = {
  opens: 'lenses.help.opens',
  closes: 'lenses.help.closes',
  after: 'lenses.help.after',
  optional: 'lenses.help.optional',
  tiers: 'lenses.help.tiers',
  only: 'lenses.help.only',
  sample: 'lenses.help.sample',
  guests: 'lenses.help.guests',
  observers: 'lenses.help.observers',
  whenClosed: 'lenses.help.when_closed',
  inOrder: 'lenses.help.in_order',
  finish: 'lenses.help.finish',
} as const;

/** What a rule does, told of the row at hand where it is set. */
export function ruleHelp(of: keyof typeof HELP, title: string): string {
  return say(HELP[of], { title });
}

/** What is told of a column of rules, of the row at hand. */
export function columnHelp(column: CellName, row: string): string[] {
  return column === 'forWhom' ? [ruleHelp('tiers', row), ruleHelp('only', row)] : [ruleHelp(column, row)];
}

export function RuleHelp({ of, title }: { of: keyof typeof HELP; title: string }) {
  return <p className={ui.soft}>{ruleHelp(of, title)}</p>;
}
