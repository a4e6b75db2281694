import { useState, type FormEvent } from 'react';
import { Modal } from 'react-bootstrap';
import type { BrandCard } from '../api/client';
import { useDeleteBrand } from '../api/queries';

export type DeleteBrandProps = { brand: BrandCard; close: () => void };

/** Deleting a brand, which cannot be undone: its name is typed first. */
export function DeleteBrand({ brand, close }: DeleteBrandProps) {
  const remove = useDeleteBrand();
  const [typed, setTyped] = useState('');
  const send = (event: FormEvent) => {
    event.preventDefault();
    remove.mutate(brand.id, { onSuccess: close });
  };
  return (
    <Modal show onHide={close} aria-labelledby="delete-title" centered>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="delete-title">
          Delete {brand.name}?
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <form className="plain-form" onSubmit={send}>
          <p>
            Its facts, pages, files, pictures, history and{' '}
            {brand.release ? 'releases, the live site among them,' : 'everything else'} go. This cannot be undone. A
            release’s ZIP and the identity can be downloaded first, on the brand’s own stages.
          </p>
          <label htmlFor="delete-name">Type the name to go on</label>
          <input id="delete-name" value={typed} autoComplete="off" onChange={(event) => setTyped(event.target.value)} />
          {remove.isError && (
            <p role="alert" className="problem">
              {remove.error.message}
            </p>
          )}
          <div className="form-actions">
            <button type="button" className="quiet-action" onClick={close}>
              Keep it
            </button>
            <button type="submit" className="main-action" disabled={typed.trim() !== brand.name || remove.isPending}>
              Delete the brand
            </button>
          </div>
        </form>
      </Modal.Body>
    </Modal>
  );
}
