import { useMemo } from 'react';
import { useReach } from '../api/queries';
import { useShown } from '../bench/useBench';
import { stampOf } from '../bench/documents';
import { together, withInks } from './areas';

/** Share, 0–1, of the painted area of all pages by token; undefined until every page is measured. */
export function useShares(): Record<string, number> | undefined {
  const { brand, areas } = useShown('brand', 'areas');
  const reach = useReach(brand.id, stampOf(brand));
  const inks = reach.data?.ink_areas;
  return useMemo(() => {
    const pages = brand.pages.map((page) => areas[page.body.id]);
    if (!inks || pages.some((page) => !page)) return undefined;
    const painted = withInks(together(pages.map((page) => page?.areas ?? {})), inks);
    const all = Object.values(painted).reduce((sum, area) => sum + area, 0);
    return Object.fromEntries(Object.entries(painted).map(([path, area]) => [path, area / all]));
  }, [brand.pages, areas, inks]);
}

/** A share as text: "58 %", and below one in a hundred "under 1 %". */
export function percent(share: number): string {
  return share > 0 && share < 0.01 ? 'under 1 %' : `${Math.round(share * 100)} %`;
}
