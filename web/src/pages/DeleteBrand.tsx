import { useState } from 'react';
import type { BrandCard } from '../api/client';
import { useDeleteBrand } from '../api/queries';
import { AskDialog } from '../parts/AskDialog';

export type DeleteBrandProps = { brand: BrandCard; close: () => void };

/** Deleting a brand, which cannot be undone: its name is typed first. */
export function DeleteBrand({ brand, close }: DeleteBrandProps) {
  const remove = useDeleteBrand();
  const [typed, setTyped] = useState('');
  return (
    <AskDialog
      title={`Delete ${brand.name}?`}
      leave="Keep it"
      doIt="Delete the brand"
      ready={typed.trim() === brand.name && !remove.isPending}
      error={remove.error}
      send={() => remove.mutate(brand.id, { onSuccess: close })}
      close={close}
    >
      <p>
        Its facts, pages, files, pictures, history and{' '}
        {brand.release ? 'releases, the live site among them,' : 'everything else'} go. This cannot be undone. A
        release’s ZIP and the identity can be downloaded first, on the brand’s own stages.
      </p>
      <label>
        Type the name to go on
        <input value={typed} autoComplete="off" onChange={(event) => setTyped(event.target.value)} />
      </label>
    </AskDialog>
  );
}
