import type { Identity } from '../../api/client';

export type Rule = NonNullable<Identity['rules']>[number];
export type Asks = Rule['rule'];
export type Values = NonNullable<Rule['values']>;

/** What a rule that was kept as it is said can ask, so that it is held: each with what it is called. */
export const ASKS: { id: Asks; name: string }[] = [
  { id: 'not used', name: 'Something is never used on pages' },
  { id: 'forbidden pair', name: 'A colour never stands on another' },
  { id: 'wanted pair', name: 'A colour stands on another' },
  { id: 'words to avoid', name: 'Words are avoided' },
  { id: 'words to use', name: 'Words are used' },
  { id: 'least size', name: 'The mark is never smaller' },
  { id: 'clear space', name: 'Space around the mark is kept clear' },
];

const PAIRS: Asks[] = ['forbidden pair', 'wanted pair'];

const listOf = (value: Values[string] | undefined) => (Array.isArray(value) ? value : []);

/** Whether values say all that a rule of their kind needs. */
export function isWhole(asks: Asks, values: Values): boolean {
  if (asks === 'not used') return listOf(values.what).length > 0;
  if (PAIRS.includes(asks)) return !!values.ink && !!values.ground && values.ink !== values.ground;
  if (asks === 'least size') return Number(values.px) > 0;
  if (asks === 'clear space') return Number(values.share) > 0 || Number(values.px) > 0;
  return listOf(values.words).length > 0;
}

/** What a rule is held to, in a few words; empty where it is only kept. */
export function held(rule: Rule): string {
  const values = rule.values ?? {};
  switch (rule.rule) {
    case 'as said':
      return '';
    case 'not used':
      return `no ${listOf(values.what).join(', no ')}`;
    case 'forbidden pair':
      return `never ${values.ink} on ${values.ground}`;
    case 'wanted pair':
      return `${values.ink} on ${values.ground}`;
    case 'least size':
      return `${values.mark === 'symbol' ? 'symbol' : 'whole mark'} from ${Math.round(Number(values.px) * 10) / 10} px`;
    case 'clear space':
      return values.px
        ? `${values.px} px around the mark`
        : `${Math.round(Number(values.share) * 100)} % of its ${values.of ?? 'height'} around the mark`;
    case 'words to avoid':
    case 'words to use':
      return listOf(values.words).join(', ');
    case 'tone':
      return [
        listOf(values.wanted).join(', '),
        listOf(values.unwanted)
          .map((one) => `not ${one}`)
          .join(', '),
      ]
        .filter(Boolean)
        .join(', ');
    case 'buttons and links':
      return Object.entries(values)
        .map(([key, value]) => `${key}: ${typeof value === 'number' ? `${value} px` : value}`)
        .join(', ');
    case 'proportions':
      return Object.entries(values)
        .map(([name, share]) => `${name} ${share} %`)
        .join(', ');
  }
}
