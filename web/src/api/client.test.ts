import { describe, expect, it } from 'vitest';
import { pointer, Problem, problemOf, unwrap } from './client';

const answer = (status: number) => new Response(null, { status });

describe('an answer of the server', () => {
  it('is its data', async () => {
    await expect(unwrap(Promise.resolve({ data: { a: 1 }, response: answer(200) }))).resolves.toEqual({ a: 1 });
    await expect(unwrap(Promise.resolve({ data: 0, response: answer(200) }))).resolves.toBe(0);
  });

  it('that is a problem keeps its sentence, its code and all that came with it', async () => {
    const error = { title: 'Ben was faster.', code: 'stale', changed: [1] };
    const failed = await unwrap(Promise.resolve({ error, response: answer(409) })).catch((one: unknown) => one);
    expect(failed).toBeInstanceOf(Problem);
    expect(failed).toMatchObject({ status: 409, code: 'stale', message: 'Ben was faster.', body: { changed: [1] } });
  });

  it.each([undefined, null, 'plain text', { title: 5 }])(
    'that explains nothing gets a sentence of ours: %j',
    (error) => {
      const problem = problemOf(answer(500), error);
      expect(problem.message).toBe('The server could not do that. Try again.');
      expect([problem.status, problem.code]).toEqual([500, 'unknown']);
    },
  );

  it('that never came says that the change is not saved', async () => {
    const failed = await unwrap(Promise.reject(new TypeError('network'))).catch((one: unknown) => one);
    expect(failed).toMatchObject({ status: 0, code: 'unreachable' });
    expect((failed as Error).message).toContain('not saved yet');
  });

  it('of a success without data is a problem, too', async () => {
    await expect(unwrap(Promise.resolve({ response: answer(200) }))).rejects.toBeInstanceOf(Problem);
  });
});

describe('a pointer', () => {
  it('escapes what RFC 6901 escapes, the tilde first', () => {
    expect(pointer('a/b', 'm~n', '~1', 0, '-')).toBe('/a~1b/m~0n/~01/0/-');
    expect(pointer()).toBe('');
  });
});
