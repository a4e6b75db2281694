import { useRef, useState } from 'react';
import { client, Problem, unwrap } from '../../api/client';
import type { components } from '../../api/schema';
import { useActions, useShown } from '../../bench/useBench';

export type PictureMade = components['schemas']['PictureMade'];
export type PictureEdits = Partial<components['schemas']['EditsRequest']>;
export type Adding = { done: number; total: number; now: string; failed: { name: string; why: string }[] };

const MOST = 30_000_000; // bytes of a photograph

/** Adds pictures to the brand, one after the other, and makes others of them by light work. */
export function usePictures() {
  const { brand } = useShown('brand');
  const { write } = useActions();
  const [adding, setAdding] = useState<Adding | null>(null);
  const stopped = useRef(false);
  const path = { params: { path: { brand_id: brand.id } } };

  /** Those that were added, in their order; what could not be is told in `adding`, until it is closed. */
  const add = async (files: File[]): Promise<PictureMade[]> => {
    stopped.current = false;
    const made: PictureMade[] = [];
    const failed: Adding['failed'] = [];
    for (const [index, file] of files.entries()) {
      if (stopped.current) break;
      setAdding({ done: index, total: files.length, now: file.name, failed });
      try {
        if (file.size > MOST) throw new Error(`It has ${Math.round(file.size / 1e6)} MB; 30 MB is the most.`);
        made.push(
          await write(
            (headers) => {
              const form = new FormData();
              form.append('file', file);
              const body = form as unknown as { file: string };
              const bodySerializer = (value: unknown) => value as FormData;
              return unwrap(client.POST('/api/brands/{brand_id}/pictures', { ...path, headers, body, bodySerializer }));
            },
            (answer) => answer.workbench,
          ),
        );
      } catch (problem) {
        failed.push({ name: file.name, why: problem instanceof Error ? problem.message : String(problem) });
      }
    }
    setAdding(failed.length ? { done: made.length, total: files.length, now: '', failed } : null);
    return made;
  };

  const edit = (key: string, edits: PictureEdits): Promise<PictureMade> =>
    write(
      (headers) =>
        unwrap(
          client.POST('/api/brands/{brand_id}/pictures/{key}/edits', {
            params: { path: { brand_id: brand.id, key } },
            headers,
            body: edits as never,
          }),
        ),
      (answer) => answer.workbench,
    );

  /** How it would look, as a data address: pages of the studio take pictures from nowhere else. */
  const tried = async (key: string, edits: PictureEdits, signal: AbortSignal): Promise<string> => {
    const { data, error, response } = await client.POST('/api/brands/{brand_id}/pictures/{key}/tried', {
      params: { path: { brand_id: brand.id, key } },
      body: edits as never,
      parseAs: 'blob',
      signal,
    });
    if (data === undefined || !response.ok) {
      const told =
        error instanceof Blob
          ? (JSON.parse(await error.text()) as { title?: string })
          : (error as { title?: string } | undefined);
      throw new Problem(response.status, 'untried', told?.title ?? 'It cannot be tried now.');
    }
    return dataAddress(data as unknown as Blob);
  };

  return {
    adding,
    add,
    edit,
    tried,
    stop: () => (stopped.current = true),
    close: () => setAdding(null),
  };
}

function dataAddress(picture: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('It cannot be shown.'));
    reader.readAsDataURL(picture);
  });
}

/** The pictures among what was dropped or chosen. */
export const picturesIn = (files: Iterable<File> | null | undefined): File[] =>
  Array.from(files ?? []).filter(
    (one) => one.type.startsWith('image/') || /\.(svg|jpe?g|png|webp|avif|gif|tiff?)$/i.test(one.name),
  );
