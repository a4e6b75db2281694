import { useLibrary } from '../../../api/queries';
import { useShown } from '../../../bench/useBench';
import { OneOf } from './OneOf';

/** The kind of organisation: it brings questions and usual pages, and fills in no fact. */
export function Organisations() {
  const { brand } = useShown('brand');
  const library = useLibrary();
  return (
    <OneOf
      title="Kind of organisation"
      field="organisation"
      chosen={brand.identity.body.organisation ?? ''}
      options={library.data?.organisations ?? []}
    />
  );
}
