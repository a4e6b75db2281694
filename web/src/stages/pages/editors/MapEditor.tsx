import type { EditorProps } from './editor';
import { LinesEditor } from './LinesEditor';

type Way = { text: string; side: string; how: string };

const SIDES = ['n', 'ne', 'e', 'se', 's', 'sw', 'w', 'nw'];
const BY = ['foot', 'bike', 'bus', 'tram', 'train', 'car', 'boat'];

/** The ways of a map as lines: what is said of each, from which side it comes, how one goes, parted by “|”. */
export const linesOfWays = (ways: Way[]) => ways.map((way) => `${way.text} | ${way.side} | ${way.how}`).join('\n');

/** What such lines say. A side or a means that there is not is north, or on foot. */
export const waysOf = (lines: string): Way[] =>
  lines
    .split('\n')
    .map((line) => line.split('|').map((part) => part.trim()))
    .filter(([text]) => text)
    .map(([text = '', side = '', how = '']) => ({
      text,
      side: SIDES.includes(side) ? side : 'n',
      how: BY.includes(how) ? how : 'foot',
    }));

export function MapEditor(props: EditorProps) {
  const written = props.value ? linesOfWays((props.value as { ways: Way[] }).ways) : '';
  const hint = `One way a line: its words, the side it comes from (${SIDES.join(', ')}), and ${BY.join(', ')}.`;
  return <LinesEditor {...props} written={written} read={(lines) => ({ ways: waysOf(lines) })} hint={hint} />;
}
