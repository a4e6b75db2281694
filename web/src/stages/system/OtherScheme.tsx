import { useShown } from '../../bench/useBench';
import { pathOf, roleWords, type Role } from './roles';

export type OtherSchemeProps = {
  role: Role;
  label: string;
  scheme: 'light' | 'dark';
  /** Leads the colour there in the other scheme, too. */
  lead: () => void;
  leave: () => void;
};

/** After a colour was led somewhere in one scheme: what the other one does. */
export function OtherScheme({ role, label, scheme, lead, leave }: OtherSchemeProps) {
  const { system } = useShown('system');
  const tokens = scheme === system.schemes[0] ? system.tokens : system.dark;
  const now = tokens.find((token) => token.path === pathOf(role));
  return (
    <div className="other-scheme" role="group" aria-label={`The ${scheme} scheme`}>
      <p>
        In the {scheme} scheme {roleWords(role)} is{' '}
        {now ? (
          <>
            <i style={{ background: now.css }} aria-hidden="true" /> <span className="mono">{now.css}</span>
          </>
        ) : (
          'the same'
        )}
        . Is {label} meant there, too?
      </p>
      <button type="button" className="filter" onClick={lead}>
        {label} there, too
      </button>
      <button type="button" className="quiet-action" onClick={leave}>
        Leave it as it is
      </button>
    </div>
  );
}
