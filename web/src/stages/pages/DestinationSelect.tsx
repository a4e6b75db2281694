import { useRef, useState } from 'react';
import type { Section } from '../../api/client';
import { isPageLink, pageLink } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { useFiles } from '../../parts/useFiles';
import { Editable } from '../../parts/Editable';
import { fileLink, fileNote, isFileLink, tooMuch } from '../../parts/files';
import { read } from './marks';

export type DestinationSelectProps = {
  label: string;
  to: string;
  disabled: boolean;
  /** What it is called to lead nowhere; it cannot be chosen where it is left out. */
  nowhere?: string | undefined;
  /** A page that is not offered as a whole: the one on which it stands. */
  but?: string | undefined;
  put: (to: string) => void;
};

const WAYS = {
  address: { label: 'an address…', start: 'https://', field: 'Address' },
  mail: { label: 'an email…', start: 'mailto:', field: 'Email' },
  phone: { label: 'a telephone…', start: 'tel:', field: 'Telephone' },
} as const;
type Way = keyof typeof WAYS;
const wayOf = (to: string): Way | '' =>
  to.startsWith('mailto:') ? 'mail' : to.startsWith('tel:') ? 'phone' : to.startsWith('http') ? 'address' : '';

/** What stands over a section; empty where nothing does. */
const headed = (section: Section): string => {
  const heading = section.content?.['heading'];
  return typeof heading === 'string' ? read(heading) : '';
};

/** Where something leads, chosen from what there is: pages with their sections, files, an address, an email, a telephone. */
export function DestinationSelect({ label, to, disabled, nowhere, but, put }: DestinationSelectProps) {
  const { brand } = useShown('brand');
  const [writing, setWriting] = useState<Way | ''>('');
  const { busy, problem, setProblem, add } = useFiles();
  const chooser = useRef<HTMLInputElement>(null);
  const files = brand.identity.body.files ?? [];
  const contact = brand.identity.body.contact;
  const way = writing || wayOf(to);
  const places = brand.pages.flatMap(({ body: page }) => [
    ...(page.id === but ? [] : [{ to: pageLink(page.id), label: page.name }]),
    ...(page.sections ?? [])
      .filter((one) => !one.parked && (one.kind === 'place' || headed(one)))
      .filter((one, index) => index > 0 || one.kind === 'place' || !headed(one))
      .map((one) => ({
        to: `${pageLink(page.id)}#${one.id}`,
        label: `${page.id === but ? 'this page' : page.name}: ${one.kind === 'place' ? 'the map' : ''}${
          one.kind === 'place' && headed(one) ? ', ' : ''
        }${headed(one)}`,
      })),
  ]);
  const there = to === '' || places.some((one) => one.to === to) || files.some((one) => fileLink(one.id) === to);
  const gone = !there && (isPageLink(to) || isFileLink(to));
  return (
    <>
      <select
        aria-label={label}
        value={way || (gone ? 'gone' : to)}
        disabled={disabled || busy !== ''}
        onChange={(event) => {
          const wanted = event.target.value;
          if (wanted === 'upload') {
            chooser.current?.click();
            return;
          }
          if (!(wanted in WAYS)) {
            setWriting('');
            put(wanted);
            return;
          }
          const known = wanted === 'mail' ? contact?.email : wanted === 'phone' ? contact?.phone : '';
          if (known) put(WAYS[wanted as Way].start + known);
          setWriting(known ? '' : (wanted as Way));
        }}
      >
        {(nowhere || to === '') && <option value="">{nowhere ?? 'leads nowhere yet'}</option>}
        {places.map((one) => (
          <option key={one.to} value={one.to}>
            {one.label}
          </option>
        ))}
        {gone && <option value="gone">{isFileLink(to) ? 'a file that is gone' : 'a place that is gone'}</option>}
        {files.map((one) => (
          <option key={one.id} value={fileLink(one.id)}>
            {one.name} ({fileNote(one)})
          </option>
        ))}
        <option value="upload">{busy ? `Adding ${busy}…` : 'a file to add…'}</option>
        {Object.entries(WAYS).map(([key, one]) => (
          <option key={key} value={key}>
            {one.label}
          </option>
        ))}
      </select>
      <input
        ref={chooser}
        type="file"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={`${label}: file to add`}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (!file) return;
          if (tooMuch(file)) setProblem(tooMuch(file));
          else void add(file).then((id) => id && put(fileLink(id)));
        }}
      />
      {problem && <p role="alert">{problem}</p>}
      {way && (
        <Editable
          label={`${WAYS[way].field} that it leads to`}
          quietLabel
          disabled={disabled}
          value={to.startsWith(WAYS[way].start) ? (way === 'address' ? to : to.slice(WAYS[way].start.length)) : ''}
          placeholder={way === 'address' ? 'https://…' : WAYS[way].field}
          onSave={(value) => {
            setWriting('');
            if (value) put(way === 'address' ? value : WAYS[way].start + value);
          }}
        />
      )}
    </>
  );
}
