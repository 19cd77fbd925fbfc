import type { Condition } from '../../lib/condition';
import { openings } from '../../lib/generated/rules';
import type { OpeningKind, OutlineRow, RuleRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { typedTime } from '../../lib/typedTime';
import { type CellName, type Rule, type RuleSet, emptyRules, gathered, timeRule } from './ruleSets';
import { type TypedDelay, typedDelay } from './typedDelay';
import { type ConditionContext, typedCondition } from './typedCondition';
import { rowsLike, typedTitles } from './typedTitles';
import { listed } from '../../lib/words';

/** What a cell can be set to. */
export interface CellChoice {
  /** As the cell will tell it. */
  words: string;
  /** Whether it is a rule of its own, and not what is left to what the row stands in. */
  own: boolean;
  sets: RuleSet[];
}

export interface CellContext extends ConditionContext {
  /** The rows that are set together, the one whose cell it is among them. */
  rows: OutlineRow[];
  /** Of the cell's row. */
  row: OutlineRow;
  rule: RuleRow;
  plan: string | null;
}

/** What is shown where nothing is typed yet, in days: for those who go by mouse. */
const USUAL = { opens: [7, 14], closes: [30] };

/** So many are shown: further ones by typing more. */
const MOST = 8;

const CHOICES = {
  optional: ['yes', 'no'],
  sample: ['yes', 'no'],
  guests: ['yes', 'no', 'as above', 'never'],
  observers: ['yes', 'no', 'as above', 'never'],
  whenClosed: ['shows', 'hidden'],
} as const;

/** What a cell can be set to that begins as it is typed, the likeliest first; nothing typed: what is set most. */
export function cellChoices(column: CellName, typed: string, context: CellContext): CellChoice[] {
  const text = typed.trim().replace(/\s+/g, ' ');
  switch (column) {
    case 'opens':
    case 'closes':
      return context.plan === null ? [] : timeChoices(column, context.plan, text, context);
    case 'after':
      return afterChoices(text, context).slice(0, MOST);
    case 'forWhom':
      return whomChoices(text, context).slice(0, MOST);
    case 'finish':
      return context.rule.finish === undefined ? [] : finishChoices(text, context);
    default:
      return CHOICES[column].flatMap((value): CellChoice[] => {
        const words = value === 'shows' ? say('entry.words.title_shows') : value;
        return begins(words, text) || begins(value, text) ? [choice(context, words, { set: column === 'whenClosed' ? 'when_closed' : column, value }, value !== 'as above' && value !== 'shows' && !(value === 'no' && (column === 'optional' || column === 'sample')))] : [];
      });
  }
}

/** What a cell is where it is emptied; null where it cannot be. */
export function emptied(column: CellName, context: CellContext): CellChoice | null {
  const rules = emptyRules(column, context.rule, context.plan);
  return rules === null ? null : choice(context, '', rules, false);
}

/** The one that is meant where nobody looks at the list; null where there is none. */
export function meant(column: CellName, typed: string, context: CellContext): CellChoice | null {
  const all = cellChoices(column, typed, context);
  return all.find(({ words }) => words.toLowerCase() === typed.trim().toLowerCase()) ?? all[0] ?? null;
}

/** Whether a character can be the first of what is typed into a cell of a column: the others keep what they do elsewhere. */
export function takes(column: CellName, character: string): boolean {
  return column in CHOICES ? /\p{L}/u.test(character) : /[\p{L}\p{N}]/u.test(character);
}

function timeChoices(which: 'opens' | 'closes', plan: string, text: string, context: CellContext): CellChoice[] {
  const none = choice(context, which === 'closes' ? say('entry.words.never') : inherited(context), timeRule(which, plan, { rule: '' }), false);
  const plain = which === 'closes' ? [] : (Object.keys(openings) as OpeningKind[]).filter((kind) => openings[kind].length === 0).map((kind) => choice(context, say(`rules.opens.${kind as 'at_once' | 'held'}.words`), timeRule(which, plan, { rule: kind })));
  // Said of another row it means the same here, whatever this one stands in.
  const leaves = which === 'opens' && ['module', 'lesson'].some((kind) => begins(say('entry.words.with_its_kind', { kind }), text));
  const named = [none, ...plain].filter((one) => begins(one.words, text) || (one === none && leaves));
  if (text === '') {
    return [...named, ...USUAL[which].flatMap((days) => delays(which, plan, { days, from: null, weekday: null, time: null }, context))].filter((one, index, every) => every.findIndex(({ words }) => words === one.words) === index);
  }
  const at = typedTime(text, context.now);
  const dated = at === null ? [] : [choice(context, context.words(at), timeRule(which, plan, { rule: 'on', at }))];
  const delay = typedDelay(text);
  return [...named, ...(delay === null ? [] : delays(which, plan, delay, context)), ...dated];
}

function delays(which: 'opens' | 'closes', plan: string, { days, from, weekday, time }: TypedDelay, context: CellContext): CellChoice[] {
  if (which === 'closes') {
    return weekday !== null || time !== null || (from !== null && from !== 'after_open') ? [] : [choice(context, say('entry.words.after_opening', { days: say('entry.words.days', { days }) }), timeRule(which, plan, { rule: 'after_open', days }))];
  }
  const present = context.rule.opening;
  const kinds = (Object.keys(openings) as OpeningKind[]).filter((kind) => openings[kind][0] === 'days' && (from === null || from === kind)).toSorted((a, b) => Number(b === present?.rule) - Number(a === present?.rule));
  return kinds.flatMap((kind) => {
    const told = (more: { time: string; weekday: number | null }) => choice(context, delayWords(kind as 'after_start' | 'after_previous', days, more), timeRule(which, plan, { rule: kind, days, ...more }));
    const typed = { time: time ?? '', weekday };
    // Who types another number of days into a cell means its hour to stay.
    const kept = { time: present?.time ?? '', weekday: present?.weekday ?? null };
    const stays = present?.rule === kind && time === null && weekday === null && (kept.time !== '' || kept.weekday !== null);
    return stays && from === null ? [told(kept), told(typed)] : [told(typed)];
  });
}

function delayWords(kind: 'after_start' | 'after_previous', days: number, { time, weekday }: { time: string; weekday: number | null }): string {
  const words = days === 0 ? say(`rules.opens.${kind}.same`) : `${say('entry.words.days', { days })} ${say(`rules.opens.${kind}.after`)}`;
  return `${words}${weekday === null ? '' : say('entry.words.next_day', { day: ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'][weekday] ?? '' })}${time === '' ? '' : `, ${time}`}`;
}

function inherited({ row, outline }: CellContext): string {
  const above = outline.slice(0, outline.findIndex(({ key }) => key === row.key)).findLast(({ depth }) => depth < row.depth);
  return above === undefined ? say('entry.words.at_once') : say('entry.words.with_its_kind', { kind: above.kind });
}

function afterChoices(text: string, context: CellContext): CellChoice[] {
  const { rows, rule, outline } = context;
  const set = new Set(rows.map(({ key }) => key));
  const rest = outline.filter((row) => row.kind !== 'board' && !set.has(row.key));
  const inOrder = rule.afterRule?.inOrder ?? false;
  const after = (of: string[], mode = 'all', count: number | null = null, order = inOrder): Rule => ({ set: 'after', mode, of, count, inOrder: order });
  const nothing = choice(context, say('entry.words.nothing'), after([], 'all', null, false), false);
  const before = rows.map((row) => ({ item: row.key, before: oneBefore(row, outline) }));
  // Each row after the one before it: what a whole selection is set to at once.
  const chained: CellChoice[] = before.some((one) => one.before === undefined) ? [] : [{ words: say('entry.words.the_one_before'), own: true, sets: gathered(before.map((one) => ({ item: one.item, rule: after([one.before?.key ?? '']) }))) }];
  const order: CellChoice[] = rows.every(({ kind }) => kind === 'module') ? [choice(context, say('entry.words.inside_in_order'), after(rule.afterRule?.of ?? [], rule.afterRule?.mode, rule.afterRule?.count ?? null, true))] : [];
  const named = [nothing, ...chained, ...order].filter(({ words }) => begins(words, text));
  if (text === '') {
    return named;
  }
  const [asked = '', inside] = text.split(/\s*·\s*/);
  const several = typedTitles(asked, rest);
  const whole = several === null ? [] : [choice(context, afterWords(several, outline), after(several.of, several.mode, several.count, inside === undefined ? inOrder : true))];
  const likely = several !== null && several.of.length > 1 ? [] : rowsLike(asked, rest).map((row) => choice(context, row.title, after([row.key])));
  return [...named, ...unlike(whole, named), ...unlike(likely, [...named, ...whole])];
}

function afterWords({ mode, of, count }: { mode: string; of: string[]; count: number | null }, outline: OutlineRow[]): string {
  const titles = of.map((key) => outline.find((row) => row.key === key)?.title ?? key);
  return mode === 'at_least' ? say('entry.words.any_of', { count: count ?? 1, list: listed(titles, 'and') }) : listed(titles, mode === 'any' ? 'or' : 'and');
}

/** The row that comes before another in what they stand in. */
function oneBefore(row: OutlineRow, outline: OutlineRow[]): OutlineRow | undefined {
  const before = outline.slice(0, outline.findIndex(({ key }) => key === row.key));
  const near = before.findLast(({ depth, kind }) => depth <= row.depth && kind !== 'board');
  return near?.depth === row.depth ? near : undefined;
}

function only(value: Rule['value']): Rule {
  return { set: 'only', value: value ?? null };
}

function byTier(value: string[] | null): Rule {
  return { set: 'tiers', value };
}

function whomChoices(text: string, context: CellContext): CellChoice[] {
  const { rule, tiers, labels } = context;
  const every = choice(context, say('entry.words.every_pass'), [byTier(null), only(null)], false);
  // As the cell tells both: which passes, and under which condition.
  const [passes = '', asked] = text.split(/\s*·\s*/);
  const condition = typedCondition(asked ?? text, context);
  if (asked !== undefined) {
    const found = typedTiers(passes, tiers);
    return condition === null || found === null ? [] : [choice(context, `${listed(found, 'or')} · ${condition.words}`, [byTier(found), only(condition.condition)])];
  }
  if (condition !== null && !('label' in condition.condition) && !isNotLabel(condition.condition)) {
    return [choice(context, condition.words, [byTier(rule.tiers ?? null), only(condition.condition)])];
  }
  const given = /^(?:(not)\s+)?label\s*(.*)$/i.exec(text);
  // A condition that is not typed to its end is no label of such a name.
  if (given !== null && condition === null && /\s(?:and|or)(?:\s+(?:not\s+)?(?:label|tier|who|finished|by|from|until)\b.*)?$/i.test(text)) {
    return [];
  }
  if (given !== null) {
    const typed = (given[2] ?? '').trim();
    const known = labels.filter((label) => begins(label, typed));
    const wanted = typed === '' || known.some((label) => label.toLowerCase() === typed.toLowerCase()) ? known : [...known, typed];
    return wanted.map((label) => choice(context, say(given[1] === undefined ? 'entry.words.label' : 'entry.words.not_label', { label }), [byTier(rule.tiers ?? null), only(given[1] === undefined ? { label } : { not: { label } })]));
  }
  // What else the cell says of whom it is for stays, and can be left out.
  const kept = (words: string, sets: Rule[]): CellChoice[] => [
    ...(rule.only === undefined || rule.onlyWords === undefined ? [] : [choice(context, `${words} · ${rule.onlyWords}`, sets)]),
    choice(context, words, [...sets, only(null)]),
  ];
  const several = typedTiers(text, tiers) ?? [];
  const byLabel = labels.filter((label) => begins(label, text)).map((label) => choice(context, say('entry.words.label', { label }), [byTier(rule.tiers ?? null), only({ label })]));
  return [
    ...(begins(every.words, text) ? [every] : []),
    ...(several.length > 1 ? kept(listed(several, 'or'), [byTier(several)]) : []),
    ...tiers.filter((tier) => begins(tier, text)).flatMap((tier) => kept(tier, [byTier([tier])])),
    ...byLabel,
    ...(tiers.length > 0 && begins(say('entry.words.no_pass'), text) && text !== '' ? kept(say('entry.words.no_pass'), [byTier([])]) : []),
  ];
}

/** Some of the tiers, in their order; null where a word is none of them. */
function typedTiers(text: string, tiers: string[]): string[] | null {
  const wanted = text.split(/\s*(?:,|;|\+|&|\band\b|\bor\b)\s*/i).filter((word) => word !== '');
  const found = wanted.map((word) => tiers.find((tier) => tier.toLowerCase() === word.toLowerCase()) ?? tiers.find((tier) => begins(tier, word)));
  return wanted.length > 0 && found.every((tier) => tier !== undefined) ? tiers.filter((tier) => found.includes(tier)) : null;
}

/** Of labels alone there may be more that begin so. */
function isNotLabel({ not }: Condition): boolean {
  return typeof not === 'object' && 'label' in not;
}

const WAYS = {
  mark: () => say('entry.words.mark'),
  visit: () => say('entry.words.visit'),
  watch: (percent: number) => say('entry.words.watch', { percent }),
  quiz: (percent: number) => say('entry.words.quiz', { percent }),
};

function finishChoices(text: string, context: CellContext): CellChoice[] {
  const number = Number(/(\d{1,3})\s*%?\s*(?:of its video)?$/.exec(text)?.[1] ?? Number.NaN);
  const word = text.replace(/[\d%\s]+(of its video)?$/, '').replace(/,? from$/, '').replace(/^by (a |its |the |watching$)?/i, (whole) => (whole.toLowerCase().includes('watch') ? 'watch' : '')).toLowerCase();
  const percent = Number.isNaN(number) ? null : number;
  const ways: { by: 'mark' | 'visit' | 'watch' | 'quiz'; names: string[]; usual: number | null; least: number }[] = [
    { by: 'mark', names: ['mark', "learner's mark", 'learner’s mark'], usual: null, least: 0 },
    { by: 'visit', names: ['visit', 'first visit'], usual: null, least: 0 },
    { by: 'watch', names: ['watching', 'video'], usual: 90, least: 1 },
    { by: 'quiz', names: ['quiz'], usual: 70, least: 0 },
  ];
  return ways.flatMap(({ by, names, usual, least }): CellChoice[] => {
    const asked = usual === null ? null : (percent ?? usual);
    if (!names.some((name) => begins(name, word)) || (percent !== null && usual === null) || (asked !== null && (asked > 100 || asked < least))) {
      return [];
    }
    return [choice(context, WAYS[by](asked ?? 0), { set: 'finish', by, percent: asked }, by !== 'mark')];
  });
}

function choice({ rows }: CellContext, words: string, rules: Rule | Rule[], own = true): CellChoice {
  return { words, own, sets: (Array.isArray(rules) ? rules : [rules]).map((rule) => ({ ...rule, items: rows.map(({ key }) => key) })) };
}

function unlike(some: CellChoice[], others: CellChoice[]): CellChoice[] {
  const known = new Set(others.map(({ sets }) => JSON.stringify(sets)));
  return some.filter(({ sets }) => !known.has(JSON.stringify(sets)));
}

function begins(words: string, typed: string): boolean {
  return words.toLowerCase().startsWith(typed.toLowerCase());
}
