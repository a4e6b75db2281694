import { useState } from 'react';
import { pointer } from '../../api/client';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { ASKS, held, type Asks, type Rule, type Values } from './asked';
import { RuleForm } from './RuleForm';

const DEFAULTS: Partial<Record<Asks, Values>> = {
  'least size': { side: 'width', mark: 'full' },
  'clear space': { of: 'height' },
};

/** The rules of the guideline: what each is held to, and those that are only kept until somebody says what they ask. */
export function Rules() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const [open, setOpen] = useState<string | null>(null);
  const rules = brand.identity.body.rules ?? [];
  const put = (rule: Rule, index: number, asks: Asks, values: Values) => {
    setOpen(null);
    const value = { ...rule, rule: asks, values: { ...DEFAULTS[asks], ...values } };
    void change(`Rule held: ${rule.text.slice(0, 50)}`, [
      { document: IDENTITY, patch: [{ op: 'replace', path: pointer('rules', index), value }] },
    ]);
  };
  return (
    <>
      {rules.map((rule, index) => {
        const key = `${rule.text} ${rule.rule} ${index}`;
        const told = held(rule);
        return (
          <li key={key} className={open === key ? 'is-open' : undefined}>
            <span className="soft">{rule.rule}</span>
            <span>
              {rule.text}
              {told && <span className="soft rule-held">{told}</span>}
              {canWrite && open !== key && ASKS.some((one) => one.id === rule.rule || rule.rule === 'as said') && (
                <button
                  type="button"
                  className="link"
                  aria-label={`${rule.rule === 'as said' ? 'Make it a check' : 'change'}: ${rule.text}`}
                  onClick={() => setOpen(key)}
                >
                  {rule.rule === 'as said' ? 'Make it a check' : 'change'}
                </button>
              )}
              {open === key && (
                <RuleForm
                  rule={rule}
                  onSave={(asks, values) => put(rule, index, asks, values)}
                  onCancel={() => setOpen(null)}
                />
              )}
            </span>
            <button
              type="button"
              className="remove"
              disabled={!canWrite}
              aria-label={`Take out ${rule.text}`}
              onClick={() =>
                void change(`${rule.text.slice(0, 60)} taken out`, [
                  { document: IDENTITY, patch: [{ op: 'remove', path: pointer('rules', index) }] },
                ])
              }
            >
              ×
            </button>
          </li>
        );
      })}
    </>
  );
}
