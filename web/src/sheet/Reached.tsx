import { useLastEffect } from '../api/queries';
import { fullRatio } from '../parts/color';
import { useShown } from '../bench/useBench';
import { stampOf } from '../bench/documents';
import type { Effect } from '../api/client';
import { inkName } from '../parts/inks';
import { counted } from '../parts/counted';

/** An effect in a few words. */
export function effectWords(effect: Effect): string {
  const used = effect.tokens.filter((token) => token.uses > 0).length;
  const parts = [
    effect.tokens.length ? `${counted(effect.tokens.length, 'value')}, ${used} in use` : 'no value',
    effect.sections.length
      ? `${counted(effect.sections.length, 'section')} on ${counted(effect.pages, 'page')}`
      : 'no section',
  ];
  const fails = effect.turned.filter((one) => !one.passes && one.uses > 0).length;
  const passes = effect.turned.filter((one) => one.passes && one.uses > 0).length;
  if (fails) parts.push(`${counted(fails, 'pair')} in use ${fails === 1 ? 'fails' : 'fail'} now`);
  if (passes) parts.push(`${counted(passes, 'pair')} in use ${passes === 1 ? 'passes' : 'pass'} now`);
  return parts.join(' · ');
}

/** What the newest change reached: values, sections, verdicts that turned. */
export function Reached() {
  const { brand } = useShown('brand');
  const last = useLastEffect(brand.id, stampOf(brand));
  const effect = last.data?.effect;
  if (!effect) return null;
  const pages = new Map(brand.pages.map((page) => [page.body.id, page.body.name]));
  return (
    <details className="reached">
      <summary>
        <b>{last.data?.label}</b> reached {effectWords(effect)}
      </summary>
      <div className="reached-lists">
        <ul aria-label="Verdicts that turned">
          {effect.turned.map((one) => (
            <li key={`${one.scheme} ${one.ground} ${one.ink}`} className={one.passes ? undefined : 'bad'}>
              {inkName(one.ink)} on {one.ground}: {fullRatio(one.before)} → {fullRatio(one.after)},{' '}
              {one.passes ? 'passes' : `fails, needs ${one.required}:1`}
              {one.uses ? '' : ', not used'}
            </li>
          ))}
          {!effect.turned.length && <li className="soft">No verdict turned.</li>}
        </ul>
        <ul aria-label="Values that changed">
          {effect.tokens.slice(0, 40).map((token) => (
            <li key={`${token.scheme} ${token.path}`}>
              <span className="mono">
                {swatch(token.before)} → {swatch(token.after)}
              </span>{' '}
              {token.path} <span className="soft">{token.uses ? counted(token.uses, 'use') : 'not used'}</span>
            </li>
          ))}
          {effect.tokens.length > 40 && <li className="soft">and {effect.tokens.length - 40} more</li>}
        </ul>
        <ul aria-label="Sections reached">
          {effect.sections.map((use) => (
            <li key={`${use.page} ${use.section}`}>
              {pages.get(use.page)} <span className="soft">{use.section}</span>
            </li>
          ))}
        </ul>
      </div>
    </details>
  );
}

function swatch(css: string) {
  if (!css.startsWith('#')) return css || '–';
  return (
    <span>
      <i style={{ background: css }} /> {css}
    </span>
  );
}
