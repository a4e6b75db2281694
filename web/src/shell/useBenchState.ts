import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { client, Problem, unwrap, type Change, type Choices, type Resolved, type Workbench } from '../api/client';
import { revisionOf, type Bench, type Lit, type Look, type StaleChange } from './bench';
import type { Areas } from '../sheet/areas';
import { merged } from './merged';

type Notice = { text: string; undo: boolean } | null;

/** The state behind the workbench: writing in order, drafts of a drag, undo, notices. */
export function useBenchState(brand: Workbench) {
  const queries = useQueryClient();
  const [draftChoices, setDraftChoices] = useState<Choices | null>(null);
  const [draftSystem, setDraftSystem] = useState<Resolved | null>(null);
  const [saving, setSaving] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [notice, setNotice] = useState<Notice>(null);
  const [stale, setStale] = useState<StaleChange | null>(null);
  const [lit, light] = useState<Lit>(null);
  const [wish, setLook] = useState<Look>({ scheme: 'light', vision: '' });
  const [areas, setAreas] = useState<Bench['areas']>({});
  const measured = useCallback(
    (page: string, width: number, found: Areas) =>
      setAreas((now) => {
        const own = now[page];
        if (own && (own.width > width || JSON.stringify(own.areas) === JSON.stringify(found))) return now;
        return { ...now, [page]: { width, areas: found } };
      }),
    [],
  );
  const latest = useRef(brand);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const wanted = useRef<Choices | null>(null);
  const asking = useRef(false);
  const moves = useRef(0);
  useEffect(() => {
    latest.current = brand;
  }, [brand]);
  const path = useMemo(() => ({ params: { path: { brand_id: brand.id } } }), [brand.id]);

  /** Ends what a drag shows. */
  const endDraft = useCallback(() => {
    wanted.current = null;
    setDraftChoices(null);
    setDraftSystem(null);
  }, []);
  const accept = useCallback(
    (next: Workbench) => {
      latest.current = next;
      queries.setQueryData(['brand', next.id], next);
    },
    [queries],
  );
  const report = useCallback((problem: unknown) => {
    if (problem instanceof Problem && problem.status === 401) window.location.assign('/');
    setError(problem instanceof Error ? problem.message : null);
  }, []);
  const say = useCallback((text: string, undo = true) => setNotice({ text, undo }), []);

  /** Runs writes one after the other, so that each is based on the revision that the last one made. */
  const inOrder = useCallback(<T>(work: () => Promise<T>): Promise<T> => {
    const next = queue.current.then(work, work);
    queue.current = next.catch(() => undefined);
    return next;
  }, []);

  const change = useCallback(
    (label: string, changes: Change[]) => {
      // What is shown of a drag ends with this change, unless the drag goes on meanwhile.
      const move = moves.current;
      return inOrder(async () => {
        setSaving(true);
        setError(null);
        setNotice(null); // its “Undo” would take back this change, not the one that it speaks of
        try {
          const edits = changes.map((one) => ({ ...one, revision: revisionOf(latest.current, one.document) }));
          accept(await unwrap(client.POST('/api/brands/{brand_id}/changes', { ...path, body: { label, edits } })));
          if (move === moves.current) endDraft();
          return true;
        } catch (problem) {
          if (problem instanceof Problem && problem.code === 'stale') setStale({ problem, label, changes });
          else report(problem);
          endDraft();
          return false;
        } finally {
          setSaving(false);
        }
      });
    },
    [accept, endDraft, inOrder, path, report],
  );

  const replay = useCallback(
    (way: 'undo' | 'redo') =>
      inOrder(async () => {
        setError(null);
        setNotice(null);
        try {
          accept(await unwrap(client.POST(`/api/brands/{brand_id}/${way}`, path)));
          endDraft();
        } catch (problem) {
          report(problem);
        }
      }),
    [accept, endDraft, inOrder, path, report],
  );
  const undo = useCallback(() => replay('undo'), [replay]);
  const redo = useCallback(() => replay('redo'), [replay]);

  /** While a drag goes on, at most one question is out, and the newest choices are asked next. */
  const draft = useCallback(
    (choices: Choices) => {
      moves.current += 1;
      wanted.current = choices;
      setDraftChoices(choices);
      if (asking.current) return;
      asking.current = true;
      const ask = async () => {
        let asked: Choices | null = null;
        while (wanted.current && wanted.current !== asked) {
          asked = wanted.current;
          try {
            const answer = await unwrap(
              client.POST('/api/brands/{brand_id}/draft', { ...path, body: { choices: asked } }),
            );
            if (wanted.current) setDraftSystem(answer);
          } catch (problem) {
            report(problem);
            break;
          }
        }
        asking.current = false;
      };
      void ask();
    },
    [path, report],
  );

  const stored = brand.system;
  const system = useMemo(() => (draftSystem ? merged(stored, draftSystem) : stored), [stored, draftSystem]);
  const look = useMemo<Look>(
    () => ({ ...wish, scheme: system.schemes.includes(wish.scheme) ? wish.scheme : (system.schemes[0] ?? 'light') }),
    [wish, system.schemes],
  );
  const second = look.scheme !== system.schemes[0];
  const tokens = useMemo(
    () => new Map([...system.tokens, ...(second ? system.dark : [])].map((token) => [token.path, token])),
    [system, second],
  );
  const bench: Bench = useMemo(
    () => ({
      brand,
      system,
      token: (path) => tokens.get(path),
      choices: draftChoices ?? brand.choices.body,
      canWrite: brand.role !== 'reviewer',
      saving,
      change,
      afterChanges: inOrder,
      revision: (document) => revisionOf(latest.current, document),
      draft,
      undo,
      redo,
      accept,
      report,
      say,
      endDraft,
      lit,
      light,
      look,
      setLook,
      areas,
      measured,
    }),
    [
      brand,
      system,
      tokens,
      draftChoices,
      saving,
      change,
      inOrder,
      draft,
      endDraft,
      undo,
      redo,
      accept,
      report,
      say,
      lit,
      look,
      areas,
      measured,
    ],
  );
  return { bench, error, setError, notice, setNotice, stale, setStale };
}
