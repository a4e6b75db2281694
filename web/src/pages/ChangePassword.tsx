import { useState } from 'react';
import { usePassword } from '../api/queries';
import { AskDialog } from '../parts/AskDialog';

export type ChangePasswordProps = { username: string; close: () => void };

const FIELDS = [
  { name: 'current', label: 'The password that you have now', complete: 'current-password' },
  { name: 'new', label: 'The new one, of 12 characters or more', complete: 'new-password' },
] as const;

/** A person's own password. */
export function ChangePassword({ username, close }: ChangePasswordProps) {
  const password = usePassword();
  const [typed, setTyped] = useState({ current: '', new: '' });
  return (
    <AskDialog
      title="Change your password"
      leave="Leave it"
      doIt="Change it"
      ready={typed.current !== '' && typed.new.length >= 12 && !password.isPending}
      error={password.error}
      send={() => password.mutate(typed)}
      close={close}
      done={password.isSuccess ? 'Your password is changed. Other browsers are signed out.' : undefined}
    >
      {/* For programs that keep passwords: whose it is. */}
      <input type="text" autoComplete="username" value={username} readOnly hidden />
      {FIELDS.map(({ name, label, complete }) => (
        <label key={name}>
          {label}
          <input
            type="password"
            autoComplete={complete}
            value={typed[name]}
            onChange={(event) => setTyped((now) => ({ ...now, [name]: event.target.value }))}
          />
        </label>
      ))}
    </AskDialog>
  );
}
