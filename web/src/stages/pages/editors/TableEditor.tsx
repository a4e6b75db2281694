import type { EditorProps } from './editor';
import { LinesEditor } from './LinesEditor';

type Table = { head: string[]; rows: string[][] };

/** A table as lines: a row on each, its cells parted by “|”, the headings first. */
export const linesOf = ({ head, rows }: Table) => [head, ...rows].map((row) => row.join(' | ')).join('\n');

/** What such lines say; rows that are too short are filled up, and cells beyond the headings are left away. */
export function tableOf(lines: string): Table {
  const [head = [], ...rows] = lines
    .split('\n')
    .filter((line) => line.trim())
    .map((line) => line.split('|').map((cell) => cell.trim()));
  return { head, rows: rows.map((row) => head.map((_, index) => row[index] ?? '')) };
}

export function TableEditor(props: EditorProps) {
  const written = props.value ? linesOf(props.value as Table) : '';
  const hint = 'One row a line, cells parted by “|”, the headings first.';
  return <LinesEditor {...props} written={written} read={tableOf} hint={hint} />;
}
