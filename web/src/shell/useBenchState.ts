import { useQueryClient } from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { client, Problem, unwrap, type Change, type Choices, type Resolved, type Workbench } from '../api/client';
import { revisionOf, type Bench, type Lit, type Look, type StaleChange } from './bench';
import type { Areas } from '../sheet/areas';
import { restyleAll } from '../sheet/frames';
import { merged } from './merged';
import { ahead as shownAhead } from './ahead';
import { patched } from './patched';

type Styles = Pick<Resolved, 'schemes' | 'css' | 'css_dark'>;

const RESTS = 140; // ms without a move
const AHEAD = 200; // ms that a write waits at most for what it changes to be on the screen

/** Once what has been set so far is on the screen, or could be. A window that is not seen paints nothing. */
function painted(): Promise<void> {
  return new Promise((resolve) => {
    const late = setTimeout(resolve, 120);
    requestAnimationFrame(() => {
      clearTimeout(late);
      setTimeout(resolve);
    });
  });
}

/** Once a drag rests: what it tells follows what it shows, and never holds it up. */
async function calm(moved: () => number): Promise<void> {
  while (performance.now() - moved() < RESTS) await new Promise((resolve) => setTimeout(resolve, 20));
}

type Notice = { text: string; undo: boolean } | null;
/** An undo or redo over what somebody has changed since, which waits for a word. */
export type Asked = { way: 'undo' | 'redo'; text: string } | null;

