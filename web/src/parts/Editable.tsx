import { useId, useState } from 'react';

export type EditableProps = {
  label: string;
  value: string;
  placeholder?: string;
  multiline?: boolean;
  disabled?: boolean;
  className?: string;
  /** Hides the label from sight; it is still read out. */
  quietLabel?: boolean;
  onSave: (value: string) => void;
};

/** A text that is edited where it stands: Enter or leaving it saves, Escape puts it back. */
export function Editable(props: EditableProps) {
  const { label, value, placeholder, multiline, disabled, className = '', quietLabel, onSave } = props;
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const shown = draft ?? value;
  const save = () => {
    if (draft !== null && draft.trim() !== value) onSave(draft.trim());
    setDraft(null);
  };
  const common = {
    id,
    value: shown,
    placeholder,
    disabled,
    onBlur: save,
    onChange: (event: { target: { value: string } }) => setDraft(event.target.value),
  };
  const keys = (event: React.KeyboardEvent<HTMLElement>) => {
    if (event.key === 'Escape') {
      setDraft(null);
      const target = event.currentTarget;
      requestAnimationFrame(() => target.blur());
    }
    if (event.key === 'Enter' && (!multiline || event.ctrlKey || event.metaKey)) event.currentTarget.blur();
  };
  return (
    <div className={`editable ${className}`}>
      <label htmlFor={id} className={quietLabel ? 'visually-hidden' : undefined}>
        {label}
      </label>
      {multiline ? (
        <textarea {...common} rows={Math.max(2, Math.ceil(shown.length / 62))} onKeyDown={keys} />
      ) : (
        <input type="text" autoComplete="off" {...common} onKeyDown={keys} />
      )}
    </div>
  );
}
