import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** What the header of every page does besides its layout: stay in sight, and have ways to reach the brand over it. */
export function HeaderChoices({ disabled }: { disabled: boolean }) {
  const { brand, choices } = useShown('brand', 'choices');
  const { change } = useActions();
  const contact = brand.identity.body.contact;
  const known = Boolean(contact?.phone || contact?.email || contact?.address);
  const set = (key: 'header_stays' | 'header_strip', value: boolean, label: string) =>
    void change(label, [{ document: CHOICES, patch: [{ op: 'add', path: `/${key}`, value }] }]);
  return (
    <div className="header-choices">
      <label className="slot-check">
        <input
          type="checkbox"
          checked={choices.header_stays ?? false}
          disabled={disabled}
          onChange={(event) =>
            set(
              'header_stays',
              event.target.checked,
              `Header ${event.target.checked ? 'stays' : 'does not stay'} in sight`,
            )
          }
        />
        stays in sight while a page is scrolled
      </label>
      <label className="slot-check">
        <input
          type="checkbox"
          checked={choices.header_strip ?? false}
          disabled={disabled}
          onChange={(event) =>
            set(
              'header_strip',
              event.target.checked,
              `Ways to reach the brand ${event.target.checked ? '' : 'not '}over the header`,
            )
          }
        />
        telephone, mail and address over it
      </label>
      {choices.header_strip && !known && (
        <p className="soft frame-ground">None of them is known yet: write them in the brief.</p>
      )}
    </div>
  );
}
