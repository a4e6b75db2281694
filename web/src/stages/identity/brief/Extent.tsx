import { useShown } from '../../../bench/useBench';
import { OneOf } from './OneOf';

const EXTENTS = [
  { id: 'pages', name: 'Several pages', label: 'Several pages', about: 'as many as there is something to tell on' },
  { id: 'one page', name: 'One page', label: 'A site of one page', about: 'with links to its sections' },
];

/** Whether the site has pages, or is one page with links to its sections. */
export function Extent() {
  const { brand } = useShown('brand');
  const chosen = brand.identity.body.extent ?? 'pages';
  return <OneOf title="Extent of the site" field="extent" chosen={chosen} options={EXTENTS} />;
}
