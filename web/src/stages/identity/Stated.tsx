import { useId, useState } from 'react';
import { Link } from 'react-router';
import { useStated } from '../../api/pages';
import { stampOf } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';

export type StatedProps = { /** A fact's place in the identity. */ path: string };

/** Where a fact of the brand stands on its pages, each place opened by a click. What stands there changes with the fact. */
export function Stated({ path }: StatedProps) {
  const { brand } = useShown('brand');
  const [open, setOpen] = useState(false);
  const id = useId();
  const found = useStated(brand.id, stampOf(brand));
  const places = found.data?.facts.find((one) => one.path === path)?.places ?? [];
  if (!places.length) return null;
  const nameOf = (page: string) => brand.pages.find((one) => one.body.id === page)?.body.name ?? 'Header, footer, menu';
  return (
    <div className="stated">
      <button
        type="button"
        className="link soft"
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
      >
        {counted(places.length, 'text')} {places.length === 1 ? 'says it and follows' : 'say it and follow'}
      </button>
      {open && (
        <ul id={id}>
          {places.map((one, index) => (
            <li key={index}>
              <Link to={`/brands/${brand.id}/pages?page=${one.page}&section=${one.section}`}>
                <b>
                  {nameOf(one.page)} · {one.label}
                </b>
                <span>
                  {one.before}
                  <mark>{one.match}</mark>
                  {one.after}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
