import { useState } from 'react';
import { client, Problem, unwrap } from '../../api/client';
import { useBench } from '../../shell/bench';

type Kind = 'marks' | 'fonts';

/** Uploading files into the identity: what is being read, what went wrong, and what the server says of them. */
export function useUpload(kind: Kind) {
  const { brand, accept, afterChanges, revision } = useBench();
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState('');
  const [notes, setNotes] = useState<string[]>([]);
  const upload = async (field: string, files: File[]) => {
    setBusy(files.map((file) => file.name).join(', '));
    setProblem('');
    setNotes([]);
    const form = new FormData();
    files.forEach((file) => form.append(field, file));
    try {
      const answer = await afterChanges(() => {
        form.set('revision', String(revision('identity')));
        return unwrap(
          client.POST(`/api/brands/{brand_id}/${kind}`, {
            params: { path: { brand_id: brand.id } },
            body: form as never,
            bodySerializer: (body: unknown) => body as FormData,
          }),
        );
      });
      accept(answer.workbench);
      setNotes(answer.notes);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The upload did not work. Try again.');
    } finally {
      setBusy('');
    }
  };
  return { busy, problem, notes, upload };
}

/** What an upload has to say. */
export type Said = Pick<ReturnType<typeof useUpload>, 'problem' | 'notes'>;
