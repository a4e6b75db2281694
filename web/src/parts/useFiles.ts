import { useState } from 'react';
import { client, Problem, unwrap } from '../api/client';
import { IDENTITY } from '../bench/documents';
import { useActions, useShown } from '../bench/useBench';

/** Adds files that links can lead to: what is on its way, and what went wrong. */
export function useFiles() {
  const { brand } = useShown('brand');
  const { write, revision } = useActions();
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState('');
  /** The id of the file; empty where it was not taken. */
  const add = async (file: File): Promise<string> => {
    setBusy(file.name);
    setProblem('');
    try {
      const answer = await write(
        (headers) => {
          const form = new FormData();
          form.append('file', file);
          form.set('revision', String(revision(IDENTITY)));
          return unwrap(
            client.POST('/api/brands/{brand_id}/files-to-hand-out', {
              params: { path: { brand_id: brand.id } },
              headers,
              body: form as never,
              bodySerializer: (body: unknown) => body as FormData,
            }),
          );
        },
        (made) => made.workbench,
      );
      return answer.id;
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The upload did not work. Try again.');
      return '';
    } finally {
      setBusy('');
    }
  };
  return { busy, problem, setProblem, add };
}
