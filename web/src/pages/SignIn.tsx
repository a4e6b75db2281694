import { useState, type FormEvent } from 'react';
import Form from 'react-bootstrap/Form';
import { useSignIn } from '../api/queries';
import { Emblem } from '../parts/Emblem';

/** The sign-in. */
export function SignIn() {
  const signIn = useSignIn();
  const [username, setUsername] = useState('');
  const [password, setPassword] = useState('');
  const send = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ username, password });
  };
  return (
    <main className="sign-in">
      <div className="sign-in-ticket">
        <div className="sign-in-stub">
          <Emblem size={44} />
          <h1>Formulon</h1>
          <p>
            A brand’s identity in, a checked site out. Every value computed, explained and checked, on every page at
            once.
          </p>
        </div>
        <Form onSubmit={send} className="sign-in-form">
          <Form.Group controlId="username">
            <Form.Label>Name</Form.Label>
            <Form.Control
              autoFocus
              required
              autoComplete="username"
              value={username}
              onChange={(event) => setUsername(event.target.value)}
            />
          </Form.Group>
          <Form.Group controlId="password">
            <Form.Label>Password</Form.Label>
            <Form.Control
              type="password"
              required
              autoComplete="current-password"
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          </Form.Group>
          {signIn.isError && (
            <p role="alert" className="problem">
              {signIn.error.message}
            </p>
          )}
          <button type="submit" className="main-action" disabled={signIn.isPending}>
            {signIn.isPending ? 'Signing in…' : 'Sign in'}
          </button>
          <p className="soft">./start prints the demo’s name and password.</p>
        </Form>
      </div>
    </main>
  );
}
