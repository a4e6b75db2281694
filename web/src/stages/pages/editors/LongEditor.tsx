import type { EditorProps } from './editor';
import { LinesEditor } from './LinesEditor';

const HINT =
  'An empty line between paragraphs; “- ” or “1. ” begins a list; *stressed*, **strong**, [label](page:name).';

/** A longer text, written with the marks of paragraphs, lists, links and emphasis. */
export function LongEditor(props: EditorProps) {
  return <LinesEditor {...props} written={String(props.value ?? '')} read={(lines) => lines} hint={HINT} />;
}
