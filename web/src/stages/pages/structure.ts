import { client, unwrap, type Arranged, type Arrangement, type Change } from '../../api/client';
import { useActions, useShown } from '../../bench/useBench';

/** What is seen at once by what is drawn already. */
const AS_DRAWN = ['move', 'take_out'];

/** Asks what operations on the structure of the site come to, and makes their changes as one step of the history. */
export function useStructure() {
  const { brand } = useShown('brand');
  const { afterChanges, saves, change, drawing, report } = useActions();
  const plan = (...operations: Arrangement[]): Promise<Arranged> =>
    afterChanges(() =>
      unwrap(
        client.POST('/api/brands/{brand_id}/structure', {
          params: { path: { brand_id: brand.id } },
          body: {
            operations: operations as never,
            draw: operations.every((one) => AS_DRAWN.includes(one.do)) ? null : drawing(),
          },
        }),
      ),
    );
  const make = (made: Arranged) =>
    made.changes.length ? change(made.label, made.changes as Change[], made.foreseen) : Promise.resolve(true);
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
