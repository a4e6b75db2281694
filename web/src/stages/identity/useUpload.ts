import { useState } from 'react';
import { client, Problem, unwrap, type Changed } from '../../api/client';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

const workbenchOf = (answer: { workbench: Changed }) => answer.workbench;

type Kind = 'marks' | 'fonts';

/** Uploading files into the identity: what is being read, what went wrong, and what the server says of them. */
export function useUpload(kind: Kind) {
  const { brand } = useShown('brand');
  const { write, revision } = useActions();
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
      const answer = await write((headers) => {
        form.set('revision', String(revision(IDENTITY)));
        return unwrap(
          client.POST(`/api/brands/{brand_id}/${kind}`, {
            params: { path: { brand_id: brand.id } },
            headers,
            body: form as never,
            bodySerializer: (body: unknown) => body as FormData,
          }),
        );
      }, workbenchOf);
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
