import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { useBrands, useCreateBrand, useSignOut } from '../api/queries';
import { Emblem } from '../parts/Emblem';
import { MarkImage } from '../parts/MarkImage';
import type { BrandCard } from '../api/client';
import { ChangePassword } from './ChangePassword';
import { DeleteBrand } from './DeleteBrand';
import { counted } from '../parts/counted';

export type BrandListProps = { person: { username: string; name: string } };

/** The brands of one's workspaces, and making a new one. */
export function BrandList({ person }: BrandListProps) {
  const brands = useBrands();
  const create = useCreateBrand();
  const signOut = useSignOut();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [going, setGoing] = useState<BrandCard | null>(null);
  const [password, setPassword] = useState(false);
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (!name.trim()) return;
    create.mutate(name.trim(), { onSuccess: (brand) => void navigate(`/brands/${brand.id}/identity`) });
  };
  return (
    <div className="brands">
      <header className="brands-head">
        <Emblem />
        <b>Formulon</b>
        <span className="soft">{person.name}</span>
        <button type="button" className="quiet-action" onClick={() => setPassword(true)}>
          Change password
        </button>
        <button type="button" className="quiet-action" onClick={() => signOut.mutate()}>
          Sign out
        </button>
      </header>
      <main>
        <h1>Brands</h1>
        {brands.isError && (
          <p role="alert" className="problem">
            {brands.error.message}
          </p>
        )}
        <ul className="brand-cards">
          {brands.data?.brands.map((brand) => (
            <li key={brand.id}>
              <Link to={`/brands/${brand.id}`} className="brand-card">
                <span className="brand-card-face">
                  {brand.mark ? (
                    <MarkImage svg={brand.mark} alt="" />
                  ) : (
                    <span className="brand-card-name">{brand.name}</span>
                  )}
                </span>
                <span className="brand-card-colors" aria-hidden="true">
                  {brand.colors.map((color, index) => (
                    <i key={index} style={{ background: color }} />
                  ))}
                </span>
                <span className="brand-card-text">
                  <b>{brand.name}</b>
                  <span className="soft">
                    {counted(brand.pages, 'page')} · {brand.release ? `r${brand.release} is live` : 'not released yet'}
                  </span>
                </span>
              </Link>
              <button
                type="button"
                className="brand-delete"
                aria-label={`Delete ${brand.name}…`}
                title="Delete…"
                onClick={() => setGoing(brand)}
              >
                ×
              </button>
            </li>
          ))}
          <li>
            <form className="brand-new" onSubmit={send}>
              <h2>New brand</h2>
              <label htmlFor="brand-name">Name</label>
              <input
                id="brand-name"
                value={name}
                maxLength={80}
                placeholder="As it is written on the sign"
                onChange={(event) => setName(event.target.value)}
              />
              {create.isError && (
                <p role="alert" className="problem">
                  {create.error.message}
                </p>
              )}
              <button type="submit" className="main-action" disabled={!name.trim() || create.isPending}>
                {create.isPending ? 'Making it…' : 'Make the brand'}
              </button>
              <p className="soft">It starts with four planned pages; what is not known yet stays marked.</p>
            </form>
          </li>
        </ul>
      </main>
      {going && <DeleteBrand brand={going} close={() => setGoing(null)} />}
      {password && <ChangePassword username={person.username} close={() => setPassword(false)} />}
    </div>
  );
}
