import { Editable } from '../../../parts/Editable';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

type Code = { html: string; css: string };

/** Own HTML and CSS, each in a field of its own. What of them is not taken stands among the findings. */
export function CodeEditor(props: EditorProps) {
  const { path, label, value, put, disabled } = props;
  if (!value) return <AddButton {...props} />;
  const code = value as Code;
  const save = (part: Partial<Code>, said: string) => {
    const made = { ...code, ...part };
    put(path, made.html ? made : null, made.html ? said : `${label} taken out`);
  };
  return (
    <div className="slot slot-long slot-code">
      <Editable
        label="HTML"
        multiline
        disabled={disabled}
        value={code.html}
        onSave={(html) => save({ html }, 'Own HTML written')}
      />
      <Editable
        label="CSS"
        multiline
        disabled={disabled}
        value={code.css}
        onSave={(css) => save({ css }, 'Own CSS written')}
      />
      <small>
        The CSS reaches this section alone. Take colours from the system: <code>var(--heading)</code>,{' '}
        <code>var(--body)</code>, <code>var(--link)</code>; spaces: <code>var(--space-4)</code>. Links:{' '}
        <code>page:contact</code>. Pictures: <code>drawn:hills/3</code> or <code>asset:name</code>. Scripts, forms and
        addresses that a browser would fetch are not taken.
      </small>
    </div>
  );
}
