import type { Vantage, VantageKind } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';

const HELP: Record<VantageKind, string> = {
  visitor: say('lenses.who.visitor'),
  guest: say('lenses.who.guest'),
  member: say('lenses.who.member'),
  observer: say('lenses.who.observer'),
  person: say('lenses.who.person'),
  holder: say('lenses.who.holder'),
};

/** Who it is that looks, and what a column of theirs tells. */
export function vantageHelp({ kind, diligent }: Vantage): string {
  return `${kind === 'holder' && diligent ? say('lenses.who.diligent') : HELP[kind]} ${say('lenses.who.cells')}`;
}
