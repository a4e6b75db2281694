import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, unwrap, type FactRequest, type Sources } from '../../../api/client';
import { IDENTITY } from '../../../bench/documents';
import { useActions, useShown } from '../../../bench/useBench';
import type { Dropped } from './dropped';

export type Intake = {
  sending: number;
  add: (files: Dropped[]) => Promise<void>;
  cancel: () => Promise<void>;
  again: () => Promise<void>;
  remove: (id: number) => Promise<void>;
  decide: (requests: FactRequest[]) => Promise<boolean>;
  leave: (question: string, left: boolean) => Promise<void>;
};

/** What can be done with the brand’s files and the facts in them. */
export function useIntake(): Intake {
  const { brand } = useShown('brand');
  const { report, write, revision } = useActions();
  const queries = useQueryClient();
  const [sending, setSending] = useState(0);
  const key = ['sources', brand.id];
  const path = { params: { path: { brand_id: brand.id } } };
  const take = (sources: Sources) => queries.setQueryData(key, sources);
  const tried = async (work: () => Promise<Sources>) => {
    try {
      take(await work());
    } catch (error) {
      report(error);
    }
  };
  const decisions = () => queries.getQueryData<Sources>(key)?.revision ?? 0;
  return {
    sending,
    add: async (files) => {
      if (!files.length) return;
      const form = new FormData();
      for (const one of files) {
        form.append('files', one.file);
        form.append('paths', one.path);
      }
      setSending(files.length);
      await tried(() =>
        unwrap(
          client.POST('/api/brands/{brand_id}/sources', {
            ...path,
            body: form as never,
            bodySerializer: (body: unknown) => body as FormData,
          }),
        ),
      );
      setSending(0);
    },
    cancel: () => tried(() => unwrap(client.POST('/api/brands/{brand_id}/sources/cancel', path))),
    again: () => tried(() => unwrap(client.POST('/api/brands/{brand_id}/sources/again', path))),
    remove: (id) =>
      tried(() =>
        unwrap(
          client.DELETE('/api/brands/{brand_id}/sources/{file_id}', {
            params: { path: { brand_id: brand.id, file_id: id } },
          }),
        ),
      ),
    decide: async (requests) => {
      try {
        await write(
          (headers) =>
            unwrap(
              client.POST('/api/brands/{brand_id}/facts', {
                ...path,
                headers,
                body: { identity: revision(IDENTITY), decisions: decisions(), requests },
              }),
            ),
          (answer) => answer,
        );
        await queries.invalidateQueries({ queryKey: key });
        return true;
      } catch (error) {
        await queries.invalidateQueries({ queryKey: key });
        report(error);
        return false;
      }
    },
    leave: async (question, left) => {
      try {
        await write(
          (headers) =>
            unwrap(
              client.POST('/api/brands/{brand_id}/questions', {
                ...path,
                headers,
                body: { decisions: decisions(), question, left },
              }),
            ),
          (answer) => answer,
        );
        await queries.invalidateQueries({ queryKey: key });
      } catch (error) {
        report(error);
      }
    },
  };
}
