import { client, unwrap, type Arranged, type Arrangement } from '../../api/client';
import { useActions, useShown } from '../../bench/useBench';

/** Asks what operations on the structure of the site come to, and makes their changes as one step of the history. */
export function useStructure() {
  const { brand } = useShown('brand');
  const { afterChanges, saves, change, report } = useActions();
  const plan = (...operations: Arrangement[]): Promise<Arranged> =>
    afterChanges(() =>
      unwrap(
        client.POST('/api/brands/{brand_id}/structure', {
          params: { path: { brand_id: brand.id } },
          body: { operations: operations as never },
        }),
      ),
    );
  const make = (made: Arranged) =>
    made.changes.length ? change(made.label, made.changes as Parameters<typeof change>[1]) : Promise.resolve(true);
  /** Resolves to what was done; null where it was refused, which is said. */
  const arrange = (...operations: Arrangement[]): Promise<Arranged | null> =>
    saves(async () => {
      try {
        const made = await plan(...operations);
        return (await make(made)) ? made : null;
      } catch (problem) {
        report(problem);
        return null;
      }
    });
  return { plan, make, arrange };
}

export type Structure = ReturnType<typeof useStructure>;