/** The state behind the workbench: writing in order, drafts of a drag, undo, notices. */
export function useBenchState(brand: Workbench) {
  const queries = useQueryClient();
  const [draftChoices, setDraftChoices] = useState<Choices | null>(null);
  const [draftSystem, setDraftSystem] = useState<Resolved | null>(null);
  /** How many writes were asked for and are not answered yet. */
  const [writes, setWrites] = useState(0);
  const saving = writes > 0;
  const [error, setError] = useState<string | null>(null);
  const [notice, setNotice] = useState<Notice>(null);
  const [stale, setStale] = useState<StaleChange | null>(null);
  const [asked, setAsked] = useState<Asked>(null);
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
  const styled = useRef<Choices | null>(null);
  const styling = useRef(false);
  const styledOn = useRef<Promise<unknown>>(Promise.resolve());
  /** The choices as they will be when every write that was asked for is stored, and how many those are. */
  const ahead = useRef<{ choices: Choices; writes: number } | null>(null);
  const moves = useRef(0);
  const moved = useRef(0);
  /** Changes of documents that show already and are not stored yet. While there are some, what is shown is no answer. */
  const pending = useRef<Change[][]>([]);
  useLayoutEffect(() => {
    if (!pending.current.length) latest.current = brand;
  }, [brand]);
  /** Shows the workbench as it was answered last, with what is still on its way to be stored. */
  const showLatest = useCallback(() => {
    const shown = pending.current.reduce(shownAhead, latest.current);
    queries.setQueryData(['brand', shown.id], shown);
  }, [queries]);
  const path = useMemo(() => ({ params: { path: { brand_id: brand.id } } }), [brand.id]);

  // The pages are restyled as soon as there is an answer; everything else is drawn after they were painted.
  const scheme = useRef<Look['scheme']>(wish.scheme);
  const restyle = useCallback((system: Styles) => {
    const second = system.schemes.length > 1 && scheme.current === system.schemes[1];
    restyleAll(second ? system.css_dark : system.css);
  }, []);

  /** The tokens of choices ahead of everything else that is told of them: at most one question is out, and the newest
   *  choices are asked next. What cannot be styled is told by the question that follows. */
  const styleOf = useCallback(
    (choices: Choices) => {
      styled.current = choices;
      if (styling.current) return;
      styling.current = true;
      const ask = async () => {
        let asked: Choices | null = null;
        while (styled.current && styled.current !== asked) {
          asked = styled.current;
          const answer = await unwrap(
            client.POST('/api/brands/{brand_id}/style', { ...path, body: { choices: asked } }),
          ).catch(() => null);
          if (answer && styled.current) restyle(answer);
          else if (styled.current === asked) styled.current = null; // what the draft brings is shown instead
        }
        styling.current = false;
      };
      styledOn.current = ask().then(painted);
    },
    [path, restyle],
  );

  /** Ends what a drag shows. */
  const endDraft = useCallback(() => {
    wanted.current = null;
    if (!ahead.current) {
      styled.current = null;
      restyle(latest.current.system);
    }
    setDraftChoices(ahead.current?.choices ?? null);
    setDraftSystem(null);
  }, [restyle]);
  const accept = useCallback(
    (next: Workbench) => {
      latest.current = next;
      if (!styled.current) restyle(next.system);
      showLatest();
    },
    [showLatest, restyle],
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
      setWrites((count) => count + 1);
      // What is shown of a drag ends with this change, unless the drag goes on meanwhile.
      const move = moves.current;
      const restyles = changes.every((one) => one.document === 'choices');
      if (restyles) {
        // Shown at once, whatever is still on its way to be stored.
        const now = ahead.current?.choices ?? latest.current.choices.body;
        ahead.current = {
          choices: changes.reduce((made, one) => patched(made, one.patch), now),
          writes: (ahead.current?.writes ?? 0) + 1,
        };
        styleOf(ahead.current.choices);
        setDraftChoices(ahead.current.choices);
      } else {
        // What was chosen shows at once; what follows from it comes with the answer.
        pending.current = [...pending.current, changes];
        showLatest();
      }
      return inOrder(async () => {
        setError(null);
        setNotice(null); // its “Undo” would take back this change, not the one that it speaks of
        // The pages are restyled first: to store takes the same processors ten times as long.
        if (restyles) await Promise.race([styledOn.current, new Promise((go) => setTimeout(go, AHEAD))]);
        try {
          const edits = changes.map((one) => ({ ...one, revision: revisionOf(latest.current, one.document) }));
          const next = await unwrap(client.POST('/api/brands/{brand_id}/changes', { ...path, body: { label, edits } }));
          pending.current = pending.current.filter((one) => one !== changes);
          if (restyles && ahead.current) {
            ahead.current.writes -= 1;
            if (!ahead.current.writes) ahead.current = null;
          }
          if (!ahead.current && move === moves.current) {
            styled.current = null;
            restyle(next.system);
            await painted();
          }
          accept(next);
          if (move === moves.current) endDraft();
          return true;
        } catch (problem) {
          if (problem instanceof Problem && problem.code === 'stale') setStale({ problem, label, changes });
          else report(problem);
          ahead.current = null;
          pending.current = pending.current.filter((one) => one !== changes);
          showLatest();
          endDraft();
          return false;
        } finally {
          setWrites((count) => count - 1);
        }
      });
    },
    [accept, showLatest, endDraft, inOrder, path, report, restyle, styleOf],
  );

  /** Undo or redo of one's own next change. Where somebody has changed the same place since, it is asked first. */
  const replay = useCallback(
    (way: 'undo' | 'redo', anyway = false) =>
      inOrder(async () => {
        setError(null);
        setNotice(null);
        setAsked(null);
        const step = latest.current.history[way];
        if (!step) return;
        const body = { entry: step.entry, anyway };
        try {
          accept(await unwrap(client.POST(`/api/brands/{brand_id}/${way}`, { ...path, body })));
          endDraft();
        } catch (problem) {
          if (problem instanceof Problem && problem.code === 'changed-since' && problem.body['possible'])
            setAsked({ way, text: problem.message });
          else report(problem);
        }
      }),
    [accept, endDraft, inOrder, path, report],
  );
  const undo = useCallback(() => replay('undo'), [replay]);
  const redo = useCallback(() => replay('redo'), [replay]);

  /** While a drag goes on the pages follow every move; what else is told of it follows when it is calm. At most one
   *  question is out, and the newest choices are asked next. */
  const draft = useCallback(
    (choices: Choices) => {
      moves.current += 1;
      moved.current = performance.now();
      wanted.current = choices;
      setDraftChoices(choices);
      styleOf(choices);
      if (asking.current) return;
      asking.current = true;
      const ask = async () => {
        let asked: Choices | null = null;
        while (wanted.current && wanted.current !== asked) {
          await calm(() => moved.current);
          if (!wanted.current) break;
          asked = wanted.current;
          try {
            const answer = await unwrap(
              client.POST('/api/brands/{brand_id}/draft', { ...path, body: { choices: asked } }),
            );
            if (!wanted.current) break;
            void painted().then(() => wanted.current && startTransition(() => setDraftSystem(answer)));
          } catch (problem) {
            report(problem);
            break;
          }
        }
        asking.current = false;
      };
      void ask();
    },
    [path, report, styleOf],
  );

  const stored = brand.system;
  const system = useMemo(() => (draftSystem ? merged(stored, draftSystem) : stored), [stored, draftSystem]);
  const look = useMemo<Look>(
    () => ({ ...wish, scheme: system.schemes.includes(wish.scheme) ? wish.scheme : (system.schemes[0] ?? 'light') }),
    [wish, system.schemes],
  );
  // What an answer brought; while newer choices are being asked for, their tokens are ahead of it.
  useEffect(() => {
    if (scheme.current === look.scheme && styled.current) return;
    scheme.current = look.scheme;
    restyle(system);
  }, [look.scheme, system, restyle]);
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
  const answer = useCallback(
    (goOn: boolean) => {
      if (goOn && asked) void replay(asked.way, true);
      setAsked(null);
    },
    [asked, replay],
  );
  return { bench, error, setError, notice, setNotice, stale, setStale, asked, answer };
}
